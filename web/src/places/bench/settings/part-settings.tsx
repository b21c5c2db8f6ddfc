import {
  findIcon,
  findPart,
  idsOf,
  NO_TARGET,
  networkOf,
  ownersOf,
  SOCIAL_COLOURS,
  uniqueName,
  type Icon,
  type Part,
  type Piece,
  type Row,
  type Site,
  type SocialLink,
  type TextEntry,
} from '@hamaca/core';
import type { ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { IconChooser } from '../../../ui/lazy.tsx';
import { Field, PictureUpload, TargetWords, Words } from '../../../ui/settings.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { useEdit } from '../../../store/open-site.tsx';
import { PlacementFields } from '../../links/outline/placement-fields.tsx';
import { ArrangementChoice } from './arrangement-choice.tsx';
import { useBench } from '../bench-state.ts';
import { libraryIcon } from '../outline/part-kinds.ts';

type Set = (fields: Record<string, unknown>, label: string, icons?: readonly Icon[]) => void;

interface Props<Kind extends Part['kind']> {
  readonly site: Site;
  readonly part: Extract<Part, { kind: Kind }>;
  readonly set: Set;
}

function LogoSettings({ part, set }: Props<'logo'>) {
  const drawn = part.svg !== null || part.image !== null;
  return (
    <>
      <Words
        label="text"
        value={part.text}
        wide="w-44"
        onCommit={(text) => {
          set({ text }, 'Logo text');
        }}
      />
      <PictureUpload
        label={drawn ? 'Replace the drawing…' : 'Add a drawing or picture…'}
        name="Logo drawing"
        onTake={(upload) => {
          set(
            'svg' in upload ? { svg: upload.svg, image: null } : { svg: null, image: upload.image },
            'Logo drawing',
          );
        }}
      />
      {drawn && (
        <>
          <Button
            className="!h-6"
            pressed={part.textShown}
            onClick={() => {
              set({ textShown: !part.textShown }, 'Logo text beside the drawing');
            }}
          >
            with text
          </Button>
          <Button
            className="!h-6"
            onClick={() => {
              set({ svg: null, image: null, second: null }, 'Remove logo drawing');
            }}
          >
            Remove the drawing
          </Button>
          <PictureUpload
            svgOnly
            label={part.second === null ? 'Another while scrolled…' : 'Replace the one while scrolled…'}
            name="Logo drawing while scrolled"
            onTake={(upload) => {
              if ('svg' in upload) set({ second: upload.svg }, 'Logo drawing while scrolled');
            }}
          />
          {part.second !== null && (
            <Button
              className="!h-6"
              onClick={() => {
                set({ second: null }, 'One logo for both');
              }}
            >
              One for both
            </Button>
          )}
        </>
      )}
    </>
  );
}

function MenuSettings({ site, part, set }: Props<'menu'>) {
  return (
    <>
      <Field label="menu">
        <Choice
          label="Menu shown"
          value={part.menu}
          options={site.menus.map((menu) => ({ value: menu.id, label: menu.name }))}
          onChange={(menu) => {
            set({ menu, branch: null }, 'Menu shown');
          }}
        />
      </Field>
      <PlacementFields site={site} part={part} set={set} />
      <Field label="submenus open">
        <Choice
          label="Submenus open"
          value={part.opensOn}
          options={[
            { value: 'hover', label: 'by pointing or click' },
            { value: 'click', label: 'by click' },
          ]}
          onChange={(opensOn) => {
            set({ opensOn }, 'How submenus open');
          }}
        />
      </Field>
      <Words
        label="name"
        value={part.name}
        wide="w-24"
        onCommit={(name) => {
          set({ name }, 'Name of the navigation');
        }}
      />
    </>
  );
}

function ButtonSettings({ site, part, set }: Props<'button'>) {
  return (
    <>
      <Words
        label="label"
        value={part.label}
        onCommit={(label) => {
          set({ label }, 'Button label');
        }}
      />
      <TargetWords
        site={site}
        target={part.target}
        onCommit={(target) => {
          set({ target }, 'Button target');
        }}
      />
    </>
  );
}

function SearchSettings({ part, set }: Props<'search'>) {
  return (
    <>
      <Words
        label="results page"
        value={part.action}
        wide="w-32"
        onCommit={(action) => {
          set({ action }, 'Page of results');
        }}
      />
      <Words
        label="sent as"
        value={part.field}
        wide="w-16"
        onCommit={(field) => {
          set({ field }, 'Name of the search field');
        }}
      />
      <Words
        label="label"
        value={part.label}
        wide="w-28"
        onCommit={(label) => {
          set({ label }, 'Label of the search');
        }}
      />
      <Words
        label="placeholder"
        value={part.placeholder}
        wide="w-32"
        empty
        onCommit={(placeholder) => {
          set({ placeholder }, 'Placeholder');
        }}
      />
      <Button
        className="!h-6"
        pressed={!part.open}
        onClick={() => {
          set({ open: !part.open }, 'Search behind an icon');
        }}
      >
        behind an icon
      </Button>
    </>
  );
}

function ShortcutSettings({ site, part, set }: Props<'shortcut'>) {
  return (
    <>
      <Words
        label="label"
        value={part.label}
        wide="w-28"
        onCommit={(label) => {
          set({ label }, 'Label');
        }}
      />
      <IconChooser
        site={site}
        current={part.icon === null ? null : findIcon(site, part.icon)}
        onChoose={(icon) => {
          set({ icon: icon?.id ?? null }, 'Icon', icon ? [icon] : []);
        }}
      />
      {part.icon !== null && (
        <Button
          className="!h-6"
          pressed={part.labelShown}
          onClick={() => {
            set({ labelShown: !part.labelShown }, 'Label beside the icon');
          }}
        >
          with label
        </Button>
      )}
      <TargetWords
        site={site}
        target={part.target}
        onCommit={(target) => {
          set({ target }, 'Target');
        }}
      />
    </>
  );
}

function ImageSettings({ site, part, set }: Props<'image'>) {
  const has = part.svg !== null || part.image !== null;
  return (
    <>
      <PictureUpload
        label={has ? 'Replace the image…' : 'Choose an image…'}
        name="Image"
        onTake={(upload) => {
          set(
            'svg' in upload ? { svg: upload.svg, image: null } : { svg: null, image: upload.image },
            'Image',
          );
        }}
      />
      <Words
        label="read out as"
        value={part.alternative}
        empty
        placeholder="only decorates"
        onCommit={(alternative) => {
          set({ alternative }, 'Text of the image');
        }}
      />
      <TargetWords
        site={site}
        target={part.target}
        onCommit={(target) => {
          set({ target }, 'Target of the image');
        }}
      />
      {!has && <span className="text-small text-ink-faint">shows nothing until an image is chosen</span>}
    </>
  );
}

/** A list of entries, each on a line of its own. */
function Entries({
  children,
  onAdd,
  add,
}: {
  readonly children: ReactNode;
  readonly onAdd: () => void;
  readonly add: string;
}) {
  return (
    <div className="grid max-h-28 grow gap-1 overflow-auto">
      {children}
      <div>
        <Button className="!h-6" onClick={onAdd}>
          {add}
        </Button>
      </div>
    </div>
  );
}

function TextSettings({ site, part, set }: Props<'text'>) {
  const change = (id: string, fields: Partial<TextEntry>, icons: readonly Icon[] = []) => {
    set(
      { entries: part.entries.map((entry) => (entry.id === id ? { ...entry, ...fields } : entry)) },
      'Text',
      icons,
    );
  };
  const add = () => {
    set(
      {
        entries: [
          ...part.entries,
          { id: uniqueName('entry', idsOf(site)), text: 'Text', target: NO_TARGET, icon: null },
        ],
      },
      'Another text',
    );
  };
  return (
    <Entries add="+ text" onAdd={add}>
      {part.entries.map((entry) => (
        <div key={entry.id} className="flex items-center gap-3">
          <Words
            label="text"
            value={entry.text}
            wide="w-52"
            onCommit={(text) => {
              change(entry.id, { text });
            }}
          />
          <TargetWords
            site={site}
            target={entry.target}
            onCommit={(target) => {
              change(entry.id, { target });
            }}
          />
          <IconChooser
            site={site}
            current={entry.icon === null ? null : findIcon(site, entry.icon)}
            onChoose={(icon) => {
              change(entry.id, { icon: icon?.id ?? null }, icon ? [icon] : []);
            }}
          />
          {part.entries.length > 1 && (
            <Button
              className="!h-6"
              aria-label={`Remove ${entry.text}`}
              onClick={() => {
                set({ entries: part.entries.filter((other) => other !== entry) }, 'Remove a text');
              }}
            >
              ×
            </Button>
          )}
        </div>
      ))}
    </Entries>
  );
}

const COLOUR_WORDS: Readonly<Record<(typeof SOCIAL_COLOURS)[number], string>> = {
  look: 'of the look',
  network: 'each its network’s',
  'network-ground': 'on its network’s colour',
};

function SocialSettings({ site, part, set }: Props<'social'>) {
  const change = (id: string, fields: Partial<SocialLink>, icons: readonly Icon[] = []) => {
    set(
      { links: part.links.map((link) => (link.id === id ? { ...link, ...fields } : link)) },
      'Social link',
      icons,
    );
  };
  /** A known network brings its icon, name and colour; what was set by hand stays. */
  const readdress = async (link: SocialLink, url: string) => {
    const network = networkOf(url);
    const icon = network ? await libraryIcon(site, network.icon) : null;
    change(
      link.id,
      {
        url,
        ...(network && icon
          ? {
              icon: icon.id,
              name: link.name === NEW_PROFILE ? network.name : link.name,
              colour: network.colour,
            }
          : {}),
      },
      icon ? [icon] : [],
    );
  };
  const add = async () => {
    const icon = await libraryIcon(site, 'share');
    if (!icon) return;
    set(
      {
        links: [
          ...part.links,
          {
            id: uniqueName('profile', idsOf(site)),
            name: NEW_PROFILE,
            url: 'https://',
            icon: icon.id,
            colour: null,
          },
        ],
      },
      'Another social link',
      [icon],
    );
  };
  return (
    <>
      <Field label="colours">
        <Choice
          label="Colours of the marks"
          value={part.colours}
          options={SOCIAL_COLOURS.map((value) => ({ value, label: COLOUR_WORDS[value] }))}
          onChange={(colours) => {
            set({ colours }, 'Colours of the marks');
          }}
        />
      </Field>
      <Entries
        add="+ social link"
        onAdd={() => {
          void add();
        }}
      >
        {part.links.map((link) => (
          <div key={link.id} className="flex items-center gap-3">
            <Words
              label="address"
              value={link.url}
              wide="w-52"
              onCommit={(url) => {
                void readdress(link, url);
              }}
            />
            <Words
              label="name"
              value={link.name}
              wide="w-28"
              onCommit={(name) => {
                change(link.id, { name });
              }}
            />
            <IconChooser
              site={site}
              optional={false}
              current={findIcon(site, link.icon)}
              onChoose={(icon) => {
                if (icon) change(link.id, { icon: icon.id }, [icon]);
              }}
            />
            <Words
              label="colour"
              value={link.colour ?? ''}
              wide="w-20"
              empty
              placeholder="not known"
              onCommit={(colour) => {
                change(link.id, { colour: colour === '' ? null : colour });
              }}
            />
            <Button
              className="!h-6"
              aria-label={`Remove ${link.name}`}
              onClick={() => {
                set({ links: part.links.filter((other) => other !== link) }, 'Remove a social link');
              }}
            >
              ×
            </Button>
          </div>
        ))}
      </Entries>
    </>
  );
}

const NEW_PROFILE = 'Our profile';

function PanelSettings({
  piece,
  set,
}: {
  readonly piece: Extract<Piece, { kind: 'panel' }>;
  readonly set: Set;
}) {
  return (
    <>
      <Field label="comes from">
        <Choice
          label="Side of the panel"
          value={piece.side}
          options={[
            { value: 'end', label: 'the end' },
            { value: 'start', label: 'the start' },
          ]}
          onChange={(side) => {
            set({ side }, 'Side of the panel');
          }}
        />
      </Field>
      <Words
        label="name"
        value={piece.name}
        wide="w-28"
        onCommit={(name) => {
          set({ name }, 'Panel name');
        }}
      />
      <Words
        label="close button’s name"
        value={piece.closeLabel}
        wide="w-32"
        onCommit={(closeLabel) => {
          set({ closeLabel }, 'Name of the close button');
        }}
      />
    </>
  );
}

const POSITIONS = [
  { value: 'flow', label: 'scrolls away, above the page' },
  { value: 'stays', label: 'stays at the top' },
  { value: 'over', label: 'lies over the page’s top' },
  { value: 'over-stays', label: 'lies over the page and stays' },
];

function HeaderSettings({
  site,
  piece,
  set,
}: {
  readonly site: Site;
  readonly piece: Extract<Piece, { kind: 'header' }>;
  readonly set: Set;
}) {
  const position = piece.over ? (piece.stays ? 'over-stays' : 'over') : piece.stays ? 'stays' : 'flow';
  return (
    <>
      <Words
        label="name"
        value={piece.name}
        wide="w-28"
        onCommit={(name) => {
          set({ name }, 'Name of the header');
        }}
      />
      <Field label="while scrolling">
        <Choice
          label="While scrolling"
          value={position}
          options={POSITIONS}
          onChange={(value) => {
            set({ stays: value.endsWith('stays'), over: value.startsWith('over') }, 'How the header stands');
          }}
        />
      </Field>
      <Field label="menu folds from">
        <Choice
          label="Menu folds from"
          value={piece.foldBand ?? '(never)'}
          options={[
            ...site.bands.map((band) => ({ value: band.id, label: `${band.name} and narrower` })),
            { value: '(never)', label: 'never' },
          ]}
          onChange={(value) => {
            set({ foldBand: value === '(never)' ? null : value }, 'Where the menu folds');
          }}
        />
      </Field>
    </>
  );
}

function RowSettings({ site, row, set }: { readonly site: Site; readonly row: Row; readonly set: Set }) {
  return (
    <>
      <Words
        label="name"
        value={row.name}
        wide="w-24"
        onCommit={(name) => {
          set({ name }, 'Name of the row');
        }}
      />
      <ArrangementChoice site={site} row={row} />
      {(row.arrangement === 'last-apart' || row.arrangement === 'first-centred') && (
        <Field label="links apart">
          <Choice
            label="Links apart"
            value={String(row.apart)}
            options={['1', '2', '3'].map((value) => ({ value, label: value }))}
            onChange={(value) => {
              set({ apart: Number(value) }, 'Links that stand apart');
            }}
          />
        </Field>
      )}
      <Field label="content at most">
        <TextField
          className="w-20 tabular"
          value={row.contained === null ? '' : String(row.contained)}
          placeholder="full width"
          aria-label="Content at most"
          onCommit={(text) => {
            if (text.trim() === '') {
              set({ contained: null }, 'Row in full width');
              return null;
            }
            const width = Number(text.replace(/px$/, ''));
            if (!Number.isInteger(width) || width < 200 || width > 4000)
              return 'A whole number of px from 200 to 4000, or nothing for the full width.';
            set({ contained: width }, 'Width of the row’s content');
            return null;
          }}
        />
      </Field>
    </>
  );
}

/** In which bands a row or part is shown. */
function ShownIn({
  site,
  bands,
  set,
}: {
  readonly site: Site;
  readonly bands: readonly string[] | undefined;
  readonly set: Set;
}) {
  if (site.bands.length < 2) return null;
  const shown = bands ?? site.bands.map((band) => band.id);
  const toggle = (id: string) => {
    const next = site.bands.map((band) => band.id).filter((band) => (band === id) !== shown.includes(band));
    if (next.length > 0) set({ bands: next.length === site.bands.length ? null : next }, 'Where it is shown');
  };
  return (
    <span role="group" aria-label="Shown in" className="flex items-center gap-1">
      <span className="text-small text-ink-faint">shown in</span>
      {site.bands.map((band) => (
        <Button
          key={band.id}
          className="!h-6"
          pressed={shown.includes(band.id)}
          disabled={shown.length === 1 && shown.includes(band.id)}
          onClick={() => {
            toggle(band.id);
          }}
        >
          {band.name}
        </Button>
      ))}
    </span>
  );
}

function partSettings(site: Site, part: Part, set: Set): ReactNode {
  switch (part.kind) {
    case 'logo':
      return <LogoSettings site={site} part={part} set={set} />;
    case 'menu':
      return <MenuSettings site={site} part={part} set={set} />;
    case 'button':
      return <ButtonSettings site={site} part={part} set={set} />;
    case 'search':
      return <SearchSettings site={site} part={part} set={set} />;
    case 'social':
      return <SocialSettings site={site} part={part} set={set} />;
    case 'text':
      return <TextSettings site={site} part={part} set={set} />;
    case 'image':
      return <ImageSettings site={site} part={part} set={set} />;
    case 'shortcut':
      return <ShortcutSettings site={site} part={part} set={set} />;
    case 'opener':
      return (
        <Words
          label="name"
          value={part.label}
          wide="w-32"
          onCommit={(label) => {
            set({ label }, 'Name of the opener');
          }}
        />
      );
    case 'rule':
      return null;
  }
}

/** What the selected part is, above how it looks: its text, target, levels. */
export function PartSettings({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const selected = useBench((state) => state.selected);
  const owner = ownersOf(site).get(selected.owner);
  if (!owner) return null;
  const set: Set = (fields, label, icons = []) => {
    edit({ name: 'set-owner', args: { id: owner.id, fields, icons } }, label);
  };
  const part = findPart(site, owner.id);
  const row =
    owner.kind === 'row' && owner.piece.kind === 'header'
      ? owner.piece.rows.find((entry) => entry.id === owner.id)
      : undefined;
  const content = part ? (
    partSettings(site, part, set)
  ) : row ? (
    <RowSettings site={site} row={row} set={set} />
  ) : owner.piece.kind === 'panel' ? (
    <PanelSettings piece={owner.piece} set={set} />
  ) : (
    <HeaderSettings site={site} piece={owner.piece} set={set} />
  );
  const hides = (part ?? row ?? null) !== null && owner.piece.kind === 'header' && part?.kind !== 'opener';
  return (
    <div
      key={owner.id}
      className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-twine px-3 py-1 text-bench"
    >
      {content}
      {hides && <ShownIn site={site} bands={(part ?? row)?.bands} set={set} />}
    </div>
  );
}
