/** Words on a control of a full bar: where that has no room they end in an ellipsis. */
export function Short({ text }: { readonly text: string }) {
  return <span className="block max-w-44 truncate slim:max-w-16">{text}</span>;
}
