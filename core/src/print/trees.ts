/** A small tree of markup. Text and attribute values are plain; only the printer escapes. */
export type HtmlNode = HtmlElement | HtmlText;

export interface HtmlElement {
  readonly node: 'element';
  readonly tag: string;
  /** In print order; `true` prints the bare name, null and false leave it out. */
  readonly attributes: Readonly<Record<string, string | true | null | false>>;
  readonly children: readonly HtmlNode[];
  /** Whether its content is the designer's own, to the last blank: the printer lays nothing out in it. */
  readonly keepsBlanks?: boolean;
}

export interface HtmlText {
  readonly node: 'text';
  readonly text: string;
}

export function element(
  tag: string,
  attributes: HtmlElement['attributes'],
  ...children: readonly (HtmlNode | null)[]
): HtmlElement {
  return { node: 'element', tag, attributes, children: children.filter((child) => child !== null) };
}

/** A list that is told as one where its points are not drawn: some browsers ask for that in so many words. */
export const listElement = (
  attributes: HtmlElement['attributes'],
  ...children: readonly (HtmlNode | null)[]
): HtmlElement => element('ul', { ...attributes, role: 'list' }, ...children);

/** The same element, printed with just the blanks it has. */
export const withOwnBlanks = (of: HtmlElement): HtmlElement => ({ ...of, keepsBlanks: true });

export function text(content: string): HtmlText {
  return { node: 'text', text: content };
}

export type Declaration = readonly [property: string, value: string];

export interface StyleRule {
  readonly selector: string;
  readonly declarations: readonly Declaration[];
}

/** A rule under any number of conditions, outermost first (`@media …`, `@supports …`). */
export interface ConditionalRule {
  readonly conditions: readonly string[];
  readonly rule: StyleRule;
  /** Whether it may not be moved or joined to others: it says what cannot be foreseen. */
  readonly stays?: boolean;
  /** What it does, in words: where several elements have the same rule of this name, it stands once for all of them. */
  readonly shared?: string;
}

export type Stylesheet = readonly ConditionalRule[];

/** Rules that other elements may have too, under a name that says what they do. */
export const shared = (name: string, rules: readonly ConditionalRule[]): ConditionalRule[] =>
  rules.map((rule) => ({ ...rule, shared: name }));

export function styleRule(
  selector: string,
  declarations: readonly Declaration[],
  ...conditions: readonly string[]
): ConditionalRule {
  return { conditions, rule: { selector, declarations } };
}

/** Rules of one declaration each, in the same order. */
export const singleRules = (rules: readonly ConditionalRule[]): ConditionalRule[] =>
  rules.flatMap(({ rule, conditions }) =>
    rule.declarations.map((declaration) => styleRule(rule.selector, [declaration], ...conditions)),
  );

/** Neighbours with one selector under the same conditions as one rule. */
export function joinedRules(rules: readonly ConditionalRule[]): ConditionalRule[] {
  const made: ConditionalRule[] = [];
  for (const next of rules) {
    const last = made.at(-1);
    const isSame =
      last?.rule.selector === next.rule.selector && last.conditions.join() === next.conditions.join();
    if (!last || !isSame) made.push(next);
    else {
      const declarations = [...last.rule.declarations, ...next.rule.declarations];
      made[made.length - 1] = styleRule(last.rule.selector, declarations, ...last.conditions);
    }
  }
  return made;
}
