import type { ImportNote, LinkLine } from '@hamaca/core';
import { RadioGroup } from 'radix-ui';
import type { ReactNode } from 'react';

/** Most lines drawn; all are kept. */
const MOST_SHOWN = 500;

const count = (number: number, one: string, many: string) => `${number} ${number === 1 ? one : many}`;

/** What an import could not read. */
export function Notes({ notes }: { readonly notes: readonly ImportNote[] }) {
  return (
    <ul className="grid gap-1 text-bench">
      {notes.slice(0, 100).map((note, index) => (
        <li key={index} className="border-l-[3px] border-brick bg-brick-wash px-3 py-1 break-words">
          {note.line > 0 && <b className="font-semibold">Line {note.line}: </b>}
          {note.reason}
          {note.text !== '' && <span className="text-ink-soft"> “{note.text}”</span>}
        </li>
      ))}
    </ul>
  );
}

interface Props {
  readonly links: readonly LinkLine[];
  readonly notes: readonly ImportNote[];
  readonly busy: boolean;
  readonly children?: ReactNode;
}

/** The links an import understood, nested as they will stand, and what it could not read. */
export function Understood({ links, notes, busy, children }: Props) {
  return (
    <section
      aria-label="What was understood"
      aria-busy={busy}
      className="flex min-h-0 flex-col border border-twine bg-white"
    >
      <h2 className="flex justify-between border-b border-twine px-4 py-2 text-bench font-semibold">
        What was understood
        <span role="status" className="font-normal text-ink-faint tabular">
          {busy
            ? 'reading…'
            : `${count(links.length, 'link', 'links')}, ${count(notes.length, 'remark', 'remarks')}`}
        </span>
      </h2>
      {children}
      <div className="min-h-0 grow overflow-auto px-4 py-3">
        {links.length === 0 && notes.length === 0 && (
          <p className="text-bench text-ink-soft">
            Nothing yet. Each line becomes a link here, nested as it will stand in the menu.
          </p>
        )}
        <ol className="text-bench">
          {links.slice(0, MOST_SHOWN).map((link, index) => (
            <li
              key={index}
              style={{ paddingInlineStart: (link.depth - 1) * 22 }}
              className="flex gap-4 border-b border-linen py-[3px]"
            >
              <span className="min-w-0 break-words">{link.label}</span>
              <span
                className={`ml-auto max-w-[55%] shrink-0 truncate tabular ${link.href === null ? 'text-ink-faint italic' : 'text-ink-soft'}`}
              >
                {link.href ?? 'only opens'}
              </span>
            </li>
          ))}
        </ol>
        {links.length > MOST_SHOWN && (
          <p className="py-2 text-bench text-ink-faint">and {links.length - MOST_SHOWN} more</p>
        )}
        {notes.length > 0 && (
          <div className="mt-3">
            <Notes notes={notes} />
          </div>
        )}
      </div>
    </section>
  );
}

/** What each kind of place on a page is called. */
const PLACE_WORDS = {
  header: 'in the header',
  side: 'at the side',
  page: 'in the page',
  footer: 'in the footer',
} as const;

interface MenusProps {
  readonly menus: readonly {
    readonly place: keyof typeof PLACE_WORDS;
    readonly kind: string;
    readonly name: string;
    readonly main: boolean;
    readonly links: readonly LinkLine[];
  }[];
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

/** The menus found on a page, to choose from. */
export function FoundMenus({ menus, chosen, onChoose }: MenusProps) {
  return (
    <RadioGroup.Root
      value={String(chosen)}
      onValueChange={(index) => {
        onChoose(Number(index));
      }}
      aria-label="Menus of the page"
      className="max-h-40 shrink-0 overflow-auto border-b border-twine bg-cotton text-bench"
    >
      {menus.map((menu, index) => (
        <RadioGroup.Item
          key={index}
          value={String(index)}
          className={`flex h-7 w-full items-center gap-2 border-l-[3px] px-3 text-left ${index === chosen ? 'border-ochre bg-ochre-wash' : 'border-transparent hover:bg-linen'}`}
        >
          <span className="shrink-0 font-semibold">
            {menu.name !== '' ? menu.name : menu.kind === 'menu' ? 'Menu' : menu.kind}
          </span>
          <span className="shrink-0 text-ink-faint">
            {PLACE_WORDS[menu.place]}
            {menu.main ? ' · the main one' : ''}
          </span>
          <span className="truncate text-ink-faint">
            {menu.links
              .slice(0, 5)
              .map((link) => link.label)
              .join(' · ')}
          </span>
          <span className="ml-auto shrink-0 text-ink-faint tabular">{menu.links.length}</span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
