import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A panel over the page for one short task; Escape and a click beside it close it. */
export function SheetDialog({
  title,
  onClose,
  children,
  wide = false,
}: {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly wide?: boolean;
}) {
  return (
    <Dialog.Root
      open
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
    >
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Dialog.Content
          aria-describedby={undefined}
          onFocus={({ target, currentTarget }) => {
            // One dialog that closes while the next opens leaves the focus on the box: what is typed goes to its field.
            if (target === currentTarget) currentTarget.querySelector('input')?.focus();
          }}
          className={`fixed top-16 left-1/2 z-50 max-h-[84vh] ${wide ? 'w-[min(1040px,94vw)]' : 'w-[min(560px,92vw)]'} -translate-x-1/2 overflow-auto rounded-[4px] border border-rope bg-cotton`}
        >
          <Dialog.Title className="border-b border-twine px-4 py-2 text-bench font-semibold">
            {title}
          </Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
