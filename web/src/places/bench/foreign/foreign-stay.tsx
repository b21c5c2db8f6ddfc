import { COMINGS, type Coming } from '@hamaca/core';
import { useState } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import type { NewChange } from './foreign-edits.ts';

const WAYS = [
  { value: 'on top', label: 'always on top' },
  { value: 'hides', label: 'hides on the way down' },
  { value: 'appears', label: 'appears after a distance' },
];
type Way = 'on top' | 'hides' | 'appears';

const px = (text: string): number => {
  const value = Math.round(Number(text));
  return Number.isFinite(value) ? Math.min(4000, Math.max(0, value)) : 0;
};

interface Props {
  /** A selector of what is to stay. */
  readonly at: string;
  /** Px it is high now; null where that is not known. */
  readonly height: number | null;
  readonly onMake: (change: NewChange) => void;
  readonly onBack: () => void;
}

/** The choices for a header that is to stay in the window. */
export function ForeignStay({ at, height, onMake, onBack }: Props) {
  const [sticking, setSticking] = useState<Way>('on top');
  const [coming, setComing] = useState<Coming>('slides');
  const [after, setAfter] = useState('300');
  const [above, setAbove] = useState('');
  const [below, setBelow] = useState('');
  const [scrolled, setScrolled] = useState('');
  const [scrolledLogo, setScrolledLogo] = useState('');
  const [hangs, setHangs] = useState(false);
  const number = (label: string, value: string, set: (text: string) => void) => (
    <label className="flex items-center gap-1.5">
      <span className="text-ink-soft">{label}</span>
      <input
        inputMode="numeric"
        value={value}
        onChange={(event) => {
          set(event.target.value);
        }}
        className="field !h-6 w-16 tabular"
      />{' '}
      px
    </label>
  );
  const words = (label: string, hint: string, value: string, set: (text: string) => void) => (
    <label className="flex items-center gap-1.5">
      <span className="w-40 text-ink-soft">{label}</span>
      <input
        value={value}
        placeholder={hint}
        spellCheck={false}
        onChange={(event) => {
          set(event.target.value);
        }}
        className="field !h-6 min-w-0 grow font-mono text-[12px]"
      />
    </label>
  );
  return (
    <form
      aria-label="Make it stay"
      className="flex h-full min-h-0 flex-col gap-3 overflow-auto p-3 text-bench"
      onSubmit={(event) => {
        event.preventDefault();
        onMake({
          at,
          sticking,
          after: Math.max(1, px(after)),
          coming,
          above: px(above),
          below: px(below),
          scrolled,
          scrolledLogo,
          height: Math.round(height ?? 0),
          hangs,
          ways: '',
        });
      }}
    >
      <p>
        <b className="font-mono text-[12px] font-semibold">{at}</b>
        <span className="text-ink-soft">
          {' '}
          stays in the window while the page scrolls
          {height === null ? '' : `; it is ${Math.round(height)} px high`}.
        </span>
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <Choice
          label="How it stays"
          value={sticking}
          options={WAYS}
          onChange={(way) => {
            setSticking(way as Way);
          }}
        />
        {sticking === 'appears' && number('after', after, setAfter)}
        <Choice
          label="How it leaves and comes"
          value={coming}
          options={COMINGS.map((value) => ({ value, label: value }))}
          onChange={(value) => {
            setComing(value as Coming);
          }}
        />
        {number('from', above, setAbove)}
        {number('below', below, setBelow)}
        <label className="flex items-center gap-1.5">
          <input
            type="checkbox"
            checked={hangs}
            onChange={(event) => {
              setHangs(event.target.checked);
            }}
          />
          out of the page’s flow
        </label>
      </div>
      {words('once scrolled', 'background: #fff; box-shadow: 0 1px 4px #0003', scrolled, setScrolled)}
      {words('its logo, once scrolled', 'height: 32px', scrolledLogo, setScrolledLogo)}
      <div className="flex gap-2">
        <Button type="submit" tone="strong">
          Make it stay
        </Button>
        <Button onClick={onBack}>Back to the sheet</Button>
      </div>
    </form>
  );
}
