import type { Icon, Site } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { IconTone } from '../media/icon-tone.ts';
import { searchIcons } from '../workers/run-find-icons.ts';
import { Button } from './button.tsx';
import { IconDrawing } from './icon-drawing.tsx';
import { IconPickerBody } from './lazy.tsx';

export interface IconPickerProps {
  readonly site: Site;
  readonly current: Icon | null;
  /** Whether there may be none. */
  readonly optional?: boolean;
  /** What an icon looks like where it will stand. */
  readonly tone?: IconTone | undefined;
  /** Takes an icon, which the site may not have yet, or none. */
  readonly onChoose: (icon: Icon | null) => void;
}

/** Who points at the button may press it. */
const beginToLoad = () => {
  // What fails here is told where the icons are shown.
  IconPickerBody.load().catch(() => undefined);
  searchIcons('', 1).catch(() => undefined);
};

/** An icon: one the site has already, one of the library, a single sign, or a file of the designer's own. */
export function IconPicker({ site, current, optional = true, tone, onChoose }: IconPickerProps) {
  const [shown, setShown] = useState(false);
  const set = (icon: Icon | null) => {
    onChoose(icon);
    setShown(false);
  };
  return (
    <span className="flex items-center gap-1">
      <Popover.Root open={shown} onOpenChange={setShown}>
        <Popover.Trigger asChild>
          <Button className="!h-6" onPointerEnter={beginToLoad} onFocus={beginToLoad}>
            {current ? (
              <>
                <IconDrawing icon={current} /> {current.name}
              </>
            ) : (
              'Choose…'
            )}
          </Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="bottom"
            align="start"
            sideOffset={4}
            collisionPadding={8}
            aria-label="Icons"
            className="z-50 min-h-40 w-[408px] rounded-[3px] border border-rope bg-white p-2 text-bench"
          >
            <IconPickerBody site={site} tone={tone} onChoose={set} />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {current && optional && (
        <Button
          className="!h-6"
          aria-label="Take the icon away"
          onClick={() => {
            set(null);
          }}
        >
          ×
        </Button>
      )}
    </span>
  );
}
