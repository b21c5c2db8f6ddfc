import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { leaveFocusToFields } from './keep-focus.ts';

const item =
  'flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-disabled:opacity-45';
const menu = 'z-50 min-w-44 rounded-[3px] border border-rope bg-white p-1';

/** One thing that can be done from a small menu. */
export interface Action {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly disabled?: boolean;
  readonly run: () => void;
}

interface Props {
  readonly label: string;
  readonly sign: string;
  readonly actions: () => readonly Action[];
}

/** A small menu behind a sign at the end of a line; what is in it is asked for when it is opened. */
export function Actions({ label, sign, actions }: Props) {
  const [open, setOpen] = useState(false);
  const trigger =
    'mr-1 grid h-6 min-w-6 shrink-0 place-items-center rounded-[2px] text-small text-ink-soft hover:bg-white data-[state=open]:bg-white';
  return (
    <DropdownMenu.Root open={open} onOpenChange={setOpen}>
      <DropdownMenu.Trigger aria-label={label} title={label} className={trigger}>
        {sign}
      </DropdownMenu.Trigger>
      {open && (
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={2}
            className={menu}
            onCloseAutoFocus={leaveFocusToFields}
          >
            {actions().map((action) => (
              <DropdownMenu.Item
                key={action.label}
                disabled={action.disabled === true}
                title={action.hint}
                className={item}
                onSelect={() => {
                  // Once the menu is gone, which holds the focus as long as it is there.
                  setTimeout(action.run);
                }}
              >
                {action.label}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      )}
    </DropdownMenu.Root>
  );
}
