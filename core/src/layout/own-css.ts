import { memoise } from '../base/memo.ts';
import { slotsOf, type OwnerKind } from '../kinds/catalogue.ts';
import { saidIn } from '../kinds/looks.ts';
import type { Site } from '../kinds/site.ts';
import type { SlotLook } from '../model/look.ts';
import { effectiveLook } from '../resolve/resolve.ts';
import { readDeclarations } from '../values/kinds/declarations.ts';

/** What changes no width, whatever it says. */
const WIDTHLESS =
  /^(?:--.*|color|background(?:-.*)?|accent-color|caret-color|fill|stroke|rotate|scale|translate|transform(?:-.*)?|opacity|filter|backdrop-filter|mix-blend-mode|box-shadow|text-shadow|text-decoration(?:-.*)?|text-underline-.*|cursor|outline(?:-.*)?|border(?:-.*)?-radius|transition(?:-.*)?|animation(?:-.*)?|z-index|pointer-events|user-select|will-change)$/;

const resizes = (own: unknown): boolean => {
  const read = readDeclarations(typeof own === 'string' ? own : '');
  return read.ok && read.value.some(([name]) => !WIDTHLESS.test(name));
};

const isLookResized = memoise((look: SlotLook): boolean =>
  saidIn(look).has('ownCss')
    ? Object.values(look).some((states) =>
        (['rest', 'current'] as const).some((state) =>
          Object.values(states[state] ?? {}).some((values) => resizes(values.ownCss)),
        ),
      )
    : false,
);

/** Whether declarations of the designer's own may change how wide something is: nobody can tell its width then. */
export const isResized = (site: Site, owner: string, kind: OwnerKind): boolean =>
  Object.keys(slotsOf(kind)).some((slot) => isLookResized(effectiveLook(site, { owner, slot })));
