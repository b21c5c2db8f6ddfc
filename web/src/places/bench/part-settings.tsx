import { formatTarget, ownersOf, parseTarget, headerParts, type Part, type Piece, type Site } from '@hamaca/core';
import { useRef, useState, type ReactNode } from 'react';
import { Button } from '../../controls/button.tsx';
import { Choice } from '../../controls/choice.tsx';
import { TextField } from '../../controls/text-field.tsx';
import { cleanSvg } from '../../state/clean-svg.ts';
import { notify } from '../../state/notices.ts';
import { useEdit } from '../../state/open-site.tsx';
import { PlacementFields } from '../links/placement-fields.tsx';
import { useBench } from './bench-state.ts';

type Set = (fields: Record<string, unknown>, label: string) => null;

function Field({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return <label className="flex items-center gap-1.5"><span className="text-small text-ink-faint">{label}</span>{children}</label>;
}

function LogoSettings({ part, set }: { readonly part: Extract<Part, { kind: 'logo' }>; readonly set: Set }) {
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    setBusy(true);
    const svg = chosen.size > 200_000 ? null : await cleanSvg(await chosen.text());
    setBusy(false);
    if (svg) set({ svg }, 'Logo drawing');
    else notify({ tone: 'error', text: `${chosen.name} cannot be used as a logo: an SVG of at most 200 kB is needed, without scripts, styles or outside references. The logo was left as it is.` });
  };
  return (
    <>
      <Field label="text"><TextField className="w-44" value={part.text} onCommit={(text) => (text.trim() === '' ? 'A logo needs a text: it is its name too.' : set({ text: text.trim() }, 'Logo text'))} /></Field>
      <Button className="!h-6" disabled={busy} onClick={() => { file.current?.click(); }}>{part.svg === null ? 'Add a drawing (SVG)…' : 'Replace the drawing…'}</Button>
      <input ref={file} type="file" accept=".svg,image/svg+xml" aria-label="Logo drawing" className="sr-only" tabIndex={-1} onChange={(event) => { void take(event.target.files?.[0]); event.target.value = ''; }} />
      {part.svg !== null && (
        <>
          <Field label="height"><TextField className="w-14 tabular" value={String(part.svgHeight)}
            onCommit={(text) => (/^\d+$/.test(text) && Number(text) >= 8 && Number(text) <= 400 ? set({ svgHeight: Number(text) }, 'Logo height') : 'A whole number of px from 8 to 400.')} /></Field>
          <Button className="!h-6" pressed={part.textShown} onClick={() => { set({ textShown: !part.textShown }, 'Logo text beside the drawing'); }}>with text</Button>
          <Button className="!h-6" onClick={() => { set({ svg: null }, 'Remove logo drawing'); }}>Remove the drawing</Button>
        </>
      )}
    </>
  );
}

function MenuSettings({ site, part, set }: { readonly site: Site; readonly part: Extract<Part, { kind: 'menu' }>; readonly set: Set }) {
  return (
    <>
      <Field label="menu"><Choice label="Menu shown" value={part.menu} options={site.menus.map((menu) => ({ value: menu.id, label: menu.name }))} onChange={(menu) => { set({ menu, branch: null }, 'Menu shown'); }} /></Field>
      <PlacementFields site={site} part={part} set={set} />
      <Field label="submenus open"><Choice label="Submenus open" value={part.opensOn} options={[{ value: 'hover', label: 'by pointing or click' }, { value: 'click', label: 'by click' }]} onChange={(opensOn) => { set({ opensOn }, 'How submenus open'); }} /></Field>
      <Field label="name"><TextField className="w-24" value={part.name} title="What assistive technology calls this navigation" onCommit={(name) => (name.trim() === '' ? 'A navigation needs a name.' : set({ name: name.trim() }, 'Name of the navigation'))} /></Field>
    </>
  );
}

function ButtonSettings({ site, part, set, onRemove }: { readonly site: Site; readonly part: Extract<Part, { kind: 'button' }>; readonly set: Set; readonly onRemove: () => void }) {
  return (
    <>
      <Field label="label"><TextField className="w-40" value={part.label} onCommit={(label) => (label.trim() === '' ? 'A button needs a label.' : set({ label: label.trim() }, 'Button label'))} /></Field>
      <Field label="target"><TextField className="w-52" value={formatTarget(site, part.target)} placeholder="/path, #section, https://…"
        onCommit={(text) => {
          const target = parseTarget(site, text);
          return target.ok ? set({ target: target.value }, 'Button target') : `This target is refused: ${target.error}.`;
        }} /></Field>
      <Button className="!h-6" onClick={onRemove}>Remove</Button>
    </>
  );
}

function PanelSettings({ piece, set }: { readonly piece: Extract<Piece, { kind: 'panel' }>; readonly set: Set }) {
  return (
    <>
      <Field label="comes from"><Choice label="Side of the panel" value={piece.side} options={[{ value: 'end', label: 'the end' }, { value: 'start', label: 'the start' }]} onChange={(side) => { set({ side }, 'Side of the panel'); }} /></Field>
      <Field label="name"><TextField className="w-28" value={piece.name} onCommit={(name) => (name.trim() === '' ? 'A panel needs a name.' : set({ name: name.trim() }, 'Panel name'))} /></Field>
      <Field label="close button’s name"><TextField className="w-32" value={piece.closeLabel} onCommit={(closeLabel) => (closeLabel.trim() === '' ? 'The close button needs a name.' : set({ closeLabel: closeLabel.trim() }, 'Name of the close button'))} /></Field>
    </>
  );
}

/** What the selected part is, above how it looks: its text, target, levels. */
export function PartSettings({ site }: { readonly site: Site }) {
  const edit = useEdit();
  const selected = useBench((state) => state.selected);
  const owner = ownersOf(site).get(selected.owner);
  if (!owner) return null;
  const set: Set = (fields, label) => { edit({ name: 'set-owner', args: { id: owner.id, fields } }, label); return null; };
  const part = owner.piece.kind === 'header' ? headerParts(owner.piece).find((entry) => entry.id === owner.id) : undefined;
  const content = part?.kind === 'logo' ? <LogoSettings part={part} set={set} />
    : part?.kind === 'menu' ? <MenuSettings site={site} part={part} set={set} />
    : part?.kind === 'button' ? <ButtonSettings site={site} part={part} set={set} onRemove={() => { edit({ name: 'remove-part', args: { id: part.id } }, 'Remove the call to action'); }} />
    : part?.kind === 'opener' ? <Field label="name"><TextField className="w-32" value={part.label} onCommit={(label) => (label.trim() === '' ? 'The opener needs a name.' : set({ label: label.trim() }, 'Name of the opener'))} /></Field>
    : owner.piece.kind === 'panel' ? <PanelSettings piece={owner.piece} set={set} /> : null;
  if (!content) return null;
  return <div key={owner.id} className="flex min-h-10 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-twine px-3 py-1 text-bench">{content}</div>;
}
