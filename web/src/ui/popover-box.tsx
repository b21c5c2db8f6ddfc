import { Popover } from 'radix-ui';
import type { ComponentProps } from 'react';

type Props = Omit<ComponentProps<typeof Popover.Content>, 'sideOffset'>;

/** The box of a popover: white, lined, over everything else, a little apart from what opened it. */
export function PopoverBox({ className = '', align = 'start', ...rest }: Props) {
  return (
    <Popover.Portal>
      <Popover.Content
        sideOffset={4}
        align={align}
        className={`z-50 rounded-[3px] border border-rope bg-white ${className}`}
        {...rest}
      />
    </Popover.Portal>
  );
}
