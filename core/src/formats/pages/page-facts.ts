import { cutText } from '../../base/well-formed.ts';
import { slugify, uniqueName } from '../../base/ids.ts';
import { LIMITS } from '../../values/limits.ts';
import type { Page, PageSection } from '../../model/site-content.ts';
import { PAGE_PATH } from '../../values/url.ts';
import { descendants, isPageElement, parsePage, readableText, type PageElement } from '../links/html-tree.ts';
import { titleOf } from '../../links/page-title.ts';

/** What a page's markup says of it. */
export interface PageFacts {
  readonly title: string;
  readonly sections: readonly PageSection[];
  /** The address it gives itself (`rel=canonical`), or null. */
  readonly canonical: string | null;
}

const SECTIONS = new Set([
  'section',
  'article',
  'main',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'div',
  'dt',
  'fieldset',
  'li',
  'figure',
  'details',
  'aside',
]);
const HEADING = /^h[1-6]$/;

const short = (text: string) => cutText(text, LIMITS.label);
/** Signs that documentation tools put behind headings. */
const cleanTitle = (text: string) => short(text.replace(/\s*[¶#§🔗]\s*$/u, '').trim());

function headingIn(element: PageElement): string {
  if (HEADING.test(element.tag)) return readableText(element);
  const heading = [...descendants(element)].find((child) => HEADING.test(child.tag));
  return heading ? readableText(heading) : '';
}

/** Places of a page that links can lead to: headings, and blocks with a heading or a name; anchors name the next one. */
function readSections(page: PageElement): PageSection[] {
  const found = new Map<string, PageSection>();
  let anchor: string | null = null;
  const add = (id: string, title: string) => {
    if (!found.has(id) && found.size < 1000 && id.length <= LIMITS.label && !/\s/.test(id))
      found.set(id, { id, title: cleanTitle(title) });
  };
  for (const element of descendants(page)) {
    const {
      attributes: { id, name, 'aria-label': label },
      tag,
    } = element;
    if (
      tag === 'a' &&
      (name ?? id) !== undefined &&
      element.children.every((child) => !isPageElement(child))
    ) {
      const own = readableText(element);
      anchor = name ?? id ?? null;
      if (own !== '' && anchor !== null) {
        add(anchor, own);
        anchor = null;
      }
      continue;
    }
    const title =
      HEADING.test(tag) || (id !== undefined && SECTIONS.has(tag)) ? (label ?? headingIn(element)) : '';
    const inner = HEADING.test(tag)
      ? [...descendants(element)].find(
          (child) => child.tag === 'a' && (child.attributes['name'] ?? child.attributes['id']) !== undefined,
        )
      : undefined;
    if (inner) add(inner.attributes['name'] ?? inner.attributes['id'] ?? '', title);
    if (HEADING.test(tag) && anchor !== null) {
      add(anchor, title);
      anchor = null;
    }
    if (id !== undefined && id !== '' && title !== '') add(id, title);
  }
  return [...found.values()];
}

/** Title and sections of a page. Works on any text. */
export function readPageFacts(html: string): PageFacts {
  const page = parsePage(html, { withHead: true });
  const all = [...descendants(page)];
  const titled = all.find((element) => element.tag === 'title');
  const heading = all.find((element) => element.tag === 'h1');
  const canonical =
    all.find((element) => element.tag === 'link' && element.attributes['rel']?.toLowerCase() === 'canonical')
      ?.attributes['href'] ?? null;
  const body = all.find((element) => element.tag === 'body') ?? page;
  return {
    title: short((titled && readableText(titled)) || (heading && readableText(heading)) || ''),
    sections: readSections(body),
    canonical,
  };
}

/** The path of a page that lies in a file: index files stand for their folder. */
export function pathOfFile(file: string): string {
  const path = `/${file
    .replace(/^\/+/, '')
    .split('/')
    .map((part) => encodeURIComponent(part).replace(/%(?:40|3A|2C|3B|2B|24)/gi, decodeURIComponent))
    .join('/')}`;
  return path.replace(/\/(?:index|default)\.\w+$/i, '/');
}

/** A folder that all files lie in is the site itself, not part of its paths. */
export function commonFolder(files: readonly string[]): string {
  const [first = ''] = files;
  const parts = first.split('/').slice(0, -1);
  while (parts.length > 0 && !files.every((file) => file.startsWith(`${parts.join('/')}/`))) parts.pop();
  return parts.length === 0 ? '' : `${parts.join('/')}/`;
}

const pathOfAddress = (address: string) =>
  /^(?:https?:)?\/\/[^/?#]+([^?#]*)/i.exec(address)?.[1] ??
  (address.startsWith('/') ? (address.split(/[?#]/)[0] ?? null) : null);

/** HTML files as pages of the inventory. A page's own canonical address counts before its file name. */
export function filePages(files: readonly { readonly path: string; readonly html: string }[]): Page[] {
  const folder = commonFolder(files.map((file) => file.path));
  const ids = new Set<string>();
  return files.slice(0, LIMITS.pages).flatMap(({ path: file, html }): Page[] => {
    const facts = readPageFacts(html);
    const path =
      (facts.canonical === null ? null : pathOfAddress(facts.canonical)) ||
      pathOfFile(file.slice(folder.length));
    if (!PAGE_PATH.test(path)) return [];
    const id = uniqueName(`page-${slugify(path, 'home')}`, ids);
    ids.add(id);
    return [{ id, path, title: facts.title || titleOf(path), sections: facts.sections, listed: true }];
  });
}
