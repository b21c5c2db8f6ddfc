import { createButton, idsOf, levelCount, wearsSlot, NO_TARGET, PART_LABELS, headerParts, slotsOf, uniqueName, type Header, type OwnerKind, type Panel, ZONES } from '@hamaca/core';
import { Button } from '../../controls/button.tsx';
import { useEdit, useSite } from '../../state/open-site.tsx';
import { selectSlot, useBench } from './bench-state.ts';

interface SlotLine {
  readonly owner: string;
  readonly slot: string;
  readonly level: 1 | 2 | 3 | null;
  readonly label: string;
}

/** The slots of an owner as lines; a link has one for each level the menu shows. */
function slotLines(owner: string, kind: OwnerKind, levels: number, isShown: (slot: string) => boolean = () => true): SlotLine[] {
  return Object.entries(slotsOf(kind)).filter(([slot]) => isShown(slot)).flatMap(([slot, entry]): SlotLine[] => {
    if (entry.levels.length < 2) return entry.levels.some((level) => level > levels) ? [] : [{ owner, slot, level: entry.levels[0] ?? null, label: entry.label }];
    return entry.levels.filter((level) => level <= levels).map((level) => ({ owner, slot, level, label: `${entry.label}, level ${level}` }));
  });
}

function Line({ line, depth }: { readonly line: SlotLine; readonly depth: number }) {
  const selected = useBench((state) => state.selected);
  const current = selected.owner === line.owner && selected.slot === line.slot && (line.level === null || selected.level === String(line.level) || selected.level === 'all');
  return (
    <li>
      <button type="button" aria-current={current ? 'true' : undefined} onClick={() => { selectSlot(line.owner, line.slot, line.level); }}
        style={{ paddingInlineStart: 10 + depth * 12 }}
        className={`flex h-[26px] w-full items-center border-l-[3px] text-left text-bench ${current ? 'border-ochre bg-ochre-wash font-semibold' : 'border-transparent hover:bg-linen'}`}>
        {line.label}
      </button>
    </li>
  );
}

function Heading({ depth, children }: { readonly depth: number; readonly children: string }) {
  return <li style={{ paddingInlineStart: 13 + depth * 12 }} className="flex h-6 items-end pb-0.5 text-small text-ink-faint">{children}</li>;
}

/** The structure of the header, with everything that can be styled in it. */
export function PartsOutline({ header, panel }: { readonly header: Header; readonly panel: Panel | null }) {
  const site = useSite();
  return (
    <nav aria-label="Parts" className="h-full overflow-auto py-1">
      <ul>
        {slotLines(header.id, 'header', 3).map((line) => <Line key={line.slot} line={line} depth={0} />)}
        {header.rows.map((row) => (
          <li key={row.id}>
            <ul>
              {slotLines(row.id, 'row', 3).map((line) => <Line key={line.slot} line={{ ...line, label: `Row ${row.name}` }} depth={0} />)}
              {ZONES.filter((zone) => row.zones[zone].length > 0).map((zone) => (
                <li key={zone}>
                  <ul>
                    <Heading depth={0}>{zone}</Heading>
                    {row.zones[zone].map((part) => {
                      const lines = slotLines(part.id, part.kind, part.kind === 'menu' ? levelCount(part.levels) : 3, (slot) => part.kind !== 'menu' || wearsSlot(site, part, slot));
                      if (lines.length === 1 && lines[0]) return <Line key={part.id} line={lines[0]} depth={1} />;
                      return (
                        <li key={part.id}>
                          <ul>
                            <Heading depth={1}>{PART_LABELS[part.kind]}</Heading>
                            {lines.map((line) => <Line key={line.label} line={line} depth={2} />)}
                          </ul>
                        </li>
                      );
                    })}
                  </ul>
                </li>
              ))}
            </ul>
          </li>
        ))}
        {panel && (
          <>
            <Heading depth={0}>Panel</Heading>
            {slotLines(panel.id, 'panel', 3).map((line) => <Line key={line.slot} line={line} depth={1} />)}
            {panel.parts.map((part) => (
              <li key={part.id}>
                <ul>
                  <Heading depth={1}>{`Menu ${part.name}`}</Heading>
                  {slotLines(part.id, 'menu', levelCount(part.levels), (slot) => wearsSlot(site, part, slot)).map((line) => <Line key={line.label} line={line} depth={2} />)}
                </ul>
              </li>
            ))}
          </>
        )}
      </ul>
      <AddCallToAction header={header} />
    </nav>
  );
}

/** One call to action a header; offered where it has none. */
function AddCallToAction({ header }: { readonly header: Header }) {
  const site = useSite();
  const edit = useEdit();
  const row = header.rows[0];
  if (!row || headerParts(header).some((part) => part.kind === 'button')) return null;
  const add = () => {
    const id = uniqueName('call-to-action', idsOf(site));
    const look = { button: { all: { rest: { all: { paddingInline: 16, paddingBlock: 9, radius: 6 } }, hover: { all: { fill: { role: 'ink' } } } } } } as const;
    const made = edit({ name: 'add-part', args: { place: { row: row.id, zone: 'end', index: 0 }, part: { ...createButton(id, 'Get in touch', NO_TARGET), look } } }, 'Add a call to action');
    if (made) selectSlot(id, 'button', null);
  };
  return <div className="p-2"><Button className="!h-6" onClick={add}>+ call to action</Button></div>;
}
