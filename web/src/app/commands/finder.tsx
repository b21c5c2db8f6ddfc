import { Command as Menu } from 'cmdk';
import { SheetDialog } from '../../ui/sheet-dialog.tsx';
import { COMMANDS, keysLabel, type CommandContext } from './commands.ts';

/** Finds a command by typing part of its name. */
export function Finder({
  context,
  onClose,
}: {
  readonly context: CommandContext;
  readonly onClose: () => void;
}) {
  return (
    <SheetDialog title="Find a command" onClose={onClose}>
      <Menu label="Commands" className="p-2">
        <Menu.Input autoFocus placeholder="Type what you want to do" className="field mb-2 w-full" />
        <Menu.List>
          <Menu.Empty className="px-2 py-3 text-ink-faint">Nothing is called that.</Menu.Empty>
          {COMMANDS.filter((command) => command.id !== 'find' && command.when(context)).map((command) => (
            <Menu.Item
              key={command.id}
              onSelect={() => {
                onClose();
                command.run(context);
              }}
              className="flex h-8 items-center justify-between rounded-[3px] px-2 text-bench data-[selected=true]:bg-ochre-wash"
            >
              {command.label}
              {command.keys?.[0] !== undefined && (
                <kbd className="font-sans text-small text-ink-faint">{keysLabel(command.keys[0])}</kbd>
              )}
            </Menu.Item>
          ))}
        </Menu.List>
      </Menu>
    </SheetDialog>
  );
}
