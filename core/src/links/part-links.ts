import { BOOK } from '../kinds/book.ts';
import { shapeOf } from '../kinds/catalogue.ts';
import type { Site } from '../kinds/site.ts';
import { placedParts, type PlacedPart } from '../kinds/placed.ts';
import { memoise } from '../base/memo.ts';
import { isRecord } from '../base/json.ts';
import type { Target } from '../model/target.ts';
import { visitShape } from '../model/shape/visit.ts';

/** A link that a part has of its own: a call to action, an icon link, a text, a picture. */
export interface PartLink extends PlacedPart {
  readonly target: Target;
  /** Its words; empty where it has none. */
  readonly label: string;
  /** Name of the field of its words, as far as it has one that a link's label can be written to. */
  readonly labelField: string | null;
  /** Keys from the part to what holds target and words: none for the part itself. */
  readonly within: readonly string[];
}

/** Fields that hold the words of a link, best first. */
const LABELS = ['label', 'text', 'alternative'];

function linksOf(placed: PlacedPart): PartLink[] {
  const found: PartLink[] = [];
  const part = placed.part as unknown as Record<string, unknown>;
  const holders = new Map<string, Record<string, unknown>>([['', part]]);
  visitShape(shapeOf(placed.part.kind), part, '', BOOK, {
    thing: (thing, path) => {
      holders.set(path, thing);
    },
    field: ({ field, value, path }) => {
      if (field.spec.kind !== 'union' || field.spec.one !== 'target' || !isRecord(value)) return;
      const at = path.slice(0, path.lastIndexOf('/'));
      const holder = holders.get(at) ?? {};
      // What another field decides is no link of its own.
      if (field.when?.(holder) === false) return;
      const labelField = LABELS.find((key) => typeof holder[key] === 'string') ?? null;
      found.push({
        ...placed,
        target: value as unknown as Target,
        label: labelField === null ? '' : String(holder[labelField]),
        labelField,
        within: at.split('/').slice(1),
      });
    },
  });
  return found;
}

/** Every link that parts have of their own, in document order. */
export const partLinks = memoise((site: Site): readonly PartLink[] => placedParts(site).flatMap(linksOf));
