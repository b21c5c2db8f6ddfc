import type { BroughtPage, ForeignState, Site } from '@hamaca/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useForeignPage, type ReadPage } from '../../../stage/foreign-pages.ts';
import type { ForeignPinMessage } from '../../../stage/frame/protocol.ts';
import { Stage } from '../../../stage/stage.tsx';
import { TALL_BELOW, useBench } from '../../../store/bench-store.ts';
import { useRoom } from '../../../ui/use-room.ts';
import type { ElementLook } from '../../../workers/foreign-page.ts';
import { ForeignOutline } from './foreign-outline.tsx';
import { ForeignSheet } from './foreign-sheet.tsx';
import { PageWidth } from './page-width.tsx';

/** What is chosen on a foreign page, and what of it is lit up. */
interface Chosen {
  readonly at: number | null;
  readonly state: ForeignState;
  readonly lit: readonly number[];
  /** Whether it was chosen elsewhere than on the stage, and has to be scrolled into sight. */
  readonly reveal: boolean;
}

const NOTHING: Chosen = { at: null, state: 'rest', lit: [], reveal: false };

/** What is said of the chosen element, asked for anew with it and with the width. */
function useLook(read: ReadPage | null, at: number | null, width: number): ElementLook | null {
  const [look, setLook] = useState<{ page: ReadPage; look: ElementLook } | null>(null);
  useEffect(() => {
    if (!read || at === null) return;
    let isWanted = true;
    void read.worker.ask({ kind: 'look', at, width }).then((found) => {
      if (isWanted) setLook({ page: read, look: found });
    });
    return () => {
      isWanted = false;
    };
  }, [read, at, width]);
  return look && look.page === read && look.look.at === at ? look.look : null;
}

function PageStage({
  site,
  page,
  read,
  chosen,
  onChoose,
}: {
  readonly site: Site;
  readonly page: BroughtPage;
  readonly read: ReadPage;
  readonly chosen: Chosen;
  readonly onChoose: (at: number) => void;
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
      state: chosen.state,
      lit: chosen.lit,
      reveal: chosen.reveal,
    }),
    [chosen],
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
        foreign={read.content}
        foreignPin={pin}
        onPick={() => undefined}
        onForeignPick={onChoose}
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
  const { read, failure } = useForeignPage(page);
  const [chosen, setChosen] = useState(NOTHING);
  const width = useBench((state) => state.width);
  const stageHeight = useBench((state) => state.stageHeight);
  const arrangement = useBench((state) => state.arrangement);
  const tall = arrangement === 'tall' || (arrangement === 'auto' && width < TALL_BELOW);
  const first = read?.opened.lines.find(({ name }) => /^a\b/.test(name)) ?? read?.opened.lines[0];
  useEffect(() => {
    setChosen(first ? { ...NOTHING, at: first.at } : NOTHING);
  }, [read]);
  const look = useLook(read, chosen.at, width);
  const choose = (at: number, reveal: boolean) => {
    setChosen((before) => (before.at === at ? before : { ...NOTHING, state: before.state, at, reveal }));
  };
  const notes = read?.opened.notes ?? [];
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
      </div>
      <PageWidth />
      {failure !== null && (
        <p role="alert" className="m-4 border-l-[3px] border-brick bg-brick-wash px-3 py-1">
          {failure}
        </p>
      )}
      {!read && failure === null && (
        <p role="status" className="m-8 text-ink-soft">
          Reading the page…
        </p>
      )}
      {read && (
        <div
          className={`grid min-h-0 grow ${tall ? 'grid-cols-[minmax(340px,35%)_minmax(0,1fr)] grid-rows-1' : 'grid-cols-[minmax(0,1fr)]'}`}
          style={tall ? {} : { gridTemplateRows: `${stageHeight}px minmax(0,1fr)` }}
        >
          <PageStage
            site={site}
            page={page}
            read={read}
            chosen={chosen}
            onChoose={(at) => {
              choose(at, false);
            }}
          />
          <div className="flex min-h-0 min-w-0 flex-col">
            {!tall && seam}
            <div className="grid min-h-0 grow grid-cols-[212px_minmax(0,1fr)]">
              <div className="isolate min-h-0 border-r border-twine">
                <ForeignOutline
                  lines={read.opened.lines}
                  chosen={chosen.at}
                  onChoose={(at) => {
                    choose(at, true);
                  }}
                />
              </div>
              <div className="isolate min-h-0 min-w-0">
                {look ? (
                  <ForeignSheet
                    page={read}
                    look={look}
                    state={chosen.state}
                    lit={chosen.lit}
                    onState={(state) => {
                      setChosen((before) =>
                        before.state === state ? before : { ...before, state, lit: [] },
                      );
                    }}
                    onLight={(lit) => {
                      setChosen((before) => ({ ...before, lit }));
                    }}
                  />
                ) : (
                  <p className="p-4 text-bench text-ink-soft">
                    Click something on the stage or in the outline to see whose rules it has.
                  </p>
                )}
              </div>
            </div>
          </div>
        </div>
      )}
    </main>
  );
}
