import type { Page } from '@playwright/test';
import { atRestIn, Cascade, readForeignPage, situationOf, toldProperties } from '@hamaca/core';
import { FOREIGN_PAGES, fileOfPackage } from '../e2e/support/foreign-pages.ts';
import { compareRules, NAVIGATION } from '../e2e/support/rules-truth.ts';

const WINDOW = { width: 1280, height: 800 } as const;

/** A page of about a thousand elements with about 300 kB of rules, of which the navigation has its share. */
export function largePage(): { readonly html: string; readonly css: string } {
  const links = Array.from(
    { length: 120 },
    (_, index) =>
      `<li class="item i${index}"><a class="link l${index}" href="/${index}">Boats ${index}</a></li>`,
  );
  const cards = Array.from(
    { length: 250 },
    (_, index) => `<section class="card c${index}"><h2>Tides</h2><p>At <b>noon</b></p></section>`,
  );
  const rules = Array.from(
    { length: 2400 },
    (_, index) =>
      `.c${index % 250} > h2, .menu .l${index % 120}, .menu li:hover > .l${index % 120}, .card:nth-child(${(index % 9) + 1}) b { color: #0${index % 10}6; margin: ${index % 5}px auto; border: 1px solid }\n`,
  );
  return {
    html: `<!DOCTYPE html><link rel="stylesheet" href="a.css"><nav class="menu"><ul>${links.join('')}</ul></nav>${cards.join('')}`,
    css: rules.join(''),
  };
}

/** All rules of the navigation of a large page in three states, once it is read: a function to be timed. */
export function navigationOf({ html, css }: ReturnType<typeof largePage>): () => number {
  const page = readForeignPage({ text: () => css }, 'index.html', html);
  const elements = page.matcher.select('nav, nav *', page.elements)?.elements ?? [];
  return () => {
    let values = 0;
    for (const state of ['rest', 'hover', 'focus'] as const) {
      const atRest = new Cascade(page, atRestIn(WINDOW));
      for (const element of elements) {
        const cascade =
          state === 'rest' ? atRest : new Cascade(page, situationOf(page, element, state, WINDOW));
        values += toldProperties(page, cascade, element, null).length;
      }
    }
    return values;
  };
}

/** How many values of the navigation of pages of other people are foretold as the browser has them, page by page, as a table. */
export async function pageShares(page: Page): Promise<string> {
  const lines: string[] = [];
  let [samples, wrong] = [0, 0];
  for (const { name, path } of FOREIGN_PAGES) {
    const compared = await compareRules(page, fileOfPackage(name), path, {
      at: NAVIGATION,
      most: 8,
      widths: [390, 820, 1280],
      states: ['rest', 'hover', 'focus'],
    });
    samples += compared.samples;
    wrong += compared.wrong.length;
    lines.push(
      `| ${name}, \`${path}\` | ${compared.samples} | ${share(compared.samples, compared.wrong.length)} |`,
    );
  }
  lines.push(`| all | ${samples} | ${share(samples, wrong)} |`);
  return ['| page | values | as the browser has them |', '| --- | --- | --- |', ...lines].join('\n');
}

const share = (all: number, wrong: number) => `${((100 * (all - wrong)) / Math.max(1, all)).toFixed(2)} %`;
