import { ownersOf, formatValue, property, reachOf, slotName, type OriginLink, type Site } from '@hamaca/core';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { PopoverBox } from '../../ui/popover-box.tsx';
import { Button } from '../../ui/button.tsx';
import { useSiteState } from '../../store/open-site.tsx';
import { benchStore, openCell, selectSlot } from '../../store/bench-store.ts';

type Source = Exclude<OriginLink, { kind: 'cell' }>;

/** Handlers that light up, on the header above, everything a swatch, role or type style reaches. */
export function useLight(site: Site, source: Source) {
  return {
    onPointerEnter: () => {
      benchStore.setState({ lit: reachOf(site, source).map(({ owner, slot }) => ({ owner, slot })) });
    },
    onPointerLeave: () => {
      benchStore.setState({ lit: [] });
    },
  };
}

/** Everything something reaches; each line leads to the place on the bench where it is said. */
export function Reaches({
  site,
  source,
  children,
}: {
  readonly site: Site;
  readonly source: Source;
  readonly children?: ReactNode;
}) {
  const id = useSiteState((state) => state.id);
  const reached = reachOf(site, source);
  return (
    <div className="text-bench">
      <h3 className="text-small text-ink-faint">
        {reached.length === 0
          ? 'reaches nothing yet'
          : `reaches ${reached.length} ${reached.length === 1 ? 'value' : 'values'}`}
      </h3>
      {children}
      <ul className="mt-1 max-h-40 overflow-auto text-small">
        {reached.map(({ owner, slot, property: name, cell }, index) => (
          <li key={index}>
            <Link
              to={`/sites/${id}/bench/${ownersOf(site).get(owner)?.piece.id ?? ''}`}
              onPointerEnter={() => {
                benchStore.setState({ lit: [{ owner, slot }] });
              }}
              onPointerLeave={() => {
                benchStore.setState({ lit: [] });
              }}
              onClick={() => {
                benchStore.setState({ lit: [] });
                if (cell) openCell(cell);
                else selectSlot(owner, slot, null);
              }}
              className="flex h-6 items-center gap-2 rounded-[2px] px-1 hover:bg-ochre-wash"
            >
              <span className="truncate">{slotName(site, { owner, slot })}</span>
              <span className="truncate text-ink-faint">
                {property(name).label}
                {cell ? `, ${cell.state}: ${formatValue(site, cell.value)}` : ', by default'}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What a role or type style reaches, behind a button that says how much; pointing at it lights everything up. */
export function ReachButton({
  site,
  source,
  label,
}: {
  readonly site: Site;
  readonly source: Source;
  readonly label: string;
}) {
  const light = useLight(site, source);
  const count = reachOf(site, source).length;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button
          tone="quiet"
          className="!h-6 !text-small"
          aria-label={`What ${label} reaches: ${count}`}
          {...light}
        >
          reaches {count}
        </Button>
      </Popover.Trigger>
      <PopoverBox align="end" className="w-[340px] p-3">
        <Reaches site={site} source={source} />
      </PopoverBox>
    </Popover.Root>
  );
}
