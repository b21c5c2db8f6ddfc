import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import { COMMANDS, keysLabel } from './commands.ts';

/** Keys that belong to one view rather than to a command. */
const LOCAL_KEYS: readonly (readonly [where: string, keys: string, what: string])[] = [
  ['Look sheet', 'Arrows', 'move from cell to cell'],
  ['Look sheet', 'Enter or typing', 'edit the cell'],
  ['Look sheet', 'Delete', 'clear the cell'],
  ['Look sheet', '↑ ↓ in a cell', 'step a number; with Shift ten steps, with Alt a tenth'],
  ['Width line', '← →', 'move pointer or knot by 1 px; with Shift by 10 px'],
  ['Width line', 'Enter on the pointer', 'tie a breakpoint there and name its band'],
  ['Width line', 'Delete on a knot', 'untie it'],
  ['Links', 'Enter', 'add a link below; in a target that was typed, take it first'],
  ['Links', 'Tab, Shift+Tab', 'nest, and out again'],
  ['Links', 'Alt+↑ ↓', 'move the link, or the taken lines, with their branches'],
  ['Links', 'Shift+↑ ↓', 'take more lines'],
  ['Links', 'Ctrl+C, Ctrl+X, Ctrl+V', 'copy, cut and paste branches, also from other programs'],
  ['Links', '→ at the end of a label', 'to the target'],
  ['Links', 'Alt+Enter', 'everything else about the link'],
  ['Links', 'Backspace on an empty line', 'remove it'],
  ['Pages', 'Enter', 'put the taken pages into the menu at the caret'],
];

/** Where a command's keys hold, by what its id begins with. */
const PLACES: Readonly<Record<string, string>> = { links: 'Links', bench: 'Bench' };

type Row = readonly [keys: string, what: string];

/** All keys by the place they belong to, those that hold everywhere first. */
export function keysByPlace(): ReadonlyMap<string, readonly Row[]> {
  const groups = new Map<string, Row[]>([['Everywhere', []]]);
  const add = (where: string, row: Row) => {
    groups.set(where, [...(groups.get(where) ?? []), row]);
  };
  for (const { id, keys, label } of COMMANDS)
    if (keys) add(PLACES[id.split('-')[0] ?? ''] ?? 'Everywhere', [keys.map(keysLabel).join(' or '), label]);
  for (const [where, keys, what] of LOCAL_KEYS) add(where, [keys, what]);
  return groups;
}

export function KeysPage({ onClose }: { readonly onClose: () => void }) {
  return (
    <SheetDialog title="Keys" onClose={onClose}>
      <div className="p-4 text-bench">
        {[...keysByPlace()].map(([where, rows]) => (
          <section key={where} aria-label={where} className="mb-4">
            <h3 className="mb-1 border-b border-twine font-semibold">{where}</h3>
            <dl className="grid grid-cols-[13rem_1fr] gap-x-4 gap-y-0.5">
              {rows.map(([keys, what]) => (
                <div key={keys} className="col-span-2 grid grid-cols-subgrid">
                  <dt className="text-ink-soft">{keys}</dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </SheetDialog>
  );
}
