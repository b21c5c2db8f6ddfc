import {
  formatColour,
  formatOklch,
  isInSrgb,
  oklchOf,
  parseColour,
  type Oklch,
  type Rgba,
} from '@hamaca/core';
import { useEffect, useState, type ReactNode } from 'react';
import { Slide } from './slide.tsx';
import { TextField } from './text-field.tsx';

export interface ColourEditorProps {
  /** A CSS colour. */
  readonly value: string;
  /** Called on every step of a slide or a letter typed; null where that is taken back. */
  readonly onPreview: (value: string | null) => void;
  readonly onCommit: (value: string) => void;
  readonly children?: ReactNode;
}

/** The three axes of OKLCH, with alpha: how far each goes, and its steps. */
const AXES = [
  { id: 'l', label: 'lightness', max: 100, step: 0.5 },
  { id: 'c', label: 'colourfulness', max: 0.34, step: 0.002 },
  { id: 'h', label: 'hue', max: 360, step: 1 },
] as const;

const BLACK: Rgba = { r: 0, g: 0, b: 0, a: 1 };

/** Stops of a slider's track: the colour as it would be there. */
const trackOf = (at: Oklch, axis: (typeof AXES)[number]) =>
  `linear-gradient(90deg, ${Array.from({ length: 9 }, (_, index) => formatColour(parseColour(formatOklch({ ...at, [axis.id]: (axis.max * index) / 8 })) ?? BLACK)).join(', ')})`;

/** A colour by lightness, colourfulness and hue as the eye sees them (OKLCH), by alpha, or typed in any notation. */
export function ColourEditor({ value, onPreview, onCommit, children }: ColourEditorProps) {
  const parsed = parseColour(value) ?? BLACK;
  const [at, setAt] = useState<Oklch>(() => oklchOf(parsed));
  const [alpha, setAlpha] = useState(parsed.a);
  const [sliding, setSliding] = useState(false);
  const hex = formatColour(parsed);
  // A hue that greys have none of is kept while sliding.
  useEffect(() => {
    if (sliding) return;
    const outside = parseColour(hex) ?? BLACK;
    setAt((before) => {
      const next = oklchOf(outside);
      return next.c < 0.004 ? { ...next, h: before.h } : next;
    });
    setAlpha(outside.a);
  }, [hex, sliding]);
  const written = (colour: Oklch, thin: number) =>
    formatColour({ ...(parseColour(formatOklch(colour)) ?? BLACK), a: thin });
  const slide = (next: Oklch, thin: number) => {
    setSliding(true);
    setAt(next);
    setAlpha(thin);
    onPreview(written(next, thin));
  };
  const end = () => {
    if (!sliding) return;
    setSliding(false);
    onCommit(written(at, alpha));
  };
  return (
    <div className="grid gap-1.5 text-bench">
      {AXES.map((axis) => (
        <Slide
          key={axis.id}
          label={axis.label}
          max={axis.max}
          step={axis.step}
          value={at[axis.id]}
          track={trackOf(at, axis)}
          onSlide={(moved) => {
            slide({ ...at, [axis.id]: moved }, alpha);
          }}
          onEnd={end}
        />
      ))}
      <Slide
        label="opacity"
        max={100}
        step={1}
        value={Math.round(alpha * 100)}
        track={`linear-gradient(90deg, transparent, ${formatColour({ ...parsed, a: 1 })})`}
        onSlide={(percent) => {
          slide(at, percent / 100);
        }}
        onEnd={end}
      />
      <label className="grid grid-cols-[84px_1fr] items-center gap-2">
        <span className="text-small text-ink-soft">colour</span>
        <TextField
          className="w-full tabular"
          value={value}
          onTyping={(text) => {
            if (text === null || parseColour(text)) onPreview(text);
          }}
          onCommit={(text) => {
            if (!parseColour(text)) return `“${text}” is no CSS colour.`;
            onCommit(text.trim());
            return null;
          }}
        />
      </label>
      {!isInSrgb(at) && (
        <p className="text-small text-ink-soft">
          More colourful than screens of sRGB show; the nearest they can is used.
        </p>
      )}
      {children}
    </div>
  );
}
