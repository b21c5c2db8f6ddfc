import {
  applyPieceStarter,
  findPiece,
  partsOf,
  runEdit,
  startersFor,
  type PieceStarter,
  type Site,
  type StartedPiece,
} from '@hamaca/core';
import { useMemo } from 'react';
import { useFonts } from '../../../media/fonts.ts';
import type { StageElement } from '../../../stage/frame/protocol.ts';
import { useStagePage, type StagePage } from '../../../stage/output.ts';
import { Stage } from '../../../stage/stage.tsx';
import { showStarters } from '../../../store/bench-store.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { InSight } from '../../../ui/in-sight.tsx';
import { SheetDialog } from '../../../ui/sheet-dialog.tsx';
import { StarterCard } from './starter-card.tsx';

/** The pages a design is drawn on, in px of the page and how much smaller that is drawn. */
interface Drawn {
  readonly label: string;
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  /** Width in px of what is seen of it; left out, all is. */
  readonly cut?: number;
}

const WIDE: Drawn = { label: 'wide', width: 1240, height: 640, scale: 0.29 };
const NARROW: Drawn = { label: 'narrow', width: 390, height: 740, scale: 0.25 };
/** Of a wide page the side with the column in it. */
const SIDE: Drawn = { label: 'wide', width: 1240, height: 440, scale: 0.42, cut: 264 };
const PHONE: Drawn = { label: 'phone', width: 390, height: 640, scale: 0.44 };

const DRAWN: Readonly<Record<StartedPiece['kind'], readonly Drawn[]>> = {
  footer: [WIDE, NARROW],
  sidebar: [SIDE, NARROW],
  floating: [PHONE],
};

const TITLES: Readonly<Record<StartedPiece['kind'], string>> = {
  footer: 'Starting footers',
  sidebar: 'Starting sidebars',
  floating: 'Starting floating menus and bars',
};

/** Room that a card keeps until it is drawn, and how wide cards are at least. */
const ROOM: Readonly<Record<StartedPiece['kind'], { readonly room: string; readonly columns: string }>> = {
  footer: { room: 'h-[186px]', columns: 'grid-cols-[repeat(auto-fill,minmax(460px,1fr))]' },
  sidebar: { room: 'h-[186px]', columns: 'grid-cols-[repeat(auto-fill,minmax(380px,1fr))]' },
  floating: { room: 'h-[282px]', columns: 'grid-cols-[repeat(auto-fill,minmax(200px,1fr))]' },
};

/** The year a legal line begins with. */
const thisYear = () => new Date().getFullYear();

/** A branch is seen open. */
const OPENED = { panel: null, submenu: true } as const;

/** The links of a ring, which are seen while they are open. */
function ringOf(site: Site, piece: string, page: StagePage): StageElement | null {
  const found = findPiece(site, piece);
  const ring = found && partsOf(site, found).find((part) => part.kind === 'ring');
  const selector = ring && page.compiled.elements.selectorOf({ owner: ring.id, slot: 'ring' });
  return selector ? { selector, index: 0 } : null;
}

function Drawing({
  site,
  piece,
  starter,
  onDrawn,
}: {
  readonly site: Site;
  readonly piece: StartedPiece;
  readonly starter: PieceStarter;
  readonly onDrawn: () => void;
}) {
  const changed = useMemo(() => {
    const ran = runEdit(site, {
      name: 'set-design',
      args: applyPieceStarter(site, piece, starter, thisYear()),
    });
    return ran.ok ? ran.value.site : site;
  }, [site, piece, starter]);
  const page = useStagePage(changed, findPiece(changed, piece.id), useFonts(changed));
  const scene = changed.scenes.find((entry) => entry.kind === 'article') ?? changed.scenes[0];
  const selected = useMemo(() => page && ringOf(changed, piece.id, page), [changed, piece.id, page]);
  if (!page || !scene) return <span className={`block bg-linen ${ROOM[piece.kind].room}`} />;
  return (
    <span className="flex items-start justify-center gap-1.5">
      {DRAWN[piece.kind].map(({ label, cut, ...size }, index) => (
        <span key={label} className="block overflow-hidden" style={cut === undefined ? {} : { width: cut }}>
          <Stage
            site={changed}
            page={page}
            scene={scene}
            label={`${starter.name}, ${label}`}
            selected={selected}
            outlined={false}
            reveal={OPENED}
            {...(index === 0 ? { onPainted: onDrawn } : {})}
            {...size}
          />
        </span>
      ))}
    </span>
  );
}

/** The starting designs for a piece, each live with what this site has; choosing one keeps what stands in it. */
export function PieceStartersDialog({ site, piece }: { readonly site: Site; readonly piece: StartedPiece }) {
  const edit = useEdit();
  const { room, columns } = ROOM[piece.kind];
  return (
    <SheetDialog
      wide
      title={`${TITLES[piece.kind]}, with your links, logo and colours`}
      onClose={() => {
        showStarters(false);
      }}
    >
      <ul className={`grid gap-3 p-4 ${columns}`}>
        {startersFor(piece).map((starter) => (
          <li key={starter.id}>
            <StarterCard
              name={starter.name}
              about={starter.about}
              onChoose={() => {
                const args = applyPieceStarter(site, piece, starter, thisYear());
                if (edit({ name: 'set-design', args }, `Starting design ${starter.name}`))
                  showStarters(false);
              }}
            >
              <InSight room={room}>
                {(drawn) => <Drawing site={site} piece={piece} starter={starter} onDrawn={drawn} />}
              </InSight>
            </StarterCard>
          </li>
        ))}
      </ul>
    </SheetDialog>
  );
}
