import type { PropertyId } from '../kinds/properties/properties.ts';
import type { CompileContext } from './context.ts';
import type { Candidate } from './passes/prune.ts';
import type { Declaration } from '../print/trees.ts';

/*
 * A mark is drawn in one element behind or beside the label, so that nothing is added to the markup. Its measures are
 * custom properties on that element: a state changes one of them and the shape follows.
 */

type Shape =
  | 'line under'
  | 'line over'
  | 'line through'
  | 'lines both'
  | 'side bar'
  | 'box'
  | 'notch'
  | 'dot'
  | 'brackets';

/** What every mark has. */
const AT_ALL: readonly Declaration[] = [
  ['content', '""'],
  ['position', 'absolute'],
  ['pointer-events', 'none'],
  ['margin', 'auto'],
];

/** How a shape is drawn from its thickness, length and offset. */
function shapeDeclarations(context: CompileContext, shape: Shape): Declaration[] {
  const measure = (name: string, usual: string) => `var(${context.names.variable(`mark-${name}`)}, ${usual})`;
  const thickness = measure('thickness', '2px');
  const length = measure('length', '100%');
  const offset = measure('offset', '0px');
  const lying = (inset: string): Declaration[] => [
    ['inset', inset],
    ['inline-size', length],
    ['block-size', thickness],
    ['background', 'currentColor'],
  ];
  switch (shape) {
    case 'line under':
      return lying(`auto 0 ${offset}`);
    case 'line over':
      return lying(`${offset} 0 auto`);
    case 'line through':
      return lying('0');
    case 'lines both':
      return [
        ['inset', `${offset} 0`],
        ['inline-size', length],
        ['border-block', `${thickness} solid`],
      ];
    case 'side bar':
      return [
        ['inset-block', '0'],
        ['inset-inline', `${offset} auto`],
        ['inline-size', thickness],
        ['block-size', length],
        ['background', 'currentColor'],
      ];
    case 'box':
      return [
        ['inset', offset],
        ['z-index', '-1'],
        ['border-radius', 'inherit'],
        ['background', 'currentColor'],
      ];
    case 'notch':
      return [
        ['inset', `auto 0 ${offset}`],
        ['inline-size', `calc(${thickness} * 6)`],
        ['block-size', `calc(${thickness} * 3)`],
        ['clip-path', 'polygon(50% 0, 100% 100%, 0 100%)'],
        ['background', 'currentColor'],
      ];
    case 'dot':
      return [
        ['inset', `auto 0 ${offset}`],
        ['inline-size', `calc(${thickness} * 3)`],
        ['block-size', `calc(${thickness} * 3)`],
        ['border-radius', '50%'],
        ['background', 'currentColor'],
      ];
    case 'brackets':
      return [
        ['inset', offset],
        ['border-inline', `${thickness} solid`],
        [
          'background',
          ['0 0', '100% 0', '0 100%', '100% 100%']
            .map(
              (corner) =>
                `linear-gradient(currentColor 0 0) ${corner} / calc(${thickness} * 3) ${thickness} no-repeat`,
            )
            .join(', '),
        ],
      ];
  }
}

/** What a shape that takes another one's place gives back where that one set it. */
const PLAIN: readonly Declaration[] = [
  ['z-index', 'auto'],
  ['border', '0'],
  ['border-radius', '0'],
  ['clip-path', 'none'],
  ['background', 'none'],
  ['inline-size', 'auto'],
  ['block-size', 'auto'],
];

/** Whether a declaration sets a property, or sides of it. */
const sets = (property: string, [name]: Declaration): boolean =>
  name === property || (property === 'border' && /^border-(block|inline)$/.test(name));

/** What a shape must say where others may have been drawn: nothing where all are the same. */
function redrawn(context: CompileContext, shape: Shape, others: readonly Shape[]): Declaration[] {
  if (others.every((other) => other === shape)) return [];
  const own = shapeDeclarations(context, shape);
  const theirs = others.flatMap((other) => shapeDeclarations(context, other));
  const left = PLAIN.filter(([property]) =>
    theirs.some(
      (declaration) => sets(property, declaration) && !own.some(([name]) => name === declaration[0]),
    ),
  );
  const isSaid = ([name, css]: Declaration) =>
    others.every((other) =>
      shapeDeclarations(context, other).some(([theirs, value]) => theirs === name && value === css),
    );
  return [...left, ...own.filter((declaration) => !isSaid(declaration))];
}

const isShape = (value: unknown): value is Shape => value !== 'none';

/** How the marks of one slot are drawn: null where it never has one. */
export interface Marks {
  /** Candidates of the slot, with one for rest where a mark only comes with another state. */
  readonly candidates: readonly Candidate[];
  readonly declarations: (candidate: Candidate) => Declaration[];
  /** Whether a shape lies behind the label. */
  readonly behind: boolean;
}

export const MARK_IDS: readonly PropertyId[] = [
  'mark',
  'markColour',
  'markThickness',
  'markLength',
  'markOffset',
  'markFrom',
];

/** A mark that is not drawn: faded, and where it grows, at no width. */
const hidden = (context: CompileContext, grows: boolean): Declaration[] => [
  ['opacity', '0'],
  ...(grows ? [['scale', `var(${context.names.variable('mark-hidden')}, 1)`] as const] : []),
];

const shown = (grows: boolean): Declaration[] => [
  ['opacity', '1'],
  ...(grows ? [['scale', '1'] as const] : []),
];

/** Whether two values may meet at one link. */
const isMet = (a: Candidate, b: Candidate): boolean =>
  a.level === b.level || a.level === 'all' || b.level === 'all';

/** Whether a value holds wherever another one does, so that what is weaker than it never shows there. */
function isAlwaysMet({ site }: CompileContext, value: Candidate, where: Candidate): boolean {
  const bandIndex = (id: string) => site.bands.findIndex((band) => band.id === id);
  return (
    (value.state === 'rest' || value.state === where.state) &&
    (value.level === 'all' || value.level === where.level) &&
    bandIndex(value.band) <= bandIndex(where.band)
  );
}

/**
 * Reads the marks a slot wears. A mark that is not there at rest is drawn hidden, so that it can come smoothly. A state says
 * only what differs from what weaker ones may have drawn.
 */
export function readMarks(context: CompileContext, candidates: readonly Candidate[]): Marks | null {
  const own = candidates.filter((candidate) => candidate.property === 'mark');
  const shapes = [...new Set(own.map((candidate) => candidate.value).filter(isShape))];
  const [first] = shapes;
  if (first === undefined) return null;
  const levels = new Set(own.map((candidate) => candidate.level));
  const [only] = levels;
  const level = levels.size === 1 && only !== undefined ? only : 'all';
  const isBase = (candidate: Candidate) =>
    candidate.state === 'rest' && candidate.level === level && candidate.band === 'all';
  const base: Candidate = own.find(isBase) ?? {
    property: 'mark',
    level,
    state: 'rest',
    band: 'all',
    value: 'none',
  };
  const drawn = isShape(base.value) ? base.value : first;
  const grows = candidates.some((candidate) => candidate.property === 'markFrom');
  // In the order that makes the later one win.
  const ordered = own.includes(base) ? own : [base, ...own];
  const declarations = (candidate: Candidate): Declaration[] => {
    const shape = candidate.value;
    if (candidate === base)
      return [
        ...AT_ALL,
        ...shapeDeclarations(context, drawn),
        ...(isShape(shape) ? [] : hidden(context, grows)),
      ];
    const before = ordered.slice(0, ordered.indexOf(candidate)).filter((other) => isMet(other, candidate));
    const weaker = before.slice(before.findLastIndex((other) => isAlwaysMet(context, other, candidate)));
    const isAlways = (isShown: boolean) => weaker.every((other) => isShape(other.value) === isShown);
    if (!isShape(shape)) return isAlways(false) ? [] : hidden(context, grows);
    const others = weaker.map((other) => (other === base ? drawn : other.value)).filter(isShape);
    return [...redrawn(context, shape, others), ...(isAlways(true) ? [] : shown(grows))];
  };
  return {
    candidates: own.includes(base) ? candidates : [base, ...candidates],
    behind: shapes.includes('box'),
    declarations,
  };
}
