/** Says that something is a draft: here for those who work at the site, and in no hand-off. */
export function DraftMark() {
  return (
    <span
      title="A draft: in no hand-off until it is let go"
      className="ml-1 rounded-[2px] border border-dashed border-ink-faint px-1 text-small font-normal text-ink-soft"
    >
      draft
    </span>
  );
}
