import { Command as Menu } from 'cmdk';
import { useMemo, useState } from 'react';
import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import type { CommandContext } from './commands.ts';
import { everythingToFind, find } from './finds.ts';

/** Finds what can be done and every part, setting, property, page and place, by any of its words. */
export function Finder({
  context,
  onClose,
}: {
  readonly context: CommandContext;
  readonly onClose: () => void;
}) {
  const [typed, setTyped] = useState('');
  const everything = useMemo(() => everythingToFind(context), [context]);
  const found = find(everything, typed);
  // The best answer is chosen with the letter that made it so: Enter may follow at once.
  const [chosen, setChosen] = useState(found[0]?.id ?? '');
  return (
    <SheetDialog title="Find" onClose={onClose}>
      <Menu
        label="Everything to find"
        shouldFilter={false}
        value={chosen}
        onValueChange={setChosen}
        className="p-2"
      >
        <Menu.Input
          autoFocus
          value={typed}
          onValueChange={(text) => {
            setTyped(text);
            setChosen(find(everything, text)[0]?.id ?? '');
          }}
          placeholder="Type what you want to do, or what it is called"
          className="field mb-2 w-full"
        />
        <Menu.List>
          <Menu.Empty className="px-2 py-3 text-ink-faint">Nothing is called that.</Menu.Empty>
          {found.map(({ id, label, where, keys, run }) => (
            <Menu.Item
              key={id}
              value={id}
              onSelect={() => {
                onClose();
                run(context);
              }}
              className="flex min-h-8 items-center gap-3 rounded-[3px] px-2 text-bench data-[selected=true]:bg-ochre-wash"
            >
              <span className="min-w-0 truncate">{label}</span>
              <span className="ml-auto shrink-0 text-small text-ink-faint">{where}</span>
              {keys !== undefined && <kbd className="font-sans text-small text-ink-faint">{keys}</kbd>}
            </Menu.Item>
          ))}
        </Menu.List>
      </Menu>
    </SheetDialog>
  );
}
