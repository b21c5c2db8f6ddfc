import {
  buildMenu,
  findIcon,
  findPage,
  guessLinkFormat,
  LINK_FORMATS,
  menuLines,
  printBranches,
  readBranches,
  topmostItems,
  walkMenu,
  type Icon,
  type ImportNote,
  type NewItems,
  type Page,
  type ReadLinks,
  type Site,
} from '@hamaca/core';

/** The clipboard's name for branches of ours: they come back with everything they have. */
const OWN_TYPE = 'application/x-hamaca-links';

/** Puts branches on the clipboard: whole, as an outline for other programs, and as a list. */
export function copyBranches(site: Site, ids: readonly string[], clipboard: DataTransfer): void {
  const items = topmostItems(site, ids).map(({ item }) => item);
  const pages = new Map<string, Page>();
  const icons = new Map<string, Icon>();
  walkMenu({ id: '', name: '', items }, '', ({ item }) => {
    const page = item.target.kind === 'page' ? findPage(site, item.target.page) : null;
    const icon = item.icon === undefined ? null : findIcon(site, item.icon);
    if (page) pages.set(page.id, page);
    if (icon) icons.set(icon.id, icon);
  });
  const branches: NewItems = { items, pages: [...pages.values()], icons: [...icons.values()] };
  const lines = menuLines(site, items);
  clipboard.setData(OWN_TYPE, printBranches(branches));
  clipboard.setData('text/plain', LINK_FORMATS.outline.print(lines));
  clipboard.setData('text/html', LINK_FORMATS.html.print(lines, 'Links'));
}

/** Links out of a paste, with what of it could not be taken. */
export interface Pasted {
  readonly links: NewItems;
  readonly notes: readonly ImportNote[];
}

function built(site: Site, read: ReadLinks): Pasted {
  const { items, pages, notes } = buildMenu(read.links, site.url);
  return { links: { items, pages }, notes: [...read.notes, ...notes] };
}

/**
 * What a paste holds that is more than words for one field: our own branches, or text of several lines in any format of
 * links. Null leaves the paste to the field.
 */
export function pastedLinks(site: Site, clipboard: DataTransfer): Pasted | null {
  const own = clipboard.getData(OWN_TYPE);
  const branches = own === '' ? null : readBranches(own);
  if (branches) return { links: branches, notes: [] };
  const text = clipboard.getData('text/plain');
  const html = clipboard.getData('text/html');
  if (/<li[\s>]/i.test(html)) {
    const read = LINK_FORMATS.html.read(html);
    if (read.links.length > 1) return built(site, read);
  }
  if (!/[\r\n]/.test(text.trim())) return null;
  const read = LINK_FORMATS[guessLinkFormat(text)].read(text);
  return read.links.length > 0 ? built(site, read) : null;
}
