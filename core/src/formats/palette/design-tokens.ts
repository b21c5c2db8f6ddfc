import type { Rgba } from '../../colour/colour.ts';
import type { Site } from '../../kinds/site.ts';
import { colourOf, colourTrail, swatchColour } from '../../resolve/colours.ts';
import { ROLES } from '../../values/values.ts';
import { findTypeface } from '../../text/typefaces.ts';

const round = (value: number) => Math.round(value * 10_000) / 10_000;

function colourToken({ r, g, b, a }: Rgba) {
  return {
    $type: 'color',
    $value: { colorSpace: 'srgb', components: [r, g, b].map(round), alpha: round(a) },
  };
}

/** The site's palette and type styles as design tokens (W3C Design Tokens Community Group, format module). */
export function printDesignTokens(site: Site): string {
  const swatches = Object.fromEntries(
    site.palette.map((swatch) => [
      swatch.id,
      { ...colourToken(swatchColour(site, swatch.id)), $description: swatch.name },
    ]),
  );
  const roles = Object.fromEntries(
    ROLES.map((role) => {
      const value = site.roles[role];
      const linked = 'swatch' in value && (value.alpha ?? 1) === 1;
      return [
        role,
        linked && colourTrail(site, value).length > 1
          ? { $type: 'color', $value: `{swatch.${value.swatch}}` }
          : colourToken(colourOf(site, value)),
      ];
    }),
  );
  const type = Object.fromEntries(
    site.typeStyles.map((style) => [
      style.id,
      {
        $type: 'typography',
        $description: style.name,
        $value: {
          fontFamily: findTypeface(style.family, site.typefaces)?.name ?? 'system-ui',
          fontSize: { value: style.size, unit: 'px' },
          fontWeight: style.weight,
          letterSpacing: { value: 0, unit: 'px' },
          lineHeight: 1.4,
        },
      },
    ]),
  );
  return `${JSON.stringify({ swatch: swatches, role: roles, type }, null, 2)}\n`;
}
