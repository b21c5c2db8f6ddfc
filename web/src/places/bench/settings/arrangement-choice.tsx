import {
  ARRANGEMENT_IDS,
  ARRANGEMENTS,
  findPiece,
  ownersOf,
  runEdit,
  sectionsOf,
  type Arrangement,
  type Row,
  type Site,
} from '@hamaca/core';
import { Popover, RadioGroup } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useFonts } from '../../../media/fonts.ts';
import type { EditorProps } from '../../../settings/editors.tsx';
import { useStagePage } from '../../../stage/output.ts';
import { Stage } from '../../../stage/stage.tsx';
import { Button } from '../../../ui/button.tsx';

export const ARRANGEMENT_LABELS: Readonly<Record<Arrangement, string>> = {
  between: 'centred in between',
  beside: 'beside the start',
  centre: 'centred in the page',
  far: 'beside the end',
  'last-apart': 'last links apart',
  'first-centred': 'first centred, last apart',
  around: 'around the logo',
  equal: 'equal widths',
};

const DRAWN = { width: 1240, scale: 0.27 } as const;

/** This piece as it would be in one arrangement: the real output, small. */
function Drawing({
  site,
  row,
  arrangement,
}: {
  readonly site: Site;
  readonly row: Row;
  readonly arrangement: Arrangement;
}) {
  const changed = useMemo(() => {
    const ran = runEdit(site, { name: 'set-owner', args: { id: row.id, fields: { arrangement } } });
    return ran.ok ? ran.value.site : site;
  }, [site, row.id, arrangement]);
  const piece = findPiece(changed, ownersOf(site).get(row.id)?.piece.id ?? '');
  const page = useStagePage(changed, piece, useFonts(changed));
  const scene = changed.scenes[0];
  const rows = sectionsOf(changed).filter((placed) => placed.piece.id === piece?.id).length;
  return page && scene ? (
    <Stage
      site={changed}
      page={page}
      scene={scene}
      label={ARRANGEMENT_LABELS[arrangement]}
      height={56 + 44 * rows}
      {...DRAWN}
    />
  ) : null;
}

/** How the row's zones and links share its width, chosen from drawings of this very header. */
export function ArrangementChoice({ site, thing, set }: EditorProps) {
  const row = thing as unknown as Row;
  const [shown, setShown] = useState(false);
  return (
    <Popover.Root open={shown} onOpenChange={setShown}>
      <Popover.Trigger asChild>
        <Button className="!h-6" aria-label="Arrangement of the row">
          {ARRANGEMENT_LABELS[row.arrangement]}{' '}
          <span aria-hidden="true" className="text-ink-faint">
            ▾
          </span>
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={4}
          collisionPadding={8}
          aria-label="Arrangements"
          className="z-50 max-h-[80vh] overflow-auto rounded-[3px] border border-rope bg-cotton p-2"
        >
          <RadioGroup.Root
            aria-label="Arrangements"
            value={row.arrangement}
            onValueChange={(arrangement) => {
              set({ arrangement });
            }}
            className="grid grid-cols-2 gap-2"
          >
            {ARRANGEMENT_IDS.map((arrangement) => (
              <RadioGroup.Item
                key={arrangement}
                value={arrangement}
                title={ARRANGEMENTS[arrangement]}
                className={`grid gap-1 rounded-[3px] border p-1.5 text-left text-small ${row.arrangement === arrangement ? 'border-ochre bg-ochre-wash font-semibold' : 'border-transparent hover:border-rope'}`}
              >
                <span aria-hidden="true" className="pointer-events-none block border border-twine">
                  <Drawing site={site} row={row} arrangement={arrangement} />
                </span>
                {ARRANGEMENT_LABELS[arrangement]}
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
