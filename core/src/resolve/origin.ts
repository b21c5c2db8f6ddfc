import type { Site } from '../document/site.ts';
import type { SlotKind } from '../document/slot.ts';
import { colourTrail, isColourValue } from './colours.ts';
import type { Origin, Resolved } from './resolve.ts';

const levelName = (level: string) => (level === 'all' ? 'all levels' : `level ${level}`);

function originStep(site: Site, kind: SlotKind, origin: Origin): string {
  switch (origin.kind) {
    case 'look': {
      const level = kind.levels.length > 0 ? [levelName(origin.level)] : [];
      const band = origin.band === 'all' ? [] : [`${site.bands.find((entry) => entry.id === origin.band)?.name ?? origin.band} and narrower`];
      return [...level, origin.state, ...band].join(', ');
    }
    case 'type-style': return `type style ${site.typeStyles.find((entry) => entry.id === origin.id)?.name ?? origin.id}`;
    case 'slot-default': return `${kind.label.toLowerCase()} default`;
    case 'initial': return 'nothing set';
  }
}

/** Where a value comes from, as the steps shown to a designer: `level 1, rest`, `role accent`, `swatch Reed`. */
export function originTrail(site: Site, kind: SlotKind, resolved: Resolved): string[] {
  const links = isColourValue(resolved.value) ? colourTrail(site, resolved.value) : [];
  const colours = links.flatMap((step) => {
    if (step.kind === 'role') return [`role ${step.role}`];
    return step.kind === 'swatch' ? [`swatch ${step.name}`] : [];
  });
  return [originStep(site, kind, resolved.origin), ...colours];
}
