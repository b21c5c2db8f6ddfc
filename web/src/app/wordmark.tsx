/** The product's mark: its name slung between two posts. */
export function Wordmark() {
  return (
    <span className="inline-flex items-center gap-2 font-bold tracking-tight">
      <svg viewBox="0 0 34 20" className="h-5 w-[34px]" aria-hidden="true">
        <path d="M3 2v17M31 2v17" stroke="currentColor" strokeWidth="2.2" strokeLinecap="round" />
        <path d="M3 5c8 14 20 14 28 0" fill="none" stroke="var(--color-ochre)" strokeWidth="3" />
      </svg>
      Hamaca
    </span>
  );
}
