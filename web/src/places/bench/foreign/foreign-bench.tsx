import type { BroughtPage, ForeignState, Site } from '@hamaca/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useForeignPage, type ShownForeignPage } from '../../../stage/foreign-pages.ts';
import type { ElementMarks, ForeignPinMessage } from '../../../stage/frame/protocol.ts';
import { Stage, type MeasuredElement } from '../../../stage/stage.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import { Button } from '../../../ui/button.tsx';
import { TALL_BELOW, useBench } from '../../../store/bench-store.ts';
import { useRoom } from '../../../ui/use-room.ts';
import type { ElementLook } from '../../../workers/foreign-page.ts';
import { ForeignChanges } from './foreign-changes.tsx';
import { ForeignColours } from './foreign-colours.tsx';
import { addChange, type NewChange } from './foreign-edits.ts';
import { ForeignOutline } from './foreign-outline.tsx';
import { ForeignSheet } from './foreign-sheet.tsx';
import { ForeignStay } from './foreign-stay.tsx';
import { PageWidth } from './page-width.tsx';

/** What is chosen on a foreign page, and what of it is lit up. */
interface Chosen {
  readonly at: number | null;
  /** A pseudo-element of it; null for itself. */
  readonly pseudo: string | null;
  readonly state: ForeignState;
  readonly lit: readonly number[];
  /** Whether it was chosen elsewhere than on the stage, and has to be scrolled into sight. */
  readonly reveal: boolean;
}

const NOTHING: Chosen = { at: null, pseudo: null, state: 'rest', lit: [], reveal: false };

/** What is said of the chosen element, asked for anew with it, with the width and with every change. */
function useLook(
  shown: ShownForeignPage | null,
  { at, pseudo }: Pick<Chosen, 'at' | 'pseudo'>,
  width: number,
): ElementLook | null {
  const [look, setLook] = useState<ElementLook | null>(null);
  useEffect(() => {
    if (!shown || at === null) return;
    let isWanted = true;
    void shown.read.worker.ask({ kind: 'look', at, pseudo, width }).then((found) => {
      if (isWanted) setLook(found);
    });
    return () => {
      isWanted = false;
    };
  }, [shown, at, pseudo, width]);
  return look && look.at === at ? look : null;
}

/** What stands beside the outline: the sheet, or what was opened from it. */
type Pane =
  | { readonly kind: 'sheet' }
  | { readonly kind: 'colour'; readonly colour: string }
  | { readonly kind: 'changes' }
  | { readonly kind: 'stay' };

const SHEET: Pane = { kind: 'sheet' };

function PageStage({
  site,
  page,
  shown,
  chosen,
  marks,
  onChoose,
  onMeasured,
}: {
  readonly site: Site;
  readonly page: BroughtPage;
  readonly shown: ShownForeignPage;
  readonly chosen: Chosen;
  /** How the states of what is chosen are shown that the page marks; null until that is known. */
  readonly marks: ElementMarks | null;
  readonly onChoose: (at: number) => void;
  readonly onMeasured: (measured: MeasuredElement) => void;
}) {
  const { ref, room } = useRoom();
  const width = useBench((state) => state.width);
  const scale = Math.min(1, Math.max(0.2, room.width / width));
  const scene = useMemo(
    () => ({ id: page.id, name: page.name, kind: 'blank' as const, ground: page.ground }),
    [page],
  );
  const pin = useMemo(
    (): ForeignPinMessage => ({
      type: 'foreign-pin',
      chosen: chosen.at,
      pseudo: chosen.pseudo,
      state: chosen.state,
      marks,
      lit: chosen.lit,
      reveal: chosen.reveal,
    }),
    [chosen, marks],
  );
  return (
    <div
      ref={ref}
      className="relative flex h-full min-h-0 flex-col items-center overflow-hidden bg-surround p-3"
    >
      <Stage
        site={site}
        page={null}
        scene={scene}
        width={width}
        height={Math.max(120, Math.floor(room.height / scale))}
        scale={scale}
        label="Stage"
        foreign={shown.content}
        foreignPin={pin}
        onPick={() => undefined}
        onForeignPick={onChoose}
        onForeignChosen={onMeasured}
      />
      {scale < 1 && (
        <span className="absolute right-2 bottom-1 rounded-[2px] bg-ink px-1.5 text-small text-white tabular">
          {Math.round(scale * 100)} %
        </span>
      )}
    </div>
  );
}

interface Props {
  readonly site: Site;
  readonly page: BroughtPage;
  /** The bar above: what else is on the bench. */
  readonly bar: ReactNode;
  readonly seam: ReactNode;
}

/** A page that exists already, on the bench: on the stage, as an outline of its navigation, and as the sheet of what its rules say. */
export function ForeignBench({ site, page, bar, seam }: Props) {
  const { shown, failure, busy, made, stopped, stop, again } = useForeignPage(page);
  const edit = useEdit();
  const [chosen, setChosen] = useState(NOTHING);
  const [pane, setPane] = useState(SHEET);
  const [measured, setMeasured] = useState<MeasuredElement | null>(null);
  const width = useBench((state) => state.width);
  const stageHeight = useBench((state) => state.stageHeight);
  const arrangement = useBench((state) => state.arrangement);
  const tall = arrangement === 'tall' || (arrangement === 'auto' && width < TALL_BELOW);
  const lines = shown?.lines ?? [];
  const first = lines.find(({ name }) => /^a(?![\w-])/.test(name)) ?? lines[0];
  const isRead = shown !== null;
  useEffect(() => {
    setChosen(first ? { ...NOTHING, at: first.at } : NOTHING);
  }, [isRead]);
  const look = useLook(shown, chosen, width);
  const choose = (at: number, reveal: boolean) => {
    setChosen((before) => (before.at === at ? before : { ...NOTHING, state: before.state, at, reveal }));
    setPane((before) => (before.kind === 'stay' ? before : SHEET));
  };
  const light = (lit: readonly number[]) => {
    setChosen((before) => ({ ...before, lit }));
  };
  const back = () => {
    setPane(SHEET);
    light([]);
  };
  const change = (made: NewChange, label: string) => edit(addChange(site, page, made), label);
  const notes = shown?.read.opened.notes ?? [];
  const side = (now: ShownForeignPage) => {
    switch (pane.kind) {
      case 'changes':
        return (
          <ForeignChanges
            page={page}
            shown={now}
            busy={busy}
            made={made}
            stopped={stopped}
            onStop={stop}
            onAgain={again}
            onBack={back}
          />
        );
      case 'colour':
        return (
          <ForeignColours
            key={pane.colour}
            shown={now}
            colour={pane.colour}
            onLight={light}
            onBack={back}
            onChange={(to, only) => {
              const made = { from: pane.colour, to, within: '', only: only.join('\n') };
              if (change(made, `${pane.colour} becomes ${to}`)) setPane({ kind: 'changes' });
            }}
          />
        );
      case 'stay':
        return (
          look && (
            <ForeignStay
              at={look.selector}
              height={measured?.at === chosen.at ? measured.height : null}
              onBack={back}
              onMake={(made) => {
                if (change(made, `${look.selector} stays`)) setPane({ kind: 'changes' });
              }}
            />
          )
        );
      case 'sheet':
        return look ? (
          <ForeignSheet
            shown={now}
            look={look}
            paints={measured?.at === chosen.at ? measured.paints : []}
            computed={measured?.at === chosen.at ? measured.computed : {}}
            width={width}
            state={chosen.state}
            lit={chosen.lit}
            onState={(state) => {
              setChosen((before) => (before.state === state ? before : { ...before, state, lit: [] }));
            }}
            onPseudo={(pseudo) => {
              setChosen((before) => ({ ...before, pseudo, lit: [] }));
            }}
            onLight={light}
            onColour={(colour) => {
              light([]);
              setPane({ kind: 'colour', colour });
            }}
            onSet={(restyle) => change(restyle, restyle.set)}
          />
        ) : (
          <p className="p-4 text-bench text-ink-soft">
            Click something on the stage or in the outline to see whose rules it has.
          </p>
        );
    }
  };
  return (
    <main data-arrangement={tall ? 'tall' : 'wide'} className="flex h-full min-h-0 flex-col">
      <h1 className="sr-only">
        {page.name}, a page that exists already, on the bench of {site.name}
      </h1>
      <div className="flex h-9 shrink-0 items-center gap-4 px-4 text-bench whitespace-nowrap">
        {bar}
        <span className="ml-auto min-w-0 truncate text-ink-faint" title={notes.join('\n')}>
          {page.origin === '' ? page.path : `${page.origin}/${page.path}`} · {page.files.length}{' '}
          {page.files.length === 1 ? 'file' : 'files'}
          {notes.length > 0 && ` · ${notes.length} ${notes.length === 1 ? 'note' : 'notes'}`}
        </span>
        <span className="flex shrink-0 gap-2">
          <Button
            pressed={pane.kind === 'stay'}
            disabled={chosen.at === null}
            title="Make what is chosen stay in the window while the page scrolls"
            onClick={() => {
              setPane(pane.kind === 'stay' ? SHEET : { kind: 'stay' });
            }}
          >
            Make it stay…
          </Button>
          <Button
            pressed={pane.kind === 'changes'}
            onClick={() => {
              setPane(pane.kind === 'changes' ? SHEET : { kind: 'changes' });
            }}
          >
            Changes {page.changes.length > 0 ? page.changes.length : ''}
          </Button>
        </span>
      </div>
      <PageWidth breakpoints={shown?.read.opened.breakpoints ?? []} />
      {failure !== null && (
        <p role="alert" className="m-4 border-l-[3px] border-brick bg-brick-wash px-3 py-1">
          {failure}
        </p>
      )}
      {!shown && failure === null && (
        <p role="status" className="m-8 flex items-center gap-4 text-ink-soft">
          {stopped ? 'Reading the page was stopped.' : 'Reading the page…'}
          <Button onClick={stopped ? again : stop}>{stopped ? 'Read it' : 'Stop'}</Button>
        </p>
      )}
      {shown && (
        <div
          className={`grid min-h-0 grow ${tall ? 'grid-cols-[minmax(340px,35%)_minmax(0,1fr)] grid-rows-1' : 'grid-cols-[minmax(0,1fr)]'}`}
          style={tall ? {} : { gridTemplateRows: `${stageHeight}px minmax(0,1fr)` }}
        >
          <PageStage
            site={site}
            page={page}
            shown={shown}
            chosen={chosen}
            marks={look?.marks ?? null}
            onMeasured={setMeasured}
            onChoose={(at) => {
              choose(at, false);
            }}
          />
          <div className="flex min-h-0 min-w-0 flex-col">
            {!tall && seam}
            <div className="grid min-h-0 grow grid-cols-[212px_minmax(0,1fr)]">
              <div className="isolate min-h-0 border-r border-twine">
                <ForeignOutline
                  lines={shown.lines}
                  chosen={chosen.at}
                  onChoose={(at) => {
                    choose(at, true);
                  }}
                />
              </div>
              <div className="isolate min-h-0 min-w-0">{side(shown)}</div>
            </div>
          </div>
        </div>
      )}
    </main>
  );
}
