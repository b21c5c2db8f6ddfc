import { useState } from 'react';
import type { ShownForeignPage } from '../../../stage/foreign-pages.ts';
import { useAnswer } from '../../../stage/use-answer.ts';
import { Button } from '../../../ui/button.tsx';

interface Props {
  readonly shown: ShownForeignPage;
  readonly colour: string;
  readonly onLight: (elements: readonly number[]) => void;
  /** Another colour was chosen: for all places, or for some of them by their keys. */
  readonly onChange: (to: string, only: readonly string[]) => void;
  readonly onBack: () => void;
}

/** Everything a page says in one colour, whatever its notation: change it once, in all places or in those ticked. */
export function ForeignColours({ shown, colour, onLight, onChange, onBack }: Props) {
  const places = useAnswer(shown, { kind: 'colour', colour }, [colour]);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [to, setTo] = useState('');
  const isColour = to.trim() !== '' && CSS.supports('color', to.trim());
  const ticked = places?.filter(({ key }) => !left.has(key)) ?? [];
  const toggle = (key: string) => {
    setLeft((before) => {
      const after = new Set(before);
      if (!after.delete(key)) after.add(key);
      return after;
    });
  };
  return (
    <section aria-label={`Everything in ${colour}`} className="flex h-full min-h-0 flex-col text-bench">
      <form
        className="flex h-9 shrink-0 items-center gap-2 border-b border-twine px-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (isColour && ticked.length > 0)
            onChange(to.trim(), left.size === 0 ? [] : ticked.map(({ key }) => key));
        }}
      >
        <span
          aria-hidden="true"
          className="size-4 rounded-[2px] border border-ink/25"
          style={{ background: colour }}
        />
        <b className="font-semibold">{colour}</b>
        <span className="text-ink-faint">becomes</span>
        <input
          autoFocus
          aria-label="New colour"
          placeholder="#063, teal, oklch(…)"
          value={to}
          onChange={(event) => {
            setTo(event.target.value);
          }}
          className="field !h-6 w-44"
        />
        <span
          aria-hidden="true"
          className="size-4 rounded-[2px] border border-ink/25"
          style={isColour ? { background: to.trim() } : {}}
        />
        <Button type="submit" tone="strong" className="!h-6" disabled={!isColour || ticked.length === 0}>
          Change {left.size === 0 ? 'all' : ''} {ticked.length}
        </Button>
        <span className="ml-auto" />
        <Button className="!h-6" onClick={onBack}>
          Back to the sheet
        </Button>
      </form>
      <ul aria-label="Places" className="min-h-0 grow overflow-auto bg-white">
        {places?.map(({ key, file, line, selector, conditions, property, value, elements }) => (
          <li
            key={key}
            onMouseEnter={() => {
              onLight(elements);
            }}
            onMouseLeave={() => {
              onLight([]);
            }}
            onFocus={() => {
              onLight(elements);
            }}
            className="border-b border-linen"
          >
            <label className="flex h-8 items-center gap-2 px-3 hover:bg-cotton">
              <input
                type="checkbox"
                checked={!left.has(key)}
                onChange={() => {
                  toggle(key);
                }}
              />
              <span className="min-w-0 truncate font-mono text-[12px]">{selector ?? 'style attribute'}</span>
              <span className="min-w-0 truncate">
                {property}: {value}
              </span>
              {conditions.length > 0 && (
                <span className="truncate text-ink-soft">in {conditions.join(', ')}</span>
              )}
              <span className="ml-auto shrink-0 text-ink-faint">
                {elements.length} {elements.length === 1 ? 'element' : 'elements'} · {file}:{line}
              </span>
            </label>
          </li>
        ))}
      </ul>
      {places?.length === 0 && (
        <p className="p-4 text-ink-soft">No rule of the page says this colour any more.</p>
      )}
    </section>
  );
}
