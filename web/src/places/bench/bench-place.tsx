import {
  isSameBesideLooks,
  pieceKind,
  bandAt,
  findPiece,
  opensOver,
  ownersOf,
  panelsFrom,
  slotKind,
  standingPieces,
  type Piece,
  type Scene,
  type Site,
} from '@hamaca/core';
import {
  memo,
  startTransition,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ComponentProps,
} from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { CommandButton } from '../../app/commands/command-button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Short } from '../../ui/short.tsx';
import { useFonts } from '../../media/fonts.ts';
import { useSite, useSiteState } from '../../store/open-site.tsx';
import { clampStageHeight, STAGE_HEIGHTS, type Turn } from '../../store/bench-arrangement.ts';
import { benchStore, rememberedPiece, rememberPiece, TALL_BELOW, useBench } from '../../store/bench-store.ts';
import { LookSheet } from './sheet/look-sheet.tsx';
import { foreignPageOf } from '../../stage/foreign-pages.ts';
import { firstPiece } from '../../stage/output.ts';
import { later } from '../../ui/later.tsx';
import type { BringPage as Bring } from './foreign/bring-page.tsx';
import type { ForeignBench as Bench } from './foreign/foreign-bench.tsx';
import { SettingsBar, type OwnEditors } from '../../settings/settings-bar.tsx';
import { ArrangementChoice } from './settings/arrangement-choice.tsx';
import { PageChoice } from './page-choice.tsx';
import { PieceTabs } from './piece-tabs.tsx';
import { PartsOutline } from './outline/parts-outline.tsx';
import { Pins } from './stage/pins.tsx';
import { StageArea } from './stage/stage-area.tsx';
import { Starters } from './stage/starters.tsx';
import { SwatchTray } from './sheet/swatch-tray.tsx';
import { useBenchCommands } from './use-bench-commands.ts';
import { useDrag } from './use-drag.ts';
import { WidthLine } from './widths/width-line.tsx';

const ForeignBench = later<ComponentProps<typeof Bench>>(
  async () => (await import('./foreign/foreign-bench.tsx')).ForeignBench,
);
const BringPage = later<ComponentProps<typeof Bring>>(
  async () => (await import('./foreign/bring-page.tsx')).BringPage,
);

/** The scene chosen on the bench, the site's last one before any is. */
function useScene(site: Site): Scene | undefined {
  const id = useBench((state) => state.scene);
  const page = foreignPageOf(site, id);
  return useMemo(
    () =>
      page
        ? { id: page.id, name: page.name, kind: 'blank', ground: page.ground }
        : (site.scenes.find((scene) => scene.id === id) ?? site.scenes.at(-1)),
    [site.scenes, page, id],
  );
}

const TURNS: readonly { value: Turn; label: string }[] = [
  { value: 'auto', label: 'turns by width' },
  { value: 'wide', label: 'controls below' },
  { value: 'tall', label: 'controls beside' },
];

/** Where the stage (filled) and the controls stand: below one another, beside one another, or both by turns. */
const TURN_DRAWINGS: Readonly<Record<Turn, string>> = {
  auto: 'M1.5 1.5h15v11h-15zM2 7h7v5M9 2v10',
  wide: 'M1.5 1.5h15v11h-15zM2 7h14',
  tall: 'M1.5 1.5h15v11h-15zM8 2v10',
};

const TURN_FILLS: Readonly<Record<Turn, string>> = {
  auto: 'M2 2h7v5h-7z',
  wide: 'M2 2h14v5h-14z',
  tall: 'M2 2h6v10h-6z',
};

function TurnDrawing({ turn }: { readonly turn: Turn }) {
  return (
    <svg viewBox="0 0 18 14" className="h-3.5 w-[18px]" aria-hidden="true">
      <path d={TURN_FILLS[turn]} className="fill-rope" />
      <path d={TURN_DRAWINGS[turn]} fill="none" className="stroke-ink" />
    </svg>
  );
}

/** A page with one piece in full ink. */
function FaintDrawing() {
  return (
    <svg viewBox="0 0 18 14" className="h-3.5 w-[18px]" aria-hidden="true">
      <path d="M2 2h14v3H2z" className="fill-ink" />
      <path d="M2 7h4v5H2zM8 10h8v2H8z" className="fill-rope" opacity="0.5" />
    </svg>
  );
}

interface PieceBarProps {
  readonly site: Site;
  readonly piece: Piece;
}

/** Which pieces can come to be scrolled. */
const scrolling = ({ pieces }: Site) =>
  pieces.map((piece) => pieceKind(piece).comesTo(piece as never, 'scrolled')).join();

/** Of looks nothing is told there but whether a bar stays. */
const isSameBar = (a: PieceBarProps, b: PieceBarProps) =>
  a.piece.id === b.piece.id &&
  isSameBesideLooks(a.site, b.site, ['scenes', 'foreignPages', 'bands', 'pages']) &&
  scrolling(a.site) === scrolling(b.site);

/** What a piece is shown over, in words. */
const sceneWords = (site: Site, scene: Scene | undefined): string =>
  scene && foreignPageOf(site, scene.id)
    ? `on the page: ${scene.name}`
    : `over: ${scene?.name.toLowerCase() ?? ''}`;

/** A full bar keeps its buttons closer together. */
const TIGHT = 'snug:!px-2 slim:!px-1.5';

const PieceBar = memo(function PieceBar({ site, piece }: PieceBarProps) {
  const chosen = useScene(site);
  const arrangement = useBench((state) => state.arrangement);
  const spread = useBench((state) => state.spread);
  const compare = useBench((state) => state.compare);
  const measuring = useBench((state) => state.measuring);
  const faint = useBench((state) => state.faint);
  // Alone on its page a piece has nothing around it to choose.
  const hasOthers = standingPieces(site).length > 1;
  const band =
    site.bands[
      bandAt(
        site,
        useBench((state) => state.width),
      )
    ];
  const kind = slotKind(
    site,
    useBench((state) => state.selected),
  );
  return (
    <div className="flex h-9 shrink-0 items-center gap-4 px-4 text-bench whitespace-nowrap snug:gap-2">
      <PieceTabs site={site} current={piece.id} />
      <span className={`min-w-0 truncate text-ink-faint slim:hidden ${hasOthers ? 'max-2xl:sr-only' : ''}`}>
        at <span data-testid="band">{band?.name}</span>
      </span>
      {kind && <Pins site={site} kind={kind} />}
      <span className="ml-auto flex shrink-0 items-center gap-2 snug:gap-1">
        <Starters piece={piece} />
        <CommandButton
          id="bench-spread"
          className={compare === 'beside' ? `${TIGHT} scant:hidden` : TIGHT}
          label="Spread"
          pressed={spread}
        />
        <CommandButton
          id="bench-measures"
          className={compare === 'beside' ? 'slim:hidden' : `${TIGHT} scant:hidden`}
          label="Measures"
          pressed={measuring}
        />
        <CommandButton id="bench-compare" className={TIGHT} label="Compare" pressed={compare === 'beside'} />
        {compare === 'beside' && <CommandButton id="bench-keep" className={TIGHT} label="Keep this" />}
        {hasOthers && (
          <>
            <CommandButton
              id="bench-faint"
              className="scant:hidden"
              label={<FaintDrawing />}
              pressed={faint}
            />
            <PageChoice site={site} piece={piece} />
          </>
        )}
        <Choice
          label="Scene"
          value={chosen?.id ?? ''}
          options={[
            ...site.scenes.map((scene) => ({ value: scene.id, label: `over: ${scene.name.toLowerCase()}` })),
            ...site.foreignPages.map(({ id, name }) => ({ value: id, label: `on the page: ${name}` })),
          ]}
          shown={<Short text={sceneWords(site, chosen)} />}
          onChange={(scene) => {
            benchStore.setState({ scene });
          }}
        />
        <Choice
          label="Arrangement of the bench"
          value={arrangement}
          options={TURNS}
          shown={<TurnDrawing turn={arrangement} />}
          onChange={(value) => {
            benchStore.setState({ arrangement: value as Turn });
          }}
        />
      </span>
    </div>
  );
}, isSameBar);

const Seam = memo(function Seam() {
  const start = useRef({ y: 0, height: 0 });
  const height = useBench((state) => state.stageHeight);
  const set = (value: number) => {
    benchStore.setState({ stageHeight: clampStageHeight(value) });
  };
  const drag = useDrag({
    onMove: (event) => {
      set(start.current.height + event.clientY - start.current.y);
    },
    onEnd: () => undefined,
    onCancel: () => {
      set(start.current.height);
    },
  });
  return (
    <div
      role="separator"
      aria-orientation="horizontal"
      aria-label="Height of the stage"
      aria-valuenow={height}
      aria-valuemin={STAGE_HEIGHTS.least}
      aria-valuemax={STAGE_HEIGHTS.most}
      tabIndex={0}
      {...drag}
      onPointerDown={(event) => {
        start.current = { y: event.clientY, height };
        drag.onPointerDown(event);
      }}
      onKeyDown={(event) => {
        if (event.key === 'ArrowUp') set(height - 16);
        if (event.key === 'ArrowDown') set(height + 16);
      }}
      className="grid h-2 shrink-0 cursor-ns-resize place-items-center border-y border-twine bg-linen"
    >
      <span className="h-px w-10 bg-rope" />
    </div>
  );
});

/** Fields whose values are chosen from drawings. */
const EDITORS: OwnEditors = { 'row.arrangement': ArrangementChoice };

/** What the selected piece, section or part is, above how it looks: its text, target, levels. */
function Settings({ site }: { readonly site: Site }) {
  const selected = useBench((state) => state.selected);
  // What has no look has no sheet, whose head would unfold them again.
  const isFolded = useBench((state) => state.settingsFolded) && slotKind(site, selected) !== null;
  const owner = ownersOf(site).get(selected.owner);
  if (!owner || isFolded) return null;
  return (
    <div data-settings-of={owner.id} className="contents">
      <SettingsBar site={site} owner={owner} editors={EDITORS} />
    </div>
  );
}

/** Kept as it is while a newer document is only on the stage: the stage goes first. */
const Controls = memo(function Controls({
  site,
  piece,
  tall,
}: {
  readonly site: Site;
  readonly piece: Piece;
  readonly tall: boolean;
}) {
  const scene = useScene(site);
  const pieces = useMemo(
    () => (opensOver(piece) ? [piece] : [piece, ...panelsFrom(site, piece)]),
    [site, piece],
  );
  // Layers of their own are not painted anew with the stage.
  return (
    <div
      className={`grid min-h-0 grow ${tall ? 'grid-cols-[184px_minmax(0,1fr)]' : 'grid-cols-[212px_minmax(0,1fr)]'}`}
    >
      <div className="isolate flex min-h-0 flex-col border-r border-twine">
        <div className="min-h-0 grow">
          <PartsOutline pieces={pieces} />
        </div>
        <SwatchTray site={site} />
      </div>
      <div className="isolate flex min-h-0 min-w-0 flex-col">
        <Settings site={site} />
        <div className="min-h-0 grow">{scene && <LookSheet site={site} scene={scene} />}</div>
      </div>
    </div>
  );
});

/** Height at which a band's states are seen without losing the sheet beneath, in px. */
const spreadHeight = () => Math.min(420, window.innerHeight - 440);

/** How long the controls stay behind the stage while something is dragged or typed, in ms. */
const CALM = 80;

/** The document for the controls: while a change is under way only the stage follows at once, so that it never stutters. */
function useCalmSite(site: Site): Site {
  const previewing = useSiteState((state) => state.previewing);
  const [held, setHeld] = useState(site);
  useEffect(() => {
    const timer = setTimeout(
      () => {
        setHeld(site);
      },
      previewing ? CALM : 0,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [site, previewing]);
  return previewing ? held : site;
}

/** Longest wait for the stage's first picture, in ms. */
const LONGEST_ALONE = 300;

/** The stage is drawn first, what it is worked on with once it stands. */
function useEquipped() {
  const [equipped, setEquipped] = useState(false);
  const equip = useCallback(() => {
    startTransition(() => {
      setEquipped(true);
    });
  }, []);
  useEffect(() => {
    const timer = setTimeout(equip, LONGEST_ALONE);
    return () => {
      clearTimeout(timer);
    };
  }, [equip]);
  return { equipped, equip };
}

/** What is said where the address names a piece that is not there. */
function NoPiece({ site, wanted }: { readonly site: Site; readonly wanted: string | undefined }) {
  const { id = '' } = useParams();
  if (wanted === undefined || site.pieces.length === 0)
    return <p className="m-8 text-ink-soft">Nothing stands in this site’s pages yet.</p>;
  return (
    <main className="m-8 max-w-prose">
      <h1 className="mb-2 text-title font-semibold">This piece is not in the site</h1>
      <p className="mb-4 text-ink-soft">
        It was removed, or was never kept. Undo brings back what was removed last. The site has these:
      </p>
      <ul className="grid gap-1">
        {site.pieces.map((piece) => (
          <li key={piece.id}>
            <Link className="underline underline-offset-2" to={`/sites/${id}/bench/${piece.id}`}>
              {piece.name}
            </Link>
          </li>
        ))}
      </ul>
    </main>
  );
}

/** The dialog that brings a page along, while it is asked for. */
const Bringing = memo(function Bringing() {
  return useBench((state) => state.bringing) ? <BringInto /> : null;
});

function BringInto() {
  const site = useSite();
  const { id = '' } = useParams();
  const navigate = useNavigate();
  const close = () => {
    benchStore.setState({ bringing: false });
  };
  return (
    <BringPage
      site={site}
      onClose={close}
      onBrought={(page) => {
        close();
        void navigate(`/sites/${id}/bench/${page}`);
      }}
    />
  );
}

/** The bench: a piece on the stage, the width line above it, its parts and their looks below or beside it. */
export function BenchPlace() {
  const site = useSite();
  const calm = useCalmSite(site);
  const fonts = useFonts(site);
  const { id = '', piece: wanted } = useParams();
  const sought = wanted ?? rememberedPiece(id);
  const known = sought === null ? null : findPiece(site, sought);
  const piece = known ?? (wanted === undefined ? firstPiece(site) : null);
  const arrangement = useBench((state) => state.arrangement);
  const foreign = foreignPageOf(site, wanted);
  const narrow = useBench((state) => state.width) < TALL_BELOW;
  const stageHeight = useBench((state) => state.stageHeight);
  const spread = useBench((state) => state.spread);
  const scene = useScene(site);
  const { equipped, equip } = useEquipped();
  useBenchCommands(site);
  const shown = piece?.id;
  useEffect(() => {
    if (shown !== undefined) rememberPiece(id, shown);
  }, [id, shown]);
  if (foreign)
    return (
      <>
        <ForeignBench
          key={foreign.id}
          site={site}
          page={foreign}
          bar={<PieceTabs site={site} current={foreign.id} />}
          seam={<Seam />}
        />
        <Bringing />
      </>
    );
  if (!piece) return <NoPiece site={site} wanted={wanted} />;
  if (wanted === undefined) return <Navigate to={`/sites/${id}/bench/${piece.id}`} replace />;
  if (!fonts)
    return (
      <p role="status" className="m-8 text-ink-soft">
        Loading the typefaces’ measures…
      </p>
    );
  const calmPiece = findPiece(calm, piece.id) ?? piece;
  const tall = !spread && (arrangement === 'tall' || (arrangement === 'auto' && narrow));
  return (
    <main
      data-arrangement={tall ? 'tall' : 'wide'}
      data-piece={piece.id}
      className="flex h-full min-h-0 flex-col"
    >
      <h1 className="sr-only">
        {piece.name} of {site.name} on the bench
      </h1>
      <PieceBar site={site} piece={piece} />
      <Bringing />
      <WidthLine site={site} piece={piece} fonts={fonts} />
      {/* One grid in both arrangements, so that the stage keeps its frame when the bench turns. */}
      <div
        className={`grid min-h-0 grow ${tall ? 'grid-cols-[minmax(340px,35%)_minmax(0,1fr)] grid-rows-1' : 'grid-cols-[minmax(0,1fr)]'}`}
        style={
          tall
            ? {}
            : {
                gridTemplateRows: `${spread ? Math.max(stageHeight, spreadHeight()) : stageHeight}px minmax(0,1fr)`,
              }
        }
      >
        <StageArea site={site} piece={piece} fonts={fonts} scene={scene} tall={tall} onPainted={equip} />
        <div className="flex min-h-0 min-w-0 flex-col">
          {!tall && <Seam />}
          {equipped && <Controls site={calm} piece={calmPiece} tall={tall} />}
        </div>
      </div>
    </main>
  );
}
