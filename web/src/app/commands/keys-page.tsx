import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import { COMMANDS, keysLabel } from './commands.ts';

/** Keys that belong to one view rather than to a command. */
const LOCAL_KEYS: readonly (readonly [where: string, keys: string, what: string])[] = [
  ['Look sheet', 'Arrows', 'move from cell to cell'],
  ['Look sheet', 'Enter or typing', 'edit the cell'],
  ['Look sheet', 'Delete', 'clear the cell'],
  ['Look sheet, in a cell', '↑ ↓', 'step a number; with Shift ten steps, with Alt a tenth'],
  ['Width line', '← →', 'move pointer or knot by 1 px; with Shift by 10 px'],
  ['Links', 'Enter', 'add a link below'],
  ['Links', 'Tab, Shift+Tab', 'nest, and out again'],
  ['Links', 'Alt+↑ ↓', 'move the link, or the taken lines, with their branches'],
  ['Links', 'Shift+↑ ↓', 'take more lines'],
  ['Links', 'Ctrl+C, Ctrl+X, Ctrl+V', 'copy, cut and paste branches, also from other programs'],
  ['Links', '→ at the end of a label', 'to the target'],
  ['Links', 'Alt+Enter', 'everything else about the link'],
  ['Links', 'Backspace on an empty line', 'remove it'],
  ['Pages', 'Enter', 'put the taken pages into the menu at the caret'],
];

export function KeysPage({ onClose }: { readonly onClose: () => void }) {
  const rows = [
    ...COMMANDS.filter((command) => command.keys).map(
      (command) => ['Everywhere', (command.keys ?? []).map(keysLabel).join(' or '), command.label] as const,
    ),
    ...LOCAL_KEYS,
  ];
  return (
    <SheetDialog title="Keys" onClose={onClose}>
      <table className="m-4 text-bench">
        <tbody>
          {rows.map(([where, keys, what]) => (
            <tr key={where + keys}>
              <td className="py-0.5 pr-4 text-ink-faint">{where}</td>
              <td className="py-0.5 pr-4 font-semibold whitespace-nowrap">{keys}</td>
              <td className="py-0.5">{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </SheetDialog>
  );
}
