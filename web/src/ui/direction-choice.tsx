import type { Site } from '@hamaca/core';
import { Choice } from './choice.tsx';

const DIRECTIONS = [
  { value: 'ltr', label: 'left to right' },
  { value: 'rtl', label: 'right to left' },
] as const;

/** Which way a site’s language is written. */
export function DirectionChoice({
  value,
  onChange,
}: {
  readonly value: Site['direction'];
  readonly onChange: (direction: Site['direction']) => void;
}) {
  return (
    <Choice
      label="Direction"
      value={value}
      options={DIRECTIONS}
      onChange={(chosen) => {
        onChange(chosen as Site['direction']);
      }}
    />
  );
}
