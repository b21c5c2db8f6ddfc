import type { Declaration } from '../../print/trees.ts';

/** A property that says two others at once, and how. */
interface Pair {
  readonly first: string;
  readonly second: string;
  readonly both: string;
  readonly value: (first: string, second: string) => string;
}

const aroundBox = (block: string, inline: string) => (block === inline ? block : `${block} ${inline}`);

/** Text runs in lines from side to side in all our roots, so that the block axis is the one from top to bottom. */
const PAIRS: readonly Pair[] = [
  ...['padding', 'margin', 'inset'].map((both) => ({
    both,
    first: `${both}-block`,
    second: `${both}-inline`,
    value: aroundBox,
  })),
  {
    both: 'flex-flow',
    first: 'flex-direction',
    second: 'flex-wrap',
    value: (direction, wrap) => (direction === 'row' ? wrap : `${direction} ${wrap}`),
  },
];

const SIDES = ['border-block-start', 'border-block-end', 'border-inline-start', 'border-inline-end'] as const;

/** Whether a value is one length or word, and not one for each end. */
const isSingle = (value: string): boolean => !/[\s!]/.test(value.replace(/\((?:[^()]|\([^()]*\))*\)/g, '()'));

/** Whether a name is of a shorthand's family and none of some. */
const isBesides = (name: string, family: string, names: readonly string[]): boolean =>
  (name === family || name.startsWith(`${family}-`)) && !names.includes(name);

function joinPair(
  declarations: readonly Declaration[],
  { first, second, both, value }: Pair,
): readonly Declaration[] {
  const one = declarations.find(([name]) => name === first)?.[1];
  const other = declarations.find(([name]) => name === second)?.[1];
  if (one === undefined || other === undefined || !isSingle(one) || !isSingle(other)) return declarations;
  const own = [first, second];
  if (declarations.filter(([name]) => own.includes(name)).length > 2) return declarations;
  if (
    declarations.some(([name]) =>
      isBesides(name, both === 'flex-flow' ? both : (both.split('-')[0] ?? both), own),
    )
  )
    return declarations;
  const at = declarations.findLastIndex(([name]) => own.includes(name));
  return declarations.flatMap(([name, said], index): Declaration[] => {
    if (index === at) return [[both, value(one, other)]];
    return own.includes(name) ? [] : [[name, said]];
  });
}

/** Lines on all four sides that are alike, as one. */
function joinSides(declarations: readonly Declaration[]): readonly Declaration[] {
  const sides = declarations.filter(([name]) => (SIDES as readonly string[]).includes(name));
  const [side] = sides;
  if (!side || sides.length !== SIDES.length || sides.some(([, value]) => value !== side[1]))
    return declarations;
  const others = [...SIDES, 'border-radius'];
  if (new Set(sides.map(([name]) => name)).size < SIDES.length) return declarations;
  if (declarations.some(([name]) => isBesides(name, 'border', others) && !name.endsWith('-radius')))
    return declarations;
  const at = declarations.findLastIndex(([name]) => (SIDES as readonly string[]).includes(name));
  return declarations.flatMap(([name, said], index): Declaration[] => {
    if (index === at) return [['border', side[1]]];
    return (SIDES as readonly string[]).includes(name) ? [] : [[name, said]];
  });
}

/** Declarations with shorthands where all that one says is said, and nothing else of its family. */
export const shortened = (declarations: readonly Declaration[]): readonly Declaration[] =>
  joinSides(PAIRS.reduce(joinPair, declarations));
