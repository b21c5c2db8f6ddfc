import {
  colourOf,
  formatColour,
  formatValue,
  isColourValue,
  isPropertyId,
  property,
  PROPERTY_IDS,
  ROLES,
  type ColourValue,
  type OriginLink,
  type Site,
  type TypeStyle,
} from '@hamaca/core';
import { Popover } from 'radix-ui';
import { useNavigate } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { ColourEditor } from '../../../ui/lazy.tsx';
import { PictureUpload } from '../../../settings/words.tsx';
import { swatchOf } from '../../../store/new-swatch.ts';
import { useEdit, useSiteState, useSiteStore } from '../../../store/open-site.tsx';
import { benchStore, openCell, openGroup, useBench } from '../../../store/bench-store.ts';
import { ChoiceLinks } from './choice-links.tsx';
import { OwnCss } from './own-css.tsx';
import { BORDER_SETS, borderEdit, exceptionsAway, hidingBand, isBorder, setCells } from './sheet-edits.ts';
import type { SheetCell } from './sheet-model.ts';
import { isGround, Unreadable } from './unreadable.tsx';

interface Props {
  readonly site: Site;
  readonly cell: SheetCell;
  readonly onClear: () => void;
}

/** Where the value comes from, step by step; each one leads to where it is said. */
function Trail({ cell }: { readonly cell: SheetCell }) {
  const navigate = useNavigate();
  const id = useSiteState((state) => state.id);
  const open = (link: OriginLink) => {
    if (link.kind === 'cell') openCell(link.cell);
    else
      void navigate(
        `/sites/${id}/palette?${link.kind === 'role' ? `role=${link.role}` : link.kind === 'swatch' ? `swatch=${link.id}` : `type=${link.id}`}`,
      );
  };
  const steps = cell.trail.slice(cell.own ? 1 : 0);
  return (
    <span data-testid="origin" className="min-w-0 truncate text-ink-soft">
      {cell.own ? ' ← set here' : ''}
      {steps.map((step, index) => (
        <span key={index}>
          {' '}
          ←{' '}
          {step.link ? (
            <button
              type="button"
              onClick={() => {
                if (step.link) open(step.link);
              }}
              className="underline decoration-twine underline-offset-2 hover:text-ink hover:decoration-rope"
            >
              {step.label}
            </button>
          ) : (
            step.label
          )}
        </span>
      ))}
    </span>
  );
}

function ColourLinks({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const edit = useEdit();
  const store = useSiteStore();
  const { property: id, state } = cell.cell;
  const { value } = cell.resolved;
  const label = `${property(id).label}, ${state}`;
  const asEdit = (colour: ColourValue) => setCells([{ ...cell.cell, value: colour }]);
  const links: { key: string; label: string; value: ColourValue }[] = [
    ...site.palette.map((swatch) => ({
      key: `swatch ${swatch.id}`,
      label: swatch.name,
      value: { swatch: swatch.id },
    })),
    ...ROLES.map((role) => ({ key: `role ${role}`, label: `role ${role}`, value: { role } })),
    { key: 'none', label: 'none', value: { literal: 'transparent' } },
  ];
  const literal =
    isColourValue(value) && 'literal' in value && value.literal !== 'transparent' ? value.literal : null;
  return (
    <div className="flex flex-wrap items-center gap-0.5" role="group" aria-label="Link the colour">
      {links.map((link) => (
        <button
          key={link.key}
          type="button"
          title={link.label}
          aria-label={`Link to ${link.label}`}
          onClick={() => {
            edit(asEdit(link.value), label);
          }}
          className="flex h-6 items-center gap-1 rounded-[2px] border border-transparent px-1 hover:border-rope hover:bg-white"
        >
          <span
            aria-hidden="true"
            className="size-3.5 rounded-[2px] border border-ink/25"
            style={{ background: formatColour(colourOf(site, link.value)) }}
          />
          <span className="low:sr-only">{link.label}</span>
        </button>
      ))}
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button className="!h-6 !text-small">Mix…</Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            sideOffset={6}
            aria-label="Mix a colour"
            className="z-50 w-[330px] rounded-[4px] border border-rope bg-cotton p-3"
          >
            <ColourEditor
              value={formatColour(isColourValue(value) ? colourOf(site, value) : { r: 0, g: 0, b: 0, a: 1 })}
              onPreview={(colour) => {
                store.preview(colour === null ? null : asEdit({ literal: colour }));
              }}
              onCommit={(colour) => {
                edit(asEdit({ literal: colour }), label);
              }}
            />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {literal !== null && cell.own && (
        <Button
          className="!h-6 !text-small"
          onClick={() => {
            edit(swatchOf(site, literal), 'Make this a swatch');
          }}
        >
          Make this a swatch
        </Button>
      )}
    </div>
  );
}

/** A type style for the family, size and weight of one state together. */
function TypeLinks({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const edit = useEdit();
  const fields = PROPERTY_IDS.filter((id) => property(id).typed === true);
  const put = (style: TypeStyle) => {
    edit(
      setCells(fields.map((id) => ({ ...cell.cell, property: id, value: { type: style.id } }))),
      `Type style ${style.name}, ${cell.cell.state}`,
    );
  };
  return (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label="Type style">
      <span className="text-ink-faint">as type style</span>
      {site.typeStyles.map((style) => (
        <Button
          key={style.id}
          className="!h-6 !text-small"
          pressed={cell.resolved.type === style.id}
          onClick={() => {
            put(style);
          }}
        >
          {style.name}
        </Button>
      ))}
    </div>
  );
}

/** A picture from a file for a fill; drawings are kept as pictures too, so that nothing in them can run. */
function PaintUpload({ cell }: { readonly cell: SheetCell }) {
  const edit = useEdit();
  const { property: id, state } = cell.cell;
  return (
    <div>
      <PictureUpload
        label="Choose a picture…"
        name="Picture of the fill"
        pictureOnly
        onTake={(upload) => {
          if ('image' in upload)
            edit(
              setCells([{ ...cell.cell, value: { paint: { image: upload.image } } }]),
              `${property(id).label}, ${state}`,
            );
        }}
      />
    </div>
  );
}

/** One border for several sides at once. */
function BorderSides({ cell }: { readonly cell: SheetCell }) {
  const edit = useEdit();
  return (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label="The same border">
      <span className="text-ink-faint">the same on</span>
      {BORDER_SETS.map(({ label, sides }) => (
        <Button
          key={label}
          className="!h-6 !text-small"
          onClick={() => {
            edit(borderEdit(cell, sides), `Border on ${label}, ${cell.cell.state}`);
          }}
        >
          {label}
        </Button>
      ))}
    </div>
  );
}

/** Leads from a property to those that finish what it starts. */
function Related({
  cell,
  label,
  ids,
}: {
  readonly cell: SheetCell;
  readonly label: string;
  readonly ids: readonly string[];
}) {
  return (
    <p className="flex flex-wrap items-center gap-x-2" role="group" aria-label={`More about ${label}`}>
      <span className="text-ink-faint">more of it:</span>
      {ids.filter(isPropertyId).map((id) => (
        <button
          key={id}
          type="button"
          title={property(id).hint}
          onClick={() => {
            openCell({ ...cell.cell, property: id });
            openGroup(property(id).group);
          }}
          className="h-6 underline decoration-twine underline-offset-2 hover:decoration-rope"
        >
          {property(id).label}
        </button>
      ))}
    </p>
  );
}

/** Says where a narrower band's own value hides what the cell says, as the stage stands now, and leads there. */
function Hidden({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const edit = useEdit();
  const width = useBench((state) => state.width);
  const band = hidingBand(site, cell, width);
  if (!band) return null;
  const { label } = property(cell.cell.property);
  return (
    <p className="flex items-center gap-2 bg-ochre-wash px-2 py-0.5" data-testid="hidden-here">
      <span className="min-w-0 truncate">
        The stage stands at {width} px, where <b className="font-semibold">{band.name}</b> has its own {label}
        .
      </span>
      <Button
        className="!h-6 !text-small"
        onClick={() => {
          benchStore.setState({ reach: band.id, extent: 'narrower' });
        }}
      >
        Go there
      </Button>
      <Button
        className="!h-6 !text-small"
        onClick={() => {
          edit(exceptionsAway(site, cell), `${label} the same at all widths`);
        }}
      >
        Take the exceptions away
      </Button>
    </p>
  );
}

/** About the cell in focus: where its value comes from, and for colours everything it could be linked to. */
export function CellStrip({ site, cell, onClear }: Props) {
  const { property: id, state } = cell.cell;
  const entry = property(id);
  return (
    <div className="grid shrink-0 grid-cols-[minmax(0,1fr)] gap-1 border-t border-twine bg-cotton px-3 py-1.5 text-small low:flex low:flex-wrap low:items-center low:py-1">
      <div className="flex items-center gap-2 low:min-w-72 low:grow low:basis-0">
        <span className="min-w-0 truncate">
          <b className="font-semibold">
            {entry.label}, {state}: {formatValue(site, cell.resolved.value)}
          </b>
          <Trail cell={cell} />
        </span>
        <span className="ml-auto min-w-0 shrink truncate text-ink-faint low:sr-only">{entry.hint}</span>
        <Button className="!h-6 shrink-0 !text-small" disabled={!cell.own} onClick={onClear} title="Delete">
          Clear
        </Button>
      </div>
      <Hidden site={site} cell={cell} />
      {isGround(site, cell.cell) && <Unreadable site={site} cell={cell} />}
      {entry.typed === true && <TypeLinks site={site} cell={cell} />}
      {isBorder(id) && <BorderSides cell={cell} />}
      {entry.kind === 'choice' && <ChoiceLinks site={site} cell={cell} />}
      {entry.kind === 'paint' && <PaintUpload cell={cell} />}
      {entry.kind === 'declarations' && <OwnCss key={JSON.stringify(cell.cell)} site={site} cell={cell} />}
      {entry.related && <Related cell={cell} label={entry.label} ids={entry.related} />}
      {entry.kind === 'colour' && <ColourLinks site={site} cell={cell} />}
    </div>
  );
}
