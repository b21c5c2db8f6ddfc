import type { ButtonHTMLAttributes } from 'react';

type Tone = 'plain' | 'strong' | 'quiet';

const TONES: Readonly<Record<Tone, string>> = {
  plain: 'border border-twine bg-white hover:border-rope',
  strong: 'border border-ink bg-ink text-white hover:bg-ink-soft',
  quiet: 'border border-transparent hover:bg-linen',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly tone?: Tone;
  readonly pressed?: boolean;
}

/** A button of the interface: 28 px high, a verb on it. */
export function Button({ tone = 'plain', pressed, className = '', type = 'button', ...rest }: Props) {
  const held = pressed ? 'border border-ochre bg-ochre-wash' : TONES[tone];
  return (
    <button
      type={type}
      aria-pressed={pressed}
      className={`inline-flex h-7 items-center gap-1.5 rounded-[3px] px-2.5 text-bench whitespace-nowrap disabled:opacity-45 ${held} ${className}`}
      {...rest}
    />
  );
}
