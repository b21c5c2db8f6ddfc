import { memoiseText } from '../../base/memo.ts';
import type { HtmlElement, HtmlNode } from '../../print/trees.ts';
import { simpleSelectors, type Compound } from './selector-parts.ts';

/** A sort of element in some markup: all of the same name and classes in elements of one sort. */
interface Sort {
  readonly number: number;
  readonly tag: string;
  readonly classes: ReadonlySet<string>;
  readonly parent: Sort | null;
  readonly inside: Map<string, Sort>;
}

/** The sorts of elements in some markup. */
export interface ElementSorts {
  /** The sorts, by number, that some compounds may be about, as far as names, classes and what they stand in tell. */
  readonly matching: (compounds: readonly Compound[]) => readonly number[];
}

/** The name and classes that a compound asks for. */
interface Asked {
  readonly tag: string | null;
  readonly classes: readonly string[];
}

const askedBy = memoiseText((text: string): Asked => {
  const simple = simpleSelectors(text);
  const [first] = simple;
  return {
    tag: first !== undefined && /^[a-z]/i.test(first) ? first : null,
    classes: simple.flatMap((one) => (one.startsWith('.') ? [one.slice(1)] : [])),
  };
}, 20_000);

const isAsked = ({ tag, classes }: Sort, asked: Asked): boolean =>
  (asked.tag === null || asked.tag === tag) && asked.classes.every((name) => classes.has(name));

/** Whether what a sort stands in answers to compounds, the last of which is behind a joint. */
function standsIn(sort: Sort, compounds: readonly Compound[], joint: string): boolean {
  const last = compounds.at(-1);
  // What stands beside it is not looked at.
  if (!last || joint === '+' || joint === '~') return true;
  const asked = askedBy(last.text);
  for (let { parent } = sort; parent; { parent } = parent) {
    if (isAsked(parent, asked) && standsIn(parent, compounds.slice(0, -1), last.joint)) return true;
    if (joint === '>') return false;
  }
  return false;
}

export function elementSorts(nodes: readonly HtmlNode[]): ElementSorts {
  const sorts: Sort[] = [];
  const byClass = new Map<string, Sort[]>();
  const top = new Map<string, Sort>();
  const sortOf = ({ tag, attributes }: HtmlElement, parent: Sort | null): Sort => {
    const own = attributes['class'];
    const names = typeof own === 'string' ? own : '';
    const among = parent?.inside ?? top;
    const key = `${tag} ${names}`;
    const known = among.get(key);
    if (known) return known;
    const classes = new Set(names.split(' ').filter((name) => name !== ''));
    const made = { number: sorts.length, tag, classes, parent, inside: new Map<string, Sort>() };
    among.set(key, made);
    sorts.push(made);
    for (const name of classes) {
      const alike = byClass.get(name);
      if (alike) alike.push(made);
      else byClass.set(name, [made]);
    }
    return made;
  };
  const visit = (list: readonly HtmlNode[], parent: Sort | null) => {
    for (const node of list) {
      if (node.node !== 'element') continue;
      const sort = sortOf(node, parent);
      if (node.children.length > 0) visit(node.children, sort);
    }
  };
  visit(nodes, null);
  return {
    matching: (compounds) => {
      const last = compounds.at(-1);
      if (!last) return [];
      const asked = askedBy(last.text);
      const [name] = asked.classes;
      const alike = name === undefined ? sorts : (byClass.get(name) ?? []);
      const own = alike.filter((sort) => isAsked(sort, asked));
      const within = own.filter((sort) => standsIn(sort, compounds.slice(0, -1), last.joint));
      // What the script moves may come to stand where nothing of its sort is yet.
      return (within.length > 0 ? within : own).map(({ number }) => number);
    },
  };
}
