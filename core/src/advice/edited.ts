import { runEdit, type Edit } from '../edit/operations.ts';
import type { Site } from '../kinds/site.ts';

/** A site after an edit; as it was where that is refused. */
export function edited(site: Site, edit: Edit): Site {
  const ran = runEdit(site, edit);
  return ran.ok ? ran.value.site : site;
}
