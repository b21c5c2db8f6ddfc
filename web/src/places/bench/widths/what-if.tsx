import { findPiece, whatIfs, type Measurer, type WhatIf as Change } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { memo, useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { PopoverBox } from '../../../ui/popover-box.tsx';
import { Button } from '../../../ui/button.tsx';
import { useSite, useSiteStore } from '../../../store/open-site.tsx';
import { benchStore, useBench } from '../../../store/bench-store.ts';

const show = (wondering: boolean) => {
  benchStore.setState({ wondering });
};

/** The changes that help, each seen on the stage while it is pointed at and taken with Enter. */
function Changes({ changes }: { readonly changes: readonly Change[] }) {
  const store = useSiteStore();
  const list = useRef<HTMLUListElement>(null);
  useEffect(
    () => () => {
      store.preview(null);
    },
    [store],
  );
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const buttons = [...(list.current?.querySelectorAll('button') ?? [])];
    const here = buttons.indexOf(document.activeElement as HTMLButtonElement);
    if (step === 0 || buttons.length === 0) return;
    event.preventDefault();
    buttons.at((here + step) % buttons.length)?.focus();
  };
  if (changes.length === 0)
    return <p className="text-ink-soft">Nothing small would help: the row needs all of its room.</p>;
  return (
    <ul ref={list} className="grid" onKeyDown={onKeyDown}>
      {changes.map((change) => (
        <li key={change.label}>
          <button
            type="button"
            onPointerEnter={() => {
              store.preview(change.edit);
            }}
            onFocus={() => {
              store.preview(change.edit);
            }}
            onPointerLeave={() => {
              store.preview(null);
            }}
            onClick={() => {
              store.preview(null);
              store.edit(change.edit, `Row fits: ${change.label}`);
              show(false);
            }}
            className="flex w-full items-baseline gap-3 px-2 py-1 text-left hover:bg-ochre-wash focus-visible:bg-ochre-wash"
          >
            <span className="grow">{change.label}</span>
            <span className="text-small whitespace-nowrap text-ink-faint tabular">
              fits from <b className="text-ink">{change.from}</b> instead of {change.instead}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

interface Props {
  /** Id of the piece whose rows are meant. */
  readonly piece: string;
  readonly measure: Measurer;
}

function Wondering({ piece, measure }: Props) {
  // What is previewed changes the site: the list stays that of the site it was asked for.
  const site = useRef(useSite());
  const changes = useMemo(() => {
    const found = findPiece(site.current, piece);
    return found ? whatIfs(site.current, found, measure) : [];
  }, [piece, measure]);
  return <Changes changes={changes} />;
}

/** What would let the row fit in narrower windows: each change with the width it would fit from. */
function WhatIfOf(props: Props) {
  const isOpen = useBench((state) => state.wondering);
  return (
    <Popover.Root open={isOpen} onOpenChange={show}>
      <Popover.Trigger asChild>
        <Button
          className="!h-6 !px-1.5 !text-small"
          title="What would let the row fit in narrower windows (Alt+W)"
        >
          what if
        </Button>
      </Popover.Trigger>
      <PopoverBox align="end" aria-label="What would let the row fit" className="w-[30rem] p-2 text-bench">
        <Wondering {...props} />
      </PopoverBox>
    </Popover.Root>
  );
}

/** Asked for by the piece's id, so that no edit draws it anew. */
export const WhatIf = memo(WhatIfOf);
