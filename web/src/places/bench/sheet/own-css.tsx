import {
  askedAt,
  overriddenBy,
  parseValue,
  property,
  readDeclarations,
  type Declaration,
  type Site,
} from '@hamaca/core';
import { useEffect, useRef, useState } from 'react';
import { useSiteStore } from '../../../store/open-site.tsx';
import { reachBand, type SheetCell } from './sheet-model.ts';
import { setCells } from './sheet-edits.ts';

/** A declaration on each line. */
const inLines = (declarations: readonly Declaration[]) =>
  declarations.map(([name, value]) => `${name}: ${value};`).join('\n');

/** Whether this browser knows a declaration; what it does not know is written all the same, for those that do. */
const isKnown = ([name, value]: Declaration) =>
  name.startsWith('--') || CSS.supports(name, value.replace(/\s*!important$/i, ''));

/** What own declarations go before, line by line. */
function Effects({
  site,
  cell,
  declarations,
}: {
  readonly site: Site;
  readonly cell: SheetCell;
  readonly declarations: readonly Declaration[];
}) {
  const { cell: place } = cell;
  const effects = overriddenBy(
    site,
    {
      owner: place.owner,
      slot: place.slot,
      ...askedAt(site, place, place.level),
      states: place.state === 'rest' ? [] : [place.state],
      band: reachBand(site, place.band),
    },
    declarations,
  );
  return (
    <ul aria-label="What they override" className="min-w-0 overflow-auto">
      {effects.map(({ declaration, over }, index) => (
        <li key={index} className="flex min-h-5 gap-2">
          <code className="shrink-0">{declaration[0]}</code>
          {!isKnown(declaration) ? (
            <span className="text-brick">this browser knows no such declaration</span>
          ) : over.length === 0 ? (
            <span className="text-ink-faint">overrides nothing</span>
          ) : (
            <span className="truncate text-ink-soft">
              overrides {over.map(({ property: id, value }) => `${property(id).label} ${value}`).join(', ')}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** Declarations of the designer's own for one place of the sheet, seen on the stage while they are typed. */
export function OwnCss({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const store = useSiteStore();
  const own = cell.own && typeof cell.resolved.value === 'string' ? cell.resolved.value : '';
  const kept = readDeclarations(own);
  const shown = kept.ok ? inLines(kept.value) : own;
  const [text, setText] = useState(shown);
  const typed = useRef(false);
  useEffect(() => {
    if (!typed.current) setText(shown);
  }, [shown]);
  const read = readDeclarations(text);
  const asEdit = (value: string) => {
    const parsed = value.trim() === '' ? null : parseValue(site, 'ownCss', value);
    if (parsed?.ok === false) return null;
    return setCells([{ ...cell.cell, value: parsed ? parsed.value : null }]);
  };
  const commit = () => {
    if (!typed.current) return;
    const edit = asEdit(text);
    store.preview(null);
    // What cannot be used stays to be mended, with what is wrong beneath it.
    if (!edit) return;
    typed.current = false;
    store.edit(edit, `Own CSS, ${cell.cell.state}`);
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <textarea
        aria-label={`Own CSS, ${cell.cell.state}`}
        aria-invalid={!read.ok}
        aria-describedby="own-css-refused"
        rows={3}
        spellCheck={false}
        className="field h-auto w-full resize-y py-1 font-mono text-small"
        placeholder={'rotate: -2deg;\nletter-spacing: .04em;'}
        value={text}
        onChange={(event) => {
          typed.current = true;
          setText(event.target.value);
          store.preview(asEdit(event.target.value));
        }}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) commit();
          else if (event.key === 'Escape') {
            typed.current = false;
            setText(shown);
            store.preview(null);
          }
        }}
      />
      {read.ok ? (
        <Effects site={site} cell={cell} declarations={read.value} />
      ) : (
        <p id="own-css-refused" role="alert" className="text-brick">
          Not used: {read.error}.
        </p>
      )}
    </div>
  );
}
