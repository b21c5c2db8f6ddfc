import type { ToldValue, TrailStep } from '@hamaca/core';
import { Button } from '../../../ui/button.tsx';
import type { SaidCell } from './foreign-rows.ts';

type Said = Pick<ToldValue, 'selector' | 'conditions' | 'file' | 'line'> &
  Partial<Pick<ToldValue, 'layer' | 'important'>>;

/** Where a value stands: file and line, selector, and what surrounds its rule. */
function Place({ said }: { readonly said: Said }) {
  const layer = said.layer ?? null;
  const around = [...said.conditions, ...(layer === null ? [] : [`@layer ${layer}`])];
  return (
    <>
      <span className="font-mono text-[12px]">{said.selector ?? 'style attribute'}</span>
      {around.length > 0 && <span className="text-ink-soft"> in {around.join(', ')}</span>}
      <span className="text-ink-faint">
        {' '}
        · {said.file}:{said.line}
      </span>
      {said.important === true && <span className="text-ink-soft"> · !important</span>}
    </>
  );
}

interface Props {
  readonly name: string;
  readonly state: string;
  readonly cell: SaidCell;
  /** The custom properties that the value names. */
  readonly trail: readonly TrailStep[];
  /** How many elements its rule styles; null until that is known. */
  readonly reach: readonly number[] | null;
  readonly lit: boolean;
  readonly onLight: () => void;
  /** The colour that the value says; null where it says none. */
  readonly colour: string | null;
  readonly onColour: (colour: string) => void;
}

/** Below the sheet: where the value of a cell is said, and what it overrides, next best first. */
export function ForeignOrigin({ name, state, cell, trail, reach, lit, onLight, colour, onColour }: Props) {
  return (
    <div
      aria-label="Origin"
      role="region"
      className="max-h-40 shrink-0 overflow-auto border-t border-twine bg-cotton px-3 py-1.5 text-bench"
    >
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span>
          <b className="font-semibold">
            {name}, {state}:
          </b>{' '}
          {cell.value}
        </span>
        <span className="min-w-0">
          <Place said={cell} />
        </span>
        {cell.from !== null && <span className="text-ink-soft">inherited from {cell.from}</span>}
        {!cell.certain && (
          <span className="text-brick" title="Something only the browser knows decides whether this applies">
            not certain
          </span>
        )}
        {reach && (
          <Button pressed={lit} className="!h-6 !text-small" onClick={onLight}>
            {reach.length === 1 ? 'styles this alone' : `styles ${reach.length} elements`}
          </Button>
        )}
        {colour !== null && (
          <Button
            className="!h-6 !text-small"
            title="Find this colour wherever the page says it, in any notation"
            onClick={() => {
              onColour(colour);
            }}
          >
            everything in {colour}…
          </Button>
        )}
      </p>
      {trail.length > 0 && (
        <ol aria-label="Where it is written" className="mt-1 grid gap-0.5 text-ink-soft">
          {trail.map((step) => (
            <li key={step.name}>
              {step.name}: {step.value} <Place said={step} />
            </li>
          ))}
        </ol>
      )}
      {cell.overridden.length > 0 && (
        <ol aria-label="Overridden" className="mt-1 grid gap-0.5 text-ink-soft">
          {cell.overridden.map((other) => (
            <li key={`${other.file}:${other.line}:${other.column}:${other.value}`}>
              <s className="mr-2">{other.value}</s>
              <Place said={other} />
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
