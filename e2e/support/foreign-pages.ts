import { existsSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './app.ts';

/** A page from the documentation, themes or examples of a package. */
export interface PackagePage {
  readonly name: string;
  readonly path: string;
}

const of = (name: string, ...paths: string[]): PackagePage[] => paths.map((path) => ({ name, path }));

/** Pages of other people that what is said of rules is held against. */
export const FOREIGN_PAGES: readonly PackagePage[] = [
  ...of('startbootstrap-bare', 'dist/index.html'),
  ...of('startbootstrap-blog-post', 'dist/index.html'),
  ...of('startbootstrap-shop-homepage', 'dist/index.html'),
  ...of('startbootstrap-simple-sidebar', 'dist/index.html'),
  ...of('startbootstrap-small-business', 'dist/index.html'),
  ...of('startbootstrap-scrolling-nav', 'dist/index.html'),
  ...of('startbootstrap-heroic-features', 'dist/index.html'),
  ...of('startbootstrap-freelancer', 'dist/index.html'),
  ...of('startbootstrap-3-col-portfolio', 'index.html'),
  ...of(
    'startbootstrap-modern-business',
    'dist/index.html',
    'dist/about.html',
    'dist/faq.html',
    'dist/pricing.html',
  ),
  ...of('hover.css', 'index.html'),
  ...of('primitive-ui', 'docs/index.html', 'docs/template.html'),
  ...of('shoelace-css', 'index.html'),
  ...of('tent-css', 'examples/marketing/index.html'),
  ...of('concise.css', 'test.html'),
  ...of(
    'spectre.css',
    'docs/elements/forms.html',
    'docs/elements/media.html',
    'docs/components/nav.html',
    'docs/components/menu.html',
    'docs/components/breadcrumbs.html',
    'docs/components/tabs.html',
    'docs/layout/navbar.html',
  ),
];

/** Reads the texts of a package by their paths in it. */
export const fileOfPackage =
  (name: string) =>
  (path: string): string | null => {
    const file = join(ROOT, 'node_modules', name, path);
    return existsSync(file) && statSync(file).isFile() ? readFileSync(file, 'utf8') : null;
  };
