import { LIMITS } from '../values/limits.ts';
import type { Infer, Lost } from './shape/field.ts';
import { address, literal, optional, reference, text, union } from './shape/fields.ts';

/** Where a link leads, by kind. `panel` opens a panel of this site, `none` is a parent that only opens. */
export const TARGET_SHAPES = {
  page: { kind: literal('page'), page: reference('page'), section: optional(text()) },
  section: { kind: literal('section'), section: text() },
  url: { kind: literal('url'), url: address() },
  mail: { kind: literal('mail'), address: text({ max: LIMITS.url }) },
  phone: { kind: literal('phone'), number: text() },
  panel: { kind: literal('panel'), panel: reference('panel') },
  none: { kind: literal('none') },
} as const;

type TargetShapes = typeof TARGET_SHAPES;
export type Target = { [Kind in keyof TargetShapes]: Infer<TargetShapes[Kind]> }[keyof TargetShapes];

/** A link that leads nowhere: one shared value. */
export const NO_TARGET: Target = { kind: 'none' };

/** A target whose page or panel goes: of a page the path stays as a plain address, so that checks can tell. */
export function freedTarget(target: Target, { paths }: Lost): Target {
  if (target.kind !== 'page') return NO_TARGET;
  const path = paths.get(target.page) ?? '/';
  return { kind: 'url', url: target.section ? `${path}#${target.section}` : path };
}

/** The field that holds where something leads. */
export const target = (when?: (thing: Readonly<Record<string, unknown>>) => boolean) =>
  union<Target>(
    {
      one: 'target',
      of: TARGET_SHAPES,
      pick: (value) => (typeof value['kind'] === 'string' ? value['kind'] : null),
      freed: freedTarget,
    },
    {
      label: 'leads to',
      hint: 'a page by name or path, a section, an address, mail, a telephone number or a panel',
      ...(when ? { when } : {}),
    },
    NO_TARGET,
  );
