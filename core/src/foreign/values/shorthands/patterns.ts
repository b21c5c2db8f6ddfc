import { initialOf } from '../longhands.ts';
import type { Shorthand } from '../shorthands.ts';
import { fits, partsOf, splitParts } from '../value-parts.ts';

/** Adds longhands that a shorthand only sets back. */
export function both(made: Map<string, string>, resets: readonly string[]): ReadonlyMap<string, string> {
  for (const name of resets) made.set(name, initialOf(name));
  return made;
}

/** One to four values around a box: top, right, bottom, left. */
export function sides(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (value) => {
      const parts = partsOf(value);
      const [first] = parts;
      if (first === undefined || parts.length > 4) return null;
      const second = parts[1] ?? first;
      const third = parts[2] ?? first;
      const all = [first, second, third, parts[3] ?? second];
      return new Map(names.map((name, index) => [name, all[index] ?? first]));
    },
  };
}

/** One or two values. */
export function pair(start: string, end: string): Shorthand {
  return {
    longhands: [start, end],
    expand: (value) => {
      const parts = partsOf(value);
      for (let split = 1; split < parts.length; split++) {
        const [a, b] = [parts.slice(0, split).join(' '), parts.slice(split).join(' ')];
        if (fits(start, a) && fits(end, b))
          return new Map([
            [start, a],
            [end, b],
          ]);
      }
      return parts.length > 0
        ? new Map([
            [start, value],
            [end, value],
          ])
        : null;
    },
  };
}

/** Sorts parts to the longhands they can be of, the first that takes a part; null where none does. */
export function sortParts(names: readonly string[], parts: readonly string[]): Map<string, string> | null {
  const made = new Map<string, string>();
  for (const part of parts) {
    const taker = names.find((name) => {
      const before = made.get(name);
      return fits(name, before === undefined ? part : `${before} ${part}`);
    });
    if (taker === undefined) return null;
    const before = made.get(taker);
    made.set(taker, before === undefined ? part : `${before} ${part}`);
  }
  return made;
}

/** Parts in any order, each known by what it is. */
export function anyOrder(names: readonly string[], resets: readonly string[] = []): Shorthand {
  return {
    longhands: [...names, ...resets],
    expand: (value) => {
      const sorted = sortParts(names, partsOf(value));
      if (!sorted) return null;
      // One `none` of a list's style is meant of both its sign and its picture.
      if (sorted.get('list-style-image') === 'none' && !sorted.has('list-style-type'))
        sorted.set('list-style-type', 'none');
      for (const name of names) if (!sorted.has(name)) sorted.set(name, initialOf(name));
      return both(sorted, resets);
    },
  };
}

/** Several of these with commas between them; what a layer leaves out is initial there. */
export function inLayers(names: readonly string[], resets: readonly string[]): Shorthand {
  return {
    longhands: [...names, ...resets],
    expand: (value) => {
      const lists = new Map<string, string[]>(names.map((name) => [name, []]));
      for (const parts of splitParts(partsOf(value), ',')) {
        const sorted = sortParts(names, parts);
        if (!sorted || parts.length === 0) return null;
        for (const [name, list] of lists) list.push(sorted.get(name) ?? initialOf(name));
      }
      return both(new Map([...lists].map(([name, list]) => [name, list.join(', ')])), resets);
    },
  };
}

/** Grid lines with `/` between them: what is left out is the name given before, else `auto` (CSS Grid 2, 8.4). */
export function areas(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (value) => {
      const given = splitParts(partsOf(value), '/').map((parts) => parts.join(' '));
      if (given.length > names.length || given.some((part) => part === '')) return null;
      const isName = (part: string) => /^[a-z_-][\w-]*$/i.test(part) && part !== 'auto';
      const at = (index: number): string => {
        const said = given[index];
        if (said !== undefined) return said;
        if (index === 0) return 'auto';
        // Ends follow their own starts, and a start the first.
        const from = at(
          index === 3 ? 1 : index === 1 && names.length === 4 ? 0 : names.length === 4 ? 0 : index - 1,
        );
        return isName(from) ? from : 'auto';
      };
      return new Map(names.map((name, index) => [name, at(index)]));
    },
  };
}

const CORNERS = ['top-left', 'top-right', 'bottom-right', 'bottom-left'].map(
  (corner) => `border-${corner}-radius`,
);

/** Radii of four corners, across and, after `/`, down. */
export const corners: Shorthand = {
  longhands: CORNERS,
  expand: (value) => {
    const [across, down] = splitParts(partsOf(value), '/').map((parts) =>
      sides(CORNERS).expand(parts.join(' ')),
    );
    if (!across) return null;
    if (!down) return across;
    return new Map(CORNERS.map((name) => [name, `${across.get(name)} ${down.get(name)}`]));
  },
};
