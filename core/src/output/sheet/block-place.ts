import { memoiseText } from '../../base/memo.ts';
import type { Names } from '../names.ts';
import { selectorParts, simpleSelectors, type Compound, type SelectorParts } from './selector-parts.ts';

/** Where a selector is said: in the block of one element, and what it adds there. */
export interface BlockPlace {
  /** The selector of the block within the root: `.hm-main-link`, `&.hm-header`; empty for the root itself. */
  readonly block: string;
  /** The class that the block is called by; null for what is no element of ours. */
  readonly called: string | null;
  /** The selector within the block: `&` for the element as it is. */
  readonly nested: string;
  readonly parts: SelectorParts;
  /** Its compounds from the one that is called so on: what stands around that may change. */
  readonly own: readonly Compound[];
}

/** The block of what lies outside of our roots: `html`, `body`. */
export const PAGE = 'page';

/** Spaces around what connects compounds, as one writes it. */
const joined = (joint: string, text: string): string =>
  joint === '' ? text : joint === ' ' ? ` ${text}` : ` ${joint} ${text}`;

const classesIn = memoiseText(
  (compound: string): readonly string[] =>
    simpleSelectors(compound).flatMap((simple) => (simple.startsWith('.') ? [simple.slice(1)] : [])),
  20_000,
);

/** The parts of a root's compound: the class of one piece's root, and what the root is asked for besides. */
function rootParts(
  compound: string,
  { root, rootId, ownerOf }: Names,
): { piece: string | null; asked: string } {
  const besides = simpleSelectors(compound).filter(
    (simple) => simple !== `.${root}` && simple !== `:not(#${rootId})`,
  );
  const [first = ''] = besides;
  const piece = first.startsWith('.') && ownerOf(first.slice(1)) !== null ? first.slice(1) : null;
  return { piece, asked: besides.slice(piece === null ? 0 : 1).join('') };
}

/** What a compound adds to its block, whose class it has: `&:hover`; the element's name goes behind. */
function withoutClass(compound: string, called: string): string {
  const simple = simpleSelectors(compound);
  const place = simple.indexOf(`.${called}`);
  const [tag] = simple;
  const rest = simple.filter((_, index) => index !== place);
  return tag !== undefined && /^[a-z]/i.test(tag)
    ? `&:is(${tag})${rest.slice(1).join('')}`
    : `&${rest.join('')}`;
}

/** Says where a selector of the output stands. */
export function blockPlace(selector: string, names: Names): BlockPlace {
  const parts = selectorParts(selector);
  const [first, ...others] = parts.compounds;
  if (!first || !classesIn(first.text).includes(names.root))
    return { block: PAGE, called: null, nested: selector, parts, own: [] };
  const { piece, asked } = rootParts(first.text, names);
  const isCalled = (name: string) => names.ownerOf(name) !== null;
  const last = others.findLastIndex(({ text }) => classesIn(text).some(isCalled));
  const tail = (from: number) =>
    others
      .slice(from)
      .map(({ joint, text }) => joined(joint, text))
      .join('');
  if (last === -1) {
    // About the root, or about what is called by no name in it.
    const behind = tail(0).trim();
    if (piece === null && asked === '' && behind !== '')
      return { block: behind, called: null, nested: '&', parts, own: others };
    // Roots that have a class which is no piece's.
    if (piece === null && asked.startsWith('.') && behind === '')
      return { block: `&${asked}`, called: null, nested: '&', parts, own: parts.compounds };
    const nested = asked === '' && behind !== '' ? behind : `&${asked}${tail(0)}`;
    return { block: piece === null ? '' : `&.${piece}`, called: piece, nested, parts, own: parts.compounds };
  }
  const compound = others[last]?.text ?? '';
  const called = classesIn(compound).find(isCalled) ?? '';
  const own = withoutClass(compound, called);
  const around = others
    .slice(0, last)
    .map(({ joint, text }) => joined(joint, text))
    .join('');
  const joint = others[last]?.joint ?? ' ';
  // What is asked of a root by itself is told of what lies around; a root without a mark has to be called by name.
  const root =
    piece !== null
      ? `.${piece}${asked}`
      : asked === ''
        ? ''
        : asked.startsWith(':not')
          ? `.${names.root}${asked}`
          : asked;
  const before = `${root}${around}`.trim();
  const self = before === '' ? own : `${before}${joined(joint, own)}`;
  const behind = tail(last + 1);
  const nested = own === '&' && before === '' && behind !== '' ? behind.trim() : self + behind;
  return { block: `.${called}`, called, nested, parts, own: others.slice(last) };
}
