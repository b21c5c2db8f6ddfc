import { FOCUS_RING, FORCED_COLOURS } from '../kinds/out.ts';
import { styleRule, type ConditionalRule } from '../print/trees.ts';
import { BASE_TEXT, baseText } from '../resolve/resolve.ts';
import { within, type CompileContext } from './context.ts';
import type { InheritedBase } from './default-rules.ts';
import { valueDeclarations } from './values.ts';

/** The text every slot inherits. */
export function inheritedBase({ site, pieces }: CompileContext): InheritedBase {
  return Object.fromEntries(BASE_TEXT.map((property) => [property, baseText(site, pieces, property)]));
}

/**
 * Cuts our pieces off from the host page: nothing is inherited from outside and nothing the page says about elements
 * reaches ours. Drawings keep their own attributes.
 */
export function resetRules(
  context: CompileContext,
  inherited: InheritedBase,
  used: ReadonlySet<string>,
): ConditionalRule[] {
  const css = (id: keyof InheritedBase) => valueDeclarations(context, id, inherited[id] ?? 0)[0]?.[1] ?? '';
  const tracking = css('tracking');
  // Own markup is dressed by the page: the exception adds no weight.
  const own = context.names.name('own');
  const but = used.has(own) ? `:where(:not(.${own} *))` : '';
  return [
    styleRule(context.root, [
      ['all', 'initial'],
      ['box-sizing', 'border-box'],
      ['color', css('colour')],
      ['font-family', css('family')],
      ['font-size', css('size')],
      ['font-weight', css('weight')],
      ...(tracking === '0' ? [] : [['letter-spacing', tracking] as const]),
      ['line-height', '1.4'],
      // A word longer than its box breaks rather than pushing the page aside.
      ['overflow-wrap', 'anywhere'],
    ]),
    styleRule(within(context, `:not(svg, svg *)${but}`), [
      ['all', 'unset'],
      ['box-sizing', 'border-box'],
    ]),
    // Drawings keep what their attributes say and lose what the page says about them.
    styleRule(`${within(context, 'svg')}, ${within(context, 'svg *')}`, [
      ['all', 'revert-layer'],
      ['box-sizing', 'border-box'],
    ]),
    styleRule(`${within(context, `*${but}::before`)}, ${within(context, `*${but}::after`)}`, [
      ['content', 'none'],
    ]),
  ];
}

/** What no look decides: icons of ours, symbols and the ring of focus. */
export function commonRules(context: CompileContext, used: ReadonlySet<string>): ConditionalRule[] {
  const { names } = context;
  const ifUsed = (word: string, make: (selector: string) => ConditionalRule) =>
    used.has(names.name(word)) ? [make(within(context, `.${names.name(word)}`))] : [];
  const focus = within(context, ':focus-visible');
  return [
    ...ifUsed('icon', (selector) =>
      styleRule(selector, [
        ['all', 'unset'],
        ['box-sizing', 'border-box'],
        ['display', 'block'],
        ['inline-size', '1em'],
        ['block-size', '1em'],
        ['fill', 'none'],
        ['stroke', 'currentColor'],
        ['stroke-width', '2'],
        ['stroke-linecap', 'round'],
      ]),
    ),
    ...ifUsed('symbols', (selector) => styleRule(selector, [['display', 'none']])),
    styleRule(context.pinnable ? `${focus}, ${within(context, '[data-pin~=focus]')}` : focus, FOCUS_RING),
  ];
}

/** Forced colours drop fills, so the current page gets a line. */
export function modeRules(context: CompileContext): ConditionalRule[] {
  return [styleRule(within(context, '[aria-current]'), [['text-decoration', 'underline']], FORCED_COLOURS)];
}
