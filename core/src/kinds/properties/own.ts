import type { Property } from '../../values/property.ts';

/** Where the sheet ends: declarations of the designer's own. */
export const OWN_PROPERTIES = {
  ownCss: {
    kind: 'declarations',
    label: 'own CSS',
    group: 'own',
    css: [],
    initial: '',
    hint: 'declarations for this state and these widths, such as rotate: 2deg; what they override gives way to them',
  },
} as const satisfies Record<string, Property>;
