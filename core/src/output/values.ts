import { formatColour } from '../colour/colour.ts';
import type { LengthValue } from '../values/length.ts';
import { literalCss } from '../values/kinds/colour.ts';
import { lengthCss } from '../values/kinds/length.ts';
import type { Property } from '../values/property.ts';
import type { ValueOut } from '../values/value-kind.ts';
import { valueKind } from '../values/value-kinds.ts';
import { property, type PropertyId } from '../kinds/properties/properties.ts';
import { isDerived, type DerivedSwatch } from '../model/swatch.ts';
import { ROLES, type ColourValue, type CornersValue, type Role, type Value } from '../values/values.ts';
import { findSwatch, swatchColour, swatchFamily } from '../resolve/colours.ts';
import { findStack, findTypeface, SYSTEM_FAMILY } from '../text/typefaces.ts';
import type { CompileContext } from './context.ts';
import type { Declaration } from '../print/trees.ts';

/** The name our own copy of a typeface has in the output, so that it never mixes with the host page's. */
export function familyName(context: CompileContext, id: string): string {
  return `${context.names.prefix}${id}`;
}

/** The system face that stands in for it; it is fitted to this site's words. */
export const fallbackName = ({ names }: CompileContext, id: string): string => names.id(id);

export function familyCss(context: CompileContext, id: string): string {
  const typeface = findTypeface(id, context.site.typefaces);
  if (!typeface) return (findStack(id) ?? findStack(SYSTEM_FAMILY))?.css ?? 'sans-serif';
  return `${familyName(context, id)}, ${fallbackName(context, id)}, ${typeface.fallback === 'serif' ? 'serif' : 'sans-serif'}`;
}

const swatchVariable = (context: CompileContext, id: string) => context.names.variable(`swatch-${id}`);
const roleVariable = (context: CompileContext, role: Role) => context.names.variable(role);

/** A colour as CSS; links stay links, as custom properties. */
export function colourCss(context: CompileContext, value: ColourValue): string {
  if ('literal' in value) return literalCss(value.literal);
  const link = `var(${'swatch' in value ? swatchVariable(context, value.swatch) : roleVariable(context, value.role)})`;
  const percent = Math.round((value.alpha ?? 1) * 1000) / 10;
  return percent === 100 ? link : `color-mix(in srgb, ${link} ${percent}%, transparent)`;
}

function cornerDeclarations(entry: Property, value: LengthValue | CornersValue): Declaration[] {
  if (typeof value !== 'object') return [['border-radius', lengthCss(value)]];
  return value.corners.map((corner, index): Declaration => [entry.css[index] ?? '', lengthCss(corner)]);
}

/** Links in so many columns, or each branch in one of its own. */
const columnDeclarations = (count: number): Declaration[] =>
  count === 0
    ? [
        ['grid-template-columns', 'none'],
        ['grid-auto-flow', 'column'],
        ['grid-auto-columns', 'minmax(0, 1fr)'],
      ]
    : [
        ['grid-template-columns', `repeat(${count}, minmax(0, 1fr))`],
        ['grid-auto-flow', 'row'],
      ];

const valueOut = (context: CompileContext): ValueOut => ({
  colour: (value) => colourCss(context, value),
  family: (id) => familyCss(context, id),
});

/** The declarations a value becomes. Names that start with `--` get the output's prefix. */
export function valueDeclarations(context: CompileContext, id: PropertyId, value: Value): Declaration[] {
  const entry = property(id);
  if (entry.kind === 'corners') return cornerDeclarations(entry, value as LengthValue | CornersValue);
  const css = valueKind(entry).css(value, valueOut(context), entry);
  switch (id) {
    case 'blur':
      return [['backdrop-filter', css === '0' ? 'none' : `blur(${css})`]];
    case 'paint':
      return [
        ['background-image', css],
        ...(typeof value === 'object' && 'paint' in value && value.paint && 'image' in value.paint
          ? [['background-repeat', 'no-repeat'] as const]
          : []),
      ];
    case 'boxWidth':
      return [['inline-size', css === '0' ? 'max-content' : css]];
    case 'iconMotion':
      return [['animation-name', value === 'none' ? css : context.names.prefix + css]];
    case 'iconRepeat':
      return [['animation-iteration-count', value === 0 ? 'infinite' : css]];
    case 'columns':
      return columnDeclarations(value as number);
    // What grows is drawn at no width where it is hidden; without growing it only fades.
    case 'markFrom':
      return [
        [context.names.variable('mark-hidden'), value === 'at once' ? '1' : '0 1'],
        ['transform-origin', css],
      ];
    default:
      return entry.css.map((name): Declaration => [
        name.startsWith('--') ? context.names.variable(name.slice(2)) : name,
        css,
      ]);
  }
}

/** A swatch as CSS: its colour, or how it is made from those it follows, so that it still follows them in the output. */
function swatchCss(context: CompileContext, id: string): string {
  const swatch = findSwatch(context.site, id);
  if (!swatch || !isDerived(swatch)) return formatColour(swatchColour(context.site, id));
  return derivedCss(context, swatch);
}

function derivedCss(context: CompileContext, { from, change, by, with: other }: DerivedSwatch): string {
  const base = `var(${swatchVariable(context, from)})`;
  switch (change) {
    case 'lighter':
      return `color-mix(in oklab, ${base}, white ${by}%)`;
    case 'darker':
      return `color-mix(in oklab, ${base}, black ${by}%)`;
    case 'thinner':
      return `color-mix(in srgb, ${base} ${100 - by}%, transparent)`;
    case 'mixed':
      return `color-mix(in oklab, ${base}, var(${swatchVariable(context, other ?? from)}) ${by}%)`;
  }
}

/** The custom properties of the palette among those that are used, roles first, each after what it leads to. */
export function paletteDeclarations(context: CompileContext, used: ReadonlySet<string>): Declaration[] {
  const { site } = context;
  const roles = usedRoles(context, used);
  const named = [
    ...site.palette.map((swatch) => swatch.id).filter((id) => used.has(swatchVariable(context, id))),
    ...roles.flatMap((role) => ('swatch' in site.roles[role] ? [site.roles[role].swatch] : [])),
  ];
  const family = new Set(named.flatMap((id) => [...swatchFamily(site, id)]));
  return [
    ...site.palette
      .filter(({ id }) => family.has(id))
      .map(({ id }): Declaration => [swatchVariable(context, id), swatchCss(context, id)]),
    ...roles.map((role): Declaration => [roleVariable(context, role), colourCss(context, site.roles[role])]),
  ];
}

function usedRoles(context: CompileContext, variables: ReadonlySet<string>): Role[] {
  const used = new Set<Role>();
  const use = (role: Role) => {
    if (used.has(role)) return;
    used.add(role);
    const value = context.site.roles[role];
    if ('role' in value) use(value.role);
  };
  for (const role of ROLES) if (variables.has(roleVariable(context, role))) use(role);
  return ROLES.filter((role) => used.has(role));
}
