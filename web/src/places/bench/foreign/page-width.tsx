import { setWidth, useBench, WIDTHS } from '../../../store/bench-store.ts';
import { Button } from '../../../ui/button.tsx';

const USUAL = [390, 820, 1280] as const;

/** The width a foreign page is looked at in. */
export function PageWidth() {
  const width = useBench((state) => state.width);
  return (
    <div className="flex h-9 shrink-0 items-center gap-3 px-4 text-bench">
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
        className="slide h-2 min-w-0 grow cursor-ew-resize appearance-none rounded-full bg-rope"
      />
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
