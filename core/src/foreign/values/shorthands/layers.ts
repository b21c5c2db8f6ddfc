import { initialOf } from '../longhands.ts';
import type { Expand } from '../shorthands.ts';
import { fits, partsOf, splitParts } from '../value-parts.ts';
import { sortParts } from './patterns.ts';

type Kind = 'background' | 'mask';

const OF_BOTH = ['image', 'position', 'size', 'repeat', 'origin', 'clip'] as const;
const MORE: Readonly<Record<Kind, readonly string[]>> = {
  background: ['attachment'],
  mask: ['composite', 'mode'],
};

/** The longhands of layered pictures. */
export const LAYER_NAMES = (kind: Kind): readonly string[] => [
  ...[...OF_BOTH, ...MORE[kind]].map((name) => `${kind}-${name}`),
  ...(kind === 'background' ? ['background-color'] : []),
];

const BOX = /^(?:border|padding|content|fill|stroke|view)-box$|^(?:border-area|text|no-clip)$/;

/** One layer (CSS Backgrounds 3, 2.10): `/` leads to a size; one box is meant of origin and clip. */
function readLayer(kind: Kind, parts: readonly string[]): Map<string, string> | null {
  const name = (part: string) => `${kind}-${part}`;
  const slash = parts.indexOf('/');
  const size: string[] = [];
  const others = slash === -1 ? [...parts] : parts.slice(0, slash);
  if (slash !== -1) {
    const after = parts.slice(slash + 1);
    while (after.length > 0 && fits(name('size'), [...size, after[0]].join(' ')))
      size.push(after.shift() ?? '');
    if (size.length === 0) return null;
    others.push(...after);
  }
  const boxes = others.filter((part) => BOX.test(part));
  const sorted = sortParts(
    LAYER_NAMES(kind).filter((entry) => !/-(?:size|origin|clip)$/.test(entry)),
    others.filter((part) => !BOX.test(part)),
  );
  if (!sorted || boxes.length > 2) return null;
  if (size.length > 0) sorted.set(name('size'), size.join(' '));
  const [first, second] = boxes;
  if (first !== undefined) {
    const isClip = first === 'text' || first === 'border-area' || first === 'no-clip';
    if (!isClip) sorted.set(name('origin'), first);
    sorted.set(name('clip'), second ?? first);
  }
  return sorted;
}

/** Takes `background` or `mask` apart, layer by layer; the colour is the last one's. */
export const expandLayers =
  (kind: Kind): Expand =>
  (value) => {
    const names = LAYER_NAMES(kind).filter((name) => name !== 'background-color');
    const lists = new Map<string, string[]>(names.map((name) => [name, []]));
    let colour = initialOf('background-color');
    const layers = splitParts(partsOf(value), ',');
    for (const [index, parts] of layers.entries()) {
      const layer = parts.length === 0 ? null : readLayer(kind, parts);
      if (!layer) return null;
      const own = layer.get('background-color');
      if (own !== undefined && index < layers.length - 1) return null;
      colour = own ?? colour;
      for (const [name, list] of lists) list.push(layer.get(name) ?? initialOf(name));
    }
    const made = new Map([...lists].map(([name, list]) => [name, list.join(', ')]));
    if (kind === 'background') made.set('background-color', colour);
    return made;
  };
