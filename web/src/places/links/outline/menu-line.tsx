import {
  addAtHome,
  idsOf,
  LINK_FORMATS,
  menuLines,
  partsShowing,
  placementsOf,
  firstSlot,
  slugify,
  uniqueName,
  type LinkFormatName,
  type Menu,
  type PartPlace,
  type Site,
  kindLabel,
  newPartWorld,
  createPart,
  regionsOf,
  sectionsOf,
  shapeOf,
  shownItems,
  type Field,
} from '@hamaca/core';
import { DropdownMenu, Popover } from 'radix-ui';
import { Fragment, useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { PopoverBox } from '../../../ui/popover-box.tsx';
import { Button } from '../../../ui/button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { saveFile } from '../../../media/files.ts';
import { notify } from '../../../store/notices.ts';
import { copyText } from '../../../store/copy-text.ts';
import { useEdit, useSiteState, useSiteStore } from '../../../store/open-site.tsx';
import { WORDS } from '../../../words/words.ts';
import { linksStore, useLinks } from '../../../store/links-store.ts';
import { fieldEditor } from '../../../settings/editors.tsx';
import { levelWords } from '../../../settings/placement.ts';
import { selectSlot } from '../../../store/bench-store.ts';

const PRINTABLE = (Object.keys(LINK_FORMATS) as LinkFormatName[]).filter(
  (name) => LINK_FORMATS[name].print !== null,
);

const item =
  'flex h-7 cursor-default items-center justify-between gap-6 rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-disabled:opacity-45';
const sheet = 'z-50 min-w-44 rounded-[3px] border border-rope bg-white p-1';

const MENU_FIELDS = shapeOf('menu') as Readonly<Record<'branch' | 'levels', Field<unknown>>>;

/** Where a menu can be placed next: a region of any piece. */
interface FreePlace {
  readonly label: string;
  readonly place: PartPlace;
}

function placesFor(site: Site): FreePlace[] {
  return sectionsOf(site).flatMap(({ piece, section, kind, regions }) =>
    regions.map((region): FreePlace => ({
      label: `${piece.name}, ${kindLabel(kind).toLowerCase()} ${section.name}${regions.length > 1 ? `, ${region.name}` : ''}`,
      place: { region: region.id, index: region.parts.length },
    })),
  );
}

function Placements({ site, menu }: { readonly site: Site; readonly menu: Menu }) {
  const edit = useEdit();
  const navigate = useNavigate();
  const siteId = useSiteState((state) => state.id);
  const placements = placementsOf(site, menu.id);
  const others = partsShowing(site, menu.id).filter(({ part }) => part.kind !== 'menu');
  const place = (at: PartPlace) => {
    const id = uniqueName(`menu-part-${slugify(menu.name, 'menu')}`, idsOf(site));
    const world = newPartWorld(site, regionsOf(site).get(at.region)?.form);
    const part = {
      ...createPart('menu', id, world),
      name: menu.name,
      menu: menu.id,
      opensOn: 'click',
    } as const;
    edit(addAtHome(site, { name: 'add-part', args: { place: at, part } }), `Place ${menu.name}`);
  };
  return (
    <span className="flex min-w-0 flex-wrap items-center gap-1">
      {placements.map(({ part, piece }) => (
        <Popover.Root key={part.id}>
          <Popover.Trigger asChild>
            <Button className="!h-6" title="How much of the menu is shown here">
              {piece.name}: {part.branch === null ? '' : 'a branch, '}
              {levelWords(part.levels)}
            </Button>
          </Popover.Trigger>
          <PopoverBox aria-label={`Placement in ${piece.name}`} className="grid gap-2 p-3 text-bench">
            {(['branch', 'levels'] as const).map((name) => (
              <Fragment key={name}>
                {fieldEditor({
                  site,
                  of: menu.name,
                  thing: part as unknown as Readonly<Record<string, unknown>>,
                  name,
                  field: MENU_FIELDS[name],
                  set: (fields) => {
                    edit({ name: 'set-owner', args: { id: part.id, fields } }, 'How much of a menu is shown');
                  },
                })}
              </Fragment>
            ))}
            {shownItems(site, part).length === 0 && (
              <span className="text-small text-brick">▲ shows no links</span>
            )}
            <span className="flex gap-1 border-t border-linen pt-2">
              <Button
                className="!h-6"
                onClick={() => {
                  selectSlot(part.id, 'link', 1);
                  void navigate(`/sites/${siteId}/bench/${piece.id}`);
                }}
              >
                Style it
              </Button>
              <Button
                className="!h-6"
                onClick={() => {
                  edit(
                    { name: 'remove-part', args: { id: part.id } },
                    `Take ${menu.name} out of ${piece.name}`,
                  );
                }}
              >
                Take it out of {piece.name}
              </Button>
            </span>
          </PopoverBox>
        </Popover.Root>
      ))}
      {others.map(({ part, piece }) => (
        <Button
          key={part.id}
          className="!h-6"
          title="Style it on the bench"
          onClick={() => {
            selectSlot(part.id, firstSlot(part.kind), null);
            void navigate(`/sites/${siteId}/bench/${piece.id}`);
          }}
        >
          {piece.name}: {kindLabel(part.kind).toLowerCase()}
        </Button>
      ))}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button tone="quiet" className="!h-6">
            {placements.length + others.length === 0 ? 'Placed nowhere yet: place it…' : '+ place'}
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className={sheet} sideOffset={3} align="start">
            {placesFor(site).map((entry) => (
              <DropdownMenu.Item
                key={entry.place.region}
                className={item}
                onSelect={() => {
                  place(entry.place);
                }}
              >
                {entry.label}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </span>
  );
}

/** The chosen menu's name, where it is placed, and what can be done with it as a whole. */
export function MenuLine({ site, menu }: { readonly site: Site; readonly menu: Menu }) {
  const edit = useEdit();
  const store = useSiteStore();
  const copy = async (format: LinkFormatName) => {
    const printed = LINK_FORMATS[format].print?.(menuLines(site, menu.items), menu.name) ?? '';
    await copyText(printed);
  };
  const save = (format: LinkFormatName) => {
    const { print, extension, type } = LINK_FORMATS[format];
    saveFile(
      `${slugify(menu.name, 'menu')}.${extension}`,
      print?.(menuLines(site, menu.items), menu.name) ?? '',
      type,
    );
  };
  const duplicate = () => {
    const id = uniqueName(`${menu.id}-copy`.slice(0, 60), idsOf(site));
    if (edit({ name: 'duplicate-menu', args: { id: menu.id, copy: id } }, `Duplicate ${menu.name}`))
      linksStore.setState({ menu: id, caret: null, selected: new Set(), named: id });
  };
  const toggleDraft = () => {
    const draft = menu.draft !== true;
    edit(
      { name: 'set-menu-draft', args: { id: menu.id, draft } },
      draft ? `${menu.name} as a draft` : `Let ${menu.name} go`,
    );
  };
  const remove = () => {
    const placed = partsShowing(site, menu.id).map(({ piece }) => piece.name);
    if (!edit({ name: 'remove-menu', args: { id: menu.id } }, `Remove ${menu.name}`)) return;
    linksStore.setState({ menu: null, caret: null, selected: new Set() });
    notify({
      tone: 'info',
      text: WORDS.menuRemoved(menu.name, placed),
      action: {
        label: 'Undo',
        run: () => {
          store.undo();
        },
      },
    });
  };
  const uses = partsShowing(site, menu.id);
  const line = useRef<HTMLDivElement>(null);
  const isNamed = useLinks((state) => state.named === menu.id);
  useEffect(() => {
    if (!isNamed) return;
    linksStore.setState({ named: null });
    const field = line.current?.querySelector('input');
    field?.focus();
    field?.select();
  }, [isNamed]);
  return (
    <div ref={line} className="flex flex-wrap items-center gap-x-2 gap-y-1 py-2 text-bench">
      <TextField
        key={menu.id}
        aria-label="Name of the menu"
        className="w-36 font-semibold"
        value={menu.name}
        maxLength={200}
        onCommit={(name) =>
          name.trim() === ''
            ? 'A menu needs a name.'
            : (edit({ name: 'set-menu-name', args: { id: menu.id, name: name.trim() } }, 'Menu name'), null)
        }
      />
      <Placements site={site} menu={menu} />
      <span className="ml-auto flex gap-1">
        <CommandButton id="links-icons" label="Icons…" tone="plain" />
        <CommandButton id="links-import" label="Import…" tone="plain" />
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <Button>Export ▾</Button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content className={sheet} sideOffset={3} align="end">
              {PRINTABLE.map((format) => (
                <DropdownMenu.Sub key={format}>
                  <DropdownMenu.SubTrigger className={item}>
                    {LINK_FORMATS[format].label} <span aria-hidden="true">▸</span>
                  </DropdownMenu.SubTrigger>
                  <DropdownMenu.Portal>
                    <DropdownMenu.SubContent className={sheet}>
                      <DropdownMenu.Item
                        className={item}
                        onSelect={() => {
                          void copy(format);
                        }}
                      >
                        Copy it
                      </DropdownMenu.Item>
                      <DropdownMenu.Item
                        className={item}
                        onSelect={() => {
                          save(format);
                        }}
                      >
                        Save as a file
                      </DropdownMenu.Item>
                    </DropdownMenu.SubContent>
                  </DropdownMenu.Portal>
                </DropdownMenu.Sub>
              ))}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
        <DropdownMenu.Root>
          <DropdownMenu.Trigger asChild>
            <Button aria-label={`More about ${menu.name}`}>⋯</Button>
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content className={sheet} sideOffset={3} align="end">
              <DropdownMenu.Item className={item} onSelect={duplicate}>
                Duplicate the menu
              </DropdownMenu.Item>
              <DropdownMenu.Item className={item} onSelect={toggleDraft}>
                {menu.draft === true ? 'Let the menu go: hand it over again' : 'Make the menu a draft'}
              </DropdownMenu.Item>
              <DropdownMenu.Item className={`${item} text-brick`} onSelect={remove}>
                Delete the menu
                {uses.length > 0
                  ? ` and its place in ${[...new Set(uses.map(({ piece }) => piece.name))].join(', ')}`
                  : ''}
              </DropdownMenu.Item>
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </span>
    </div>
  );
}
