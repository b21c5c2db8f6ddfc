import type { PageBreakpoint } from '@hamaca/core';
import { setWidth, useBench, WIDTHS } from '../../../store/bench-store.ts';
import { Button } from '../../../ui/button.tsx';

const USUAL = [390, 820, 1280] as const;

/** Where a width lies on the line, in hundredths. */
const placeOf = (width: number) => ((width - WIDTHS.from) / (WIDTHS.to - WIDTHS.from)) * 100;

const rulesInWords = (count: number) => (count === 1 ? '1 rule changes' : `${count} rules change`);

/** The width a foreign page is looked at in, with the widths at which the page itself changes. */
export function PageWidth({ breakpoints }: { readonly breakpoints: readonly PageBreakpoint[] }) {
  const width = useBench((state) => state.width);
  const inRange = breakpoints.filter((at) => at.width >= WIDTHS.from && at.width <= WIDTHS.to);
  return (
    <div className="flex h-9 shrink-0 items-center gap-3 px-4 text-bench">
      <div className="relative min-w-0 grow">
        <input
          type="range"
          aria-label="Width of the page in px"
          min={WIDTHS.from}
          max={WIDTHS.to}
          step={1}
          value={width}
          onChange={(event) => {
            setWidth(Number(event.target.value));
          }}
          className="slide block h-2 w-full cursor-ew-resize appearance-none rounded-full bg-rope"
        />
        <ul aria-label="Widths at which the page changes">
          {inRange.map((at) => (
            <li key={at.width}>
              <button
                type="button"
                aria-label={`${at.width} px: ${rulesInWords(at.rules)}`}
                title={`The page changes at ${at.width} px: ${rulesInWords(at.rules)}`}
                className="absolute top-[9px] h-3 w-2.5 -translate-x-1/2 cursor-pointer before:mx-auto before:block before:h-full before:w-0.5 before:bg-ink-faint hover:before:bg-ochre focus-visible:before:bg-ochre"
                style={{ left: `${placeOf(at.width)}%` }}
                onClick={() => {
                  setWidth(at.width);
                }}
              />
            </li>
          ))}
        </ul>
      </div>
      <span className="w-16 text-right tabular">{width} px</span>
      {USUAL.map((usual) => (
        <Button
          key={usual}
          pressed={width === usual}
          className="!h-6 !text-small"
          onClick={() => {
            setWidth(usual);
          }}
        >
          {usual}
        </Button>
      ))}
    </div>
  );
}
