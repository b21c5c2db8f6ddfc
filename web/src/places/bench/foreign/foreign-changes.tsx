import type { AppliedChange, BroughtPage, ChangedValue } from '@hamaca/core';
import { createTwoFilesPatch } from 'diff';
import { useMemo } from 'react';
import { saveFile } from '../../../media/files.ts';
import type { ShownForeignPage } from '../../../stage/foreign-pages.ts';
import { useEdit } from '../../../store/open-site.tsx';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { changeInWords, chooseWay, removeChange } from './foreign-edits.ts';

const REFUSALS: Readonly<Record<string, string>> = {
  'no element': 'nothing on the page is found by its selector any more',
  'no selector': 'its selector cannot be read',
  'no declaration': 'no browser takes what it says',
  'no colour': 'one of its colours is none',
  'not there': 'no rule of the page says this colour any more',
  'no logo': 'the header has no picture that could be its logo',
  'no mark': 'nothing on the page marks it as open; it opens by pointing, so set its hover',
  'no window': 'no window is as its media query says',
  'no width': 'it has no width at which it would hold',
};

const effect = ({ element, state, width, property, before, after }: ChangedValue) =>
  `${element} (${state}, ${width} px) ${property}: ${before ?? 'nothing'} becomes ${after ?? 'nothing'}`;

/** What a change did: how much changes, what else does, and what stood in its way. */
function Outcome({
  applied,
  onWay,
}: {
  readonly applied: AppliedChange | undefined;
  /** Another way out of something was chosen. */
  readonly onWay: (kind: string, way: string) => void;
}) {
  if (!applied) return <span className="text-ink-faint">being made…</span>;
  if (applied.refusal !== null)
    return <span className="text-brick">left out: {REFUSALS[applied.refusal] ?? applied.refusal}</span>;
  const elements = new Set(applied.changed.map(({ element }) => element)).size;
  return (
    <div className="grid gap-1">
      <span className="text-ink-soft">
        {applied.changed.length} values of {elements} {elements === 1 ? 'element' : 'elements'} ·{' '}
        {applied.sideEffects.length === 0 ? (
          <span className="text-reed">✓ nothing else changes</span>
        ) : (
          <span className="text-brick">⚠ {applied.sideEffects.length} side effects</span>
        )}
      </span>
      {applied.obstacles.length > 0 && (
        <ul aria-label="What prevented it" className="grid gap-1 pl-3 text-small">
          {applied.obstacles.map((obstacle) => (
            <li key={`${obstacle.kind} ${obstacle.element}`}>
              {obstacle.text}
              {obstacle.ways.length > 1 ? (
                <span className="mt-0.5 block">
                  <Choice
                    label={`Way out: ${obstacle.kind}`}
                    value={obstacle.ways.find(({ taken }) => taken)?.id ?? ''}
                    options={obstacle.ways.map(({ id, text }) => ({ value: id, label: text }))}
                    onChange={(way) => {
                      onWay(obstacle.kind, way);
                    }}
                  />
                </span>
              ) : (
                <span className={obstacle.ways.length === 0 ? 'block text-brick' : 'block text-ink-soft'}>
                  {obstacle.ways[0]?.text ?? 'No way out was found.'}
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
      {applied.sideEffects.length > 0 && (
        <details className="text-small">
          <summary className="cursor-default">What else changes</summary>
          <ul className="max-h-32 overflow-auto pl-3">
            {applied.sideEffects.slice(0, 100).map((value) => (
              <li key={effect(value)}>{effect(value)}</li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

const FORMS = [
  { value: 'added', label: 'in one more stylesheet' },
  { value: 'in place', label: 'in the page’s own stylesheets' },
];

interface Props {
  readonly page: BroughtPage;
  readonly shown: ShownForeignPage;
  readonly busy: boolean;
  /** How many of the changes are made, while they are. */
  readonly made: number;
  /** Whether making them was stopped. */
  readonly stopped: boolean;
  readonly onStop: () => void;
  readonly onAgain: () => void;
  readonly onBack: () => void;
}

/** All changes of a foreign page with their proof, how they are handed back, and the files as they differ. */
export function ForeignChanges({ page, shown, busy, made, stopped, onStop, onAgain, onBack }: Props) {
  const edit = useEdit();
  const { changed } = shown;
  const difference = useMemo(
    () =>
      (changed?.files ?? [])
        .map(({ path, before, after }) =>
          createTwoFilesPatch(path, path, before ?? '', after, undefined, undefined, { context: 1 }),
        )
        .join('\n'),
    [changed],
  );
  const download = async () => {
    const zip = await shown.read.worker.ask({ kind: 'pack' });
    saveFile(`${page.name || 'page'}.zip`, zip, 'application/zip');
  };
  return (
    <section aria-label="Changes" className="flex h-full min-h-0 flex-col text-bench">
      <div className="flex h-9 shrink-0 items-center gap-2 border-b border-twine px-3">
        <span className="text-ink-faint">handed back</span>
        <Choice
          label="How it is handed back"
          value={page.inPlace ? 'in place' : 'added'}
          options={FORMS}
          onChange={(form) => {
            edit(
              { name: 'set-foreign-page', args: { id: page.id, fields: { inPlace: form === 'in place' } } },
              'How a page is handed back',
            );
          }}
        />
        <span role="status" className="text-ink-faint">
          {busy ? `making change ${Math.min(made + 1, page.changes.length)} of ${page.changes.length}…` : ''}
          {stopped ? 'stopped: the newest changes are not made' : ''}
        </span>
        {(busy || stopped) && (
          <Button className="!h-6" onClick={stopped ? onAgain : onStop}>
            {stopped ? 'Make them' : 'Stop'}
          </Button>
        )}
        <span className="ml-auto" />
        <Button
          tone="strong"
          className="!h-6"
          disabled={!changed || busy || stopped}
          onClick={() => void download()}
        >
          Download the page
        </Button>
        <Button className="!h-6" onClick={onBack}>
          Back to the sheet
        </Button>
      </div>
      <div className="grid min-h-0 grow grid-cols-2">
        <ol className="min-h-0 overflow-auto border-r border-twine bg-white">
          {page.changes.map((change) => (
            <li
              key={change.id}
              className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-2 border-b border-linen px-3 py-1.5"
            >
              <span className="font-mono text-[12px] break-words">{changeInWords(change)}</span>
              <Button
                className="!h-6"
                onClick={() => {
                  edit(removeChange(page, change.id), 'Take a change back');
                }}
              >
                Take back
              </Button>
              <Outcome
                applied={changed?.applied.find(({ id }) => id === change.id)}
                onWay={(kind, way) => {
                  edit(chooseWay(page, change.id, kind, way), 'Another way out');
                }}
              />
            </li>
          ))}
          {page.changes.length === 0 && (
            <li className="p-4 text-ink-soft">
              Nothing is changed yet. Type another value into a cell of the sheet, change a colour everywhere,
              or make the header stay.
            </li>
          )}
        </ol>
        <pre
          aria-label="Difference"
          tabIndex={0}
          className="min-h-0 overflow-auto bg-white p-3 font-mono text-[12px] leading-[18px]"
        >
          {difference.split('\n').map((line, at) => (
            <span
              key={at}
              className={`block ${line.startsWith('+') && !line.startsWith('+++') ? 'bg-reed-wash' : line.startsWith('-') && !line.startsWith('---') ? 'bg-brick-wash' : /^(?:===|Index:)/.test(line) ? 'hidden' : ''}`}
            >
              {line || ' '}
            </span>
          ))}
        </pre>
      </div>
    </section>
  );
}
