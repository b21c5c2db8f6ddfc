import type { ReactNode } from 'react';

interface Props {
  readonly name: string;
  readonly about: string;
  /** The design, drawn. */
  readonly children: ReactNode;
  readonly onChoose: () => void;
}

/** One starting design: its drawing, its name and what it is. */
export function StarterCard({ name, about, children, onChoose }: Props) {
  return (
    <button
      type="button"
      onClick={onChoose}
      className="grid w-full content-start gap-1 border border-twine bg-white p-2 text-left text-bench hover:border-ochre focus-visible:border-ochre"
    >
      <span aria-hidden="true" className="pointer-events-none block overflow-hidden bg-surround">
        {children}
      </span>
      <span>
        <b className="font-semibold">{name}</b> <span className="text-small text-ink-faint">{about}</span>
      </span>
    </button>
  );
}
