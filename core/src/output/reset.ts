import { fallbackValue, resolve } from '../resolve/resolve.ts';
import { SLOTS } from '../kinds/catalogue.ts';
import { headerParts } from '../kinds/walk.ts';
import type { Value } from '../values/values.ts';
import { within, type CompileContext } from './context.ts';
import { symbols } from './icons.ts';
import { positionDeclarations } from './parts/header.ts';
import type { InheritedBase } from './look-rules.ts';
import { rule, type ConditionalRule } from '../print/trees.ts';
import { valueDeclarations } from './values.ts';

/** The text every slot inherits: the first menu's links at rest, as they are the most. */
export function inheritedBase(context: CompileContext): InheritedBase {
  const menu = headerParts(context.header).find((part) => part.kind === 'menu');
  const answer = (property: 'colour' | 'family' | 'size' | 'weight' | 'tracking'): Value => {
    const fallback = fallbackValue(context.site, SLOTS.menu.link, property).value;
    return (
      (menu &&
        resolve(context.site, { owner: menu.id, slot: 'link', property, level: null, states: [], band: 0 })
          ?.value) ??
      fallback
    );
  };
  return {
    colour: answer('colour'),
    family: answer('family'),
    size: answer('size'),
    weight: answer('weight'),
    tracking: answer('tracking'),
  };
}

/**
 * Cuts the piece off from the host page: nothing is inherited from outside and nothing the page says about elements
 * reaches ours. Drawings keep their own attributes.
 */
export function resetRules(context: CompileContext, inherited: InheritedBase): ConditionalRule[] {
  const css = (id: keyof InheritedBase) => valueDeclarations(context, id, inherited[id] ?? 0)[0]?.[1] ?? '';
  const tracking = css('tracking');
  return [
    rule(context.root, [
      ['all', 'initial'],
      ['box-sizing', 'border-box'],
      ['display', 'block'],
      ...positionDeclarations(context.header),
      ['z-index', '100'],
      ['color', css('colour')],
      ['font-family', css('family')],
      ['font-size', css('size')],
      ['font-weight', css('weight')],
      ...(tracking === '0' ? [] : [['letter-spacing', tracking] as const]),
      ['line-height', '1.4'],
    ]),
    rule(within(context, ':not(svg, svg *)'), [
      ['all', 'unset'],
      ['box-sizing', 'border-box'],
    ]),
    // Drawings keep what their attributes say and lose what the page says about them.
    rule(`${within(context, 'svg')}, ${within(context, 'svg *')}`, [
      ['all', 'revert-layer'],
      ['box-sizing', 'border-box'],
    ]),
    rule(`${within(context, '*::before')}, ${within(context, '*::after')}`, [['content', 'none']]),
  ];
}

/** What no look decides: the ring of focus, icons, and the page's own settings for colours and print. */
export function commonRules(context: CompileContext): ConditionalRule[] {
  const draws =
    context.panels.length > 0 || headerParts(context.header).some((part) => part.kind === 'search');
  const iconRules = draws
    ? [
        rule(within(context, `.${context.names.name('icon')}`), [
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
      ]
    : [];
  return [
    ...iconRules,
    ...(symbols(context)
      ? [rule(within(context, `.${context.names.name('symbols')}`), [['display', 'none']])]
      : []),
    rule(
      context.pinnable
        ? `${within(context, ':focus-visible')}, ${within(context, '[data-pin~=focus]')}`
        : within(context, ':focus-visible'),
      [
        ['outline', '2px solid currentColor'],
        ['outline-offset', '2px'],
      ],
    ),
  ];
}

/** Forced colours drop fills, so the current page and the call to action get a line; print shows no controls. */
export function modeRules(context: CompileContext): ConditionalRule[] {
  const { names } = context;
  const controls = [
    names.name('opener'),
    ...context.panels.map((panel) => names.slotClass(panel.id, 'close')),
  ]
    .map((name) => within(context, `.${name}`))
    .join(', ');
  return [
    rule(
      within(context, '[aria-current]'),
      [['text-decoration', 'underline']],
      '@media (forced-colors: active)',
    ),
    rule(
      within(context, `.${names.name('button')}`),
      [['outline', '1px solid']],
      '@media (forced-colors: active)',
    ),
    ...(context.panels.length > 0 ? [rule(controls, [['display', 'none']], '@media print')] : []),
  ];
}
