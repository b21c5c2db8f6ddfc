import { findPage, sectionIds } from '../../kinds/content.ts';
import type { LinkCheck } from '../check.ts';

/** A section that the page does not have. */
export const sectionMissing: LinkCheck = {
  of: 'link',
  id: 'section-missing',
  label: 'No such section',
  why: 'The page opens, but at its top instead of where the link says.',
  check: ({ item }, { site, hasListedPages }) => {
    const { target } = item;
    if (target.kind === 'section') {
      const known = sectionIds(site);
      return known.size === 0 || known.has(target.section) || target.section === 'top'
        ? null
        : {
            outcome: 'fail',
            reason: `No page of the site has a section #${target.section}.`,
            evidence: `#${target.section}`,
          };
    }
    if (target.kind !== 'page' || target.section === undefined) return null;
    const page = findPage(site, target.page);
    if (!page || page.sections.some((section) => section.id === target.section)) return null;
    const evidence = `${page.path}#${target.section}`;
    if (page.sections.length === 0)
      return hasListedPages && page.listed
        ? {
            outcome: 'unknown',
            reason: `The sections of ${page.path} are not known; read the page to check #${target.section}.`,
            evidence,
          }
        : null;
    const near = nearestSection(
      target.section,
      page.sections.map((section) => section.id),
    );
    const fix =
      near === null
        ? {}
        : {
            fix: {
              label: `Link to #${near}`,
              edit: {
                name: 'set-item',
                args: { id: item.id, fields: { target: { ...target, section: near } } },
              },
            } as const,
          };
    return { outcome: 'fail', reason: `${page.path} has no section #${target.section}.`, evidence, ...fix };
  },
};

/** The one section that differs only in case, dashes or underlines; null where none or several do. */
function nearestSection(wanted: string, sections: readonly string[]): string | null {
  const plain = (id: string) => id.toLowerCase().replace(/[-_\s]/g, '');
  const near = sections.filter((section) => plain(section) === plain(wanted));
  return near.length === 1 ? (near[0] ?? null) : null;
}
