import type { ElementLook } from '../../../workers/foreign-page.ts';
import type { ForeignRow } from './foreign-rows.ts';

interface Props {
  readonly row: ForeignRow;
  readonly state: string;
  readonly value: string | null;
  readonly attributes: ElementLook['attributes'];
}

/** Below the sheet: that no rule says a value, and by what the browser draws it so. */
export function ForeignDrawn({ row, state, value, attributes }: Props) {
  const attribute = attributes.find(({ properties }) => properties.test(row.longhand));
  return (
    <div
      aria-label="Origin"
      role="region"
      className="shrink-0 border-t border-twine bg-cotton px-3 py-1.5 text-bench"
    >
      <b className="font-semibold">
        {row.name}, {state}:
      </b>{' '}
      {value ?? 'nothing said'}{' '}
      <span className="text-ink-soft">
        {attribute
          ? `by the attribute ${attribute.text}, beneath every rule`
          : 'by the browser’s own stylesheet; no rule of the page says it'}
      </span>
    </div>
  );
}
