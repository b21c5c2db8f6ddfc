import { panelsOf, type Page, type Site, type Target } from '@hamaca/core';

/** Something a typed target may mean. */
export interface TargetMatch {
  readonly key: string;
  readonly title: string;
  readonly detail: string;
  readonly target: Target;
}

const MOST = 8;

interface Entry {
  readonly words: string;
  readonly page: Page;
  readonly section: Page['sections'][number] | null;
}

const entriesByPages = new WeakMap<readonly Page[], readonly Entry[]>();

/** Every page and section with the words it is found by, made once for an inventory. */
function entriesOf(pages: readonly Page[]): readonly Entry[] {
  const known = entriesByPages.get(pages);
  if (known) return known;
  const entries = pages.flatMap((page): Entry[] => [
    { words: `${page.title} ${page.path}`.toLowerCase(), page, section: null },
    ...page.sections.map((section) => ({
      words: `${page.title} ${section.title} ${page.path}#${section.id}`.toLowerCase(),
      page,
      section,
    })),
  ]);
  entriesByPages.set(pages, entries);
  return entries;
}

/** Pages, sections and panels in which every typed word occurs; those that begin with the first one lead. */
export function matchTargets(site: Site, typed: string): TargetMatch[] {
  const words = typed
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const [first = ''] = words;
  const leading: TargetMatch[] = [];
  const others: TargetMatch[] = [];
  for (const { words: text, page, section } of entriesOf(site.pages)) {
    if (leading.length >= MOST) break;
    if (!words.every((word) => text.includes(word)) || (section && words.length === 0)) continue;
    const match: TargetMatch = {
      key: `${page.id}#${section?.id ?? ''}`,
      title: section ? `${page.title} › ${section.title || section.id}` : page.title,
      detail: section ? `${page.path}#${section.id}` : page.path,
      target: { kind: 'page', page: page.id, ...(section ? { section: section.id } : {}) },
    };
    if (text.startsWith(first) || page.path.startsWith(first)) leading.push(match);
    else if (others.length < MOST) others.push(match);
  }
  const panels = panelsOf(site)
    .filter(
      (piece) =>
        words.length > 0 && words.every((word) => `opens ${piece.name}`.toLowerCase().includes(word)),
    )
    .map((piece): TargetMatch => ({
      key: piece.id,
      title: `opens ${piece.name}`,
      detail: 'panel',
      target: { kind: 'panel', panel: piece.id },
    }));
  return [...panels, ...leading, ...others].slice(0, MOST);
}
