import { refuse } from '../../base/result.ts';
import { idsOf } from '../../kinds/placed.ts';
import type { BroughtPage } from '../../model/site-content.ts';
import { patched, type EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';

const gone = () =>
  refuse('gone', '/foreignPages', 'The page is no longer there; it was removed in the meantime');

/** Brings a page along that exists already. */
export const addForeignPage: EditOperation<{ readonly page: BroughtPage }> = (site, { page }) =>
  idsOf(site).has(page.id)
    ? refuse('duplicate', '/foreignPages', `There is something with the id "${page.id}" already`)
    : patched(site, [{ op: 'add', path: '/foreignPages/-', value: page }]);

/** Names a foreign page anew, or says how it is changed and handed back. */
export const setForeignPage: EditOperation<{
  readonly id: string;
  readonly fields: Partial<Pick<BroughtPage, 'name' | 'changes' | 'inPlace'>>;
}> = (site, { id, fields }) => {
  const index = site.foreignPages.findIndex((page) => page.id === id);
  if (index === -1) return gone();
  return patched(
    site,
    Object.entries(fields).map(([key, value]): PatchOperation => ({
      op: 'replace',
      path: `/foreignPages/${index}/${key}`,
      value,
    })),
  );
};

export const removeForeignPage: EditOperation<{ readonly id: string }> = (site, { id }) => {
  const index = site.foreignPages.findIndex((page) => page.id === id);
  if (index === -1) return gone();
  return patched(site, [{ op: 'remove', path: `/foreignPages/${index}` }]);
};
