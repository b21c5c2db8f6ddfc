import { useState } from 'react';

interface Props {
  readonly label: string;
  /** The name it is heard by, where the label alone says too little. */
  readonly name?: string;
  readonly max: number;
  readonly step: number;
  readonly value: number;
  /** CSS of what lies behind the knob. */
  readonly track?: string;
  readonly unit?: string;
  readonly onSlide: (value: number) => void;
  readonly onEnd: (value: number) => void;
}

const MOVING_KEYS = /^(?:Arrow|Page|Home$|End$)/;

/** A number on a slide from 0 to `max`. While it is moved it shows its own value, as what it changes may follow later. */
export function Slide({ label, name, max, step, value, track, unit = '', onSlide, onEnd }: Props) {
  const [moved, setMoved] = useState<number | null>(null);
  const shown = moved ?? value;
  const end = () => {
    if (moved === null) return;
    setMoved(null);
    onEnd(moved);
  };
  return (
    <label className="grid grid-cols-[84px_1fr_44px] items-center gap-2">
      <span className="text-small text-ink-soft">{label}</span>
      <input
        type="range"
        aria-label={name}
        min={0}
        max={max}
        step={step}
        value={shown}
        style={track === undefined ? undefined : { background: track }}
        onChange={(event) => {
          const next = Number(event.target.value);
          setMoved(next);
          onSlide(next);
        }}
        onPointerUp={end}
        onKeyUp={(event) => {
          if (MOVING_KEYS.test(event.key)) end();
        }}
        className="slide h-6 w-full cursor-pointer appearance-none rounded-[2px] border border-ink/25 bg-linen"
      />
      <span className="text-right text-small tabular">
        {shown}
        {unit}
      </span>
    </label>
  );
}
