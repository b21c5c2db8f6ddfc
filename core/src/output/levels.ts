import { memoise } from '../base/memo.ts';
import type { Level } from '../model/states.ts';
import type { ConditionalRule, HtmlElement, HtmlNode } from '../print/trees.ts';
import type { CompileContext } from './context.ts';
import type { Names } from './names.ts';

/*
 * Links, and what is in them, are told by a class at which level of their menu they stand, where rules ask for that. Rules
 * say it right behind the class of a slot: `.hm-main-link:where(.hm-level-2)`.
 */

/** Of every class the levels by which rules tell its elements apart. */
export type AskedLevels = ReadonlyMap<string, ReadonlySet<Level>>;

const DEEPEST = 3;

/** The class of what stands at a level of its menu. The third is that of all deeper ones. */
export const levelClass = ({ name }: Pick<Names, 'name'>, level: Level): string => name(`level-${level}`);

/** What tells elements of a level by their class. */
export const levelByClass = (names: Names, level: Level): string => `:where(.${levelClass(names, level)})`;

/** Classes with levels in some rules, as `class level`. */
const askedIn = memoise((rules: readonly ConditionalRule[]) =>
  memoise((names: Names): readonly (readonly [name: string, level: Level])[] => {
    const asked = new RegExp(`\\.([\\w-]+):where\\(\\.${names.name('level-')}(\\d)\\b`, 'g');
    const found = new Map<string, readonly [string, Level]>();
    for (const { rule } of rules)
      for (const [text, name = '', level] of rule.selector.matchAll(asked))
        found.set(text, [name, Number(level) as Level]);
    return [...found.values()];
  }),
);

/** The levels that rules ask for. */
export function askedLevels(lists: readonly (readonly ConditionalRule[])[], names: Names): AskedLevels {
  const asked = new Map<string, Set<Level>>();
  for (const rules of lists)
    for (const [name, level] of askedIn(rules)(names))
      asked.set(name, (asked.get(name) ?? new Set()).add(level));
  return asked;
}

/** Whether rules ask for the same levels. */
export const isSameAsked = (a: AskedLevels, b: AskedLevels): boolean =>
  a.size === b.size &&
  [...a].every(([name, levels]) => {
    const others = b.get(name);
    return others?.size === levels.size && [...levels].every((level) => others.has(level));
  });

const classesOf = ({ attributes }: HtmlElement): readonly string[] => {
  const names = attributes['class'];
  return typeof names === 'string' ? names.split(' ') : [];
};

const isElement = (node: HtmlNode): node is HtmlElement => node.node === 'element';

/** The menus of which the script moves links to another level: all of theirs that are told apart have the class. */
function movingMenus(nodes: readonly HtmlNode[], { attribute, ownerOf }: Names): ReadonlySet<string> {
  const found = new Set<string>();
  const visit = (node: HtmlNode) => {
    if (!isElement(node)) return;
    const [own = ''] = classesOf(node);
    const owner = ownerOf(own)?.owner;
    if (node.attributes[attribute('rest')] !== undefined && owner !== undefined) found.add(owner);
    node.children.forEach(visit);
  };
  nodes.forEach(visit);
  return found;
}

/** Markup in which everything that rules ask the level of says it. What nothing is asked of stays the same object. */
export function withLevels(
  { names }: CompileContext,
  nodes: readonly HtmlNode[],
  asked: AskedLevels,
): readonly HtmlNode[] {
  if (asked.size === 0) return nodes;
  const moving = movingMenus(nodes, names);
  const isTold = (name: string, level: Level) => {
    const levels = asked.get(name);
    return levels !== undefined && (levels.has(level) || moving.has(names.ownerOf(name)?.owner ?? ''));
  };
  const visitAll = (children: readonly HtmlNode[], depth: number): readonly HtmlNode[] => {
    const visited = children.map((child) => (isElement(child) ? visit(child, depth) : child));
    return visited.some((child, index) => child !== children[index]) ? visited : children;
  };
  const visit = (node: HtmlElement, above: number): HtmlElement => {
    const classes = classesOf(node);
    const isMenu = classes.some((name) => names.ownerOf(name)?.slot === 'list');
    const depth = isMenu ? 1 : above > 0 && node.tag === 'ul' ? above + 1 : above;
    const children = visitAll(node.children, depth);
    const level = Math.min(depth, DEEPEST) as Level;
    const isLeveled = depth > 0 && classes.some((name) => isTold(name, level));
    if (!isLeveled) return children === node.children ? node : { ...node, children };
    const own = [...classes, levelClass(names, level)].join(' ');
    return { ...node, attributes: { ...node.attributes, class: own }, children };
  };
  return visitAll(nodes, 0);
}
