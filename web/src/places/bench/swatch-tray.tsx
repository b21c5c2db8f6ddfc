import { formatColour, parseColour, slugify, swatchUses, uniqueName, idsOf, type Site, type Swatch } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { lazy, memo, Suspense } from 'react';
import { Button } from '../../controls/button.tsx';
import { TextField } from '../../controls/text-field.tsx';
import { useEdit, useSiteStore } from '../../state/open-site.tsx';

const Picker = lazy(async () => ({ default: (await import('react-colorful')).HexColorPicker }));

const hex = (value: string) => formatColour(parseColour(value) ?? { r: 0, g: 0, b: 0, a: 1 });

function SwatchEditor({ swatch, site }: { readonly swatch: Swatch; readonly site: Site }) {
  const store = useSiteStore();
  const edit = useEdit();
  const uses = swatchUses(site, swatch.id);
  const preview = (value: string) => { if (parseColour(value)) store.preview({ name: 'set-swatch', args: { id: swatch.id, value } }); };
  const commit = (value: string) => { edit({ name: 'set-swatch', args: { id: swatch.id, value } }, `Swatch ${swatch.name}`); };
  return (
    <div className="grid gap-2 p-3 text-bench">
      <div onPointerUp={() => { commit(hex(swatch.value)); }} onKeyUp={(event) => { if (event.key.startsWith('Arrow')) commit(hex(swatch.value)); }}>
        <Suspense fallback={<div className="h-[200px] w-[200px]" />}><Picker color={hex(swatch.value)} onChange={preview} /></Suspense>
      </div>
      <label className="grid grid-cols-[52px_1fr] items-center"><span className="text-ink-soft">Colour</span>
        <TextField className="w-full tabular" value={swatch.value} onTyping={preview}
          onCommit={(value) => { if (!parseColour(value)) return `“${value}” is no CSS colour.`; commit(value.trim()); return null; }} />
      </label>
      <label className="grid grid-cols-[52px_1fr] items-center"><span className="text-ink-soft">Name</span>
        <TextField className="w-full" value={swatch.name}
          onCommit={(name) => (name.trim() === '' ? 'A swatch needs a name.' : (edit({ name: 'set-swatch', args: { id: swatch.id, name: name.trim() } }, 'Swatch name'), null))} />
      </label>
      <div className="flex items-center justify-between text-small text-ink-faint">
        <span>{uses === 0 ? 'not used yet' : `used in ${uses} ${uses === 1 ? 'place' : 'places'}`}</span>
        {uses === 0 && <Button onClick={() => { edit({ name: 'remove-swatch', args: { id: swatch.id } }, `Remove swatch ${swatch.name}`); }}>Remove</Button>}
      </div>
    </div>
  );
}

/** The site's colours: change one, and everything linked to it follows. */
export const SwatchTray = memo(function SwatchTray({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const add = () => {
    const name = `Colour ${site.palette.length + 1}`;
    edit({ name: 'add-swatch', args: { swatch: { id: uniqueName(slugify(name, 'colour'), idsOf(site)), name, value: '#808080' } } }, 'New swatch');
  };
  return (
    <section aria-label="Swatches" className="flex shrink-0 items-center gap-1 overflow-x-auto border-t border-twine bg-cotton px-4 py-1.5">
      <h2 className="mr-2 text-small text-ink-faint">swatches</h2>
      {site.palette.map((swatch) => (
        <Popover.Root key={swatch.id}>
          <Popover.Trigger className="flex h-7 shrink-0 items-center gap-2 rounded-[3px] border border-transparent px-1.5 text-bench hover:border-twine hover:bg-white data-[state=open]:border-ochre data-[state=open]:bg-ochre-wash">
            <span className="size-[18px] rounded-[2px] border border-ink/25" style={{ background: swatch.value }} />{swatch.name}
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content side="top" sideOffset={6} aria-label={`Swatch ${swatch.name}`} className="z-50 w-[226px] rounded-[4px] border border-rope bg-cotton">
              <SwatchEditor swatch={swatch} site={site} />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      ))}
      <Button tone="quiet" onClick={add} title="Add a swatch">+ add</Button>
    </section>
  );
});
