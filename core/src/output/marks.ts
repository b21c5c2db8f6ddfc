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

/** What differs between shapes and is not set by all: a shape that takes another one's place starts from here. */
const PLAIN: readonly Declaration[] = [
  ['z-index', 'auto'],
  ['border', '0'],
  ['border-radius', '0'],
  ['clip-path', 'none'],
  ['background', 'none'],
  ['inline-size', 'auto'],
  ['block-size', 'auto'],
];

/** A mark that is not drawn: faded, and where it grows, at no width. */
const hidden = (context: CompileContext): Declaration[] => [
  ['opacity', '0'],
  ['scale', `var(${context.names.variable('mark-hidden')}, 1)`],
];
const SHOWN: readonly Declaration[] = [
  ['opacity', '1'],
  ['scale', '1'],
];

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

/**
 * Reads the marks a slot wears. A mark that is not there at rest is drawn hidden, so that it can come smoothly; one shape
 * in all states is drawn once and only shown.
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
  const full = (shape: Shape): Declaration[] => [
    ...(shapes.length > 1 ? PLAIN : []),
    ...shapeDeclarations(context, shape),
  ];
  return {
    candidates: own.includes(base) ? candidates : [base, ...candidates],
    behind: shapes.includes('box'),
    declarations: (candidate) => {
      const shape = candidate.value;
      if (candidate === base) return [...AT_ALL, ...full(drawn), ...(isShape(shape) ? [] : hidden(context))];
      if (!isShape(shape)) return hidden(context);
      return [...(shapes.length > 1 ? full(shape) : []), ...SHOWN];
    },
  };
}
