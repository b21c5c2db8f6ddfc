import { cleanDrawing, type Site } from '@hamaca/core';
import type { Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { HOSTILE, HOSTILE_PIECES } from '../../core/test/hostile.ts';
import { seeded, whole } from '../../core/test/random-site.ts';
import { expect, PLAIN, stageFrame, test } from '../support/app.ts';
import { IS_LONG } from '../support/writer.ts';

const DRAWINGS = IS_LONG ? 400 : 80;
const TEXTS = IS_LONG ? 1000 : 120;

const random = seeded(2026);
const pick = <Entry>(from: readonly Entry[]) => from[whole(random, 0, from.length - 1)] as Entry;

/** What is meant to run says so: it asks for an address that nothing else asks for. */
const armed = (source: string) =>
  source
    .replaceAll('x.example', 'canary.example')
    .replaceAll(/(on\w+=")[^"]*(")/g, "$1new Image().src='https://canary.example/on'$2")
    .replaceAll('>1</', ">new Image().src='https://canary.example/script'</")
    .replaceAll('javascript:1', "javascript:fetch('https://canary.example/link')");

const mixed = () => {
  const source = pick(HOSTILE);
  const at = whole(random, 0, source.length);
  const put = Array.from({ length: whole(random, 0, 6) }, () => pick(HOSTILE_PIECES)).join('');
  return source.slice(0, at) + put + source.slice(at + whole(random, 0, 10));
};

const drawings = Array.from({ length: DRAWINGS }, (_, index) => armed(HOSTILE[index] ?? mixed()));
const texts = Array.from({ length: TEXTS }, () =>
  armed(
    `${pick(['', '"', "'", '-->', '</title>', '</style>', '</script>', '&quot;', '`', '{{', '${'])}${mixed()}`,
  )
    .replaceAll('\ud800', '')
    .slice(0, 400),
);

/** Everything that ran, or was asked for elsewhere. */
function watch(page: Page): string[] {
  const seen: string[] = [];
  page.on('dialog', (dialog) => {
    seen.push(`dialog ${dialog.message()}`);
    void dialog.dismiss();
  });
  page.on('request', (request) => {
    if (!/^(?:http:\/\/127\.0\.0\.1|data:|blob:|about:)/.test(request.url())) seen.push(request.url());
  });
  return seen;
}

test(`${DRAWINGS} hostile drawings and ${TEXTS} hostile texts run nowhere`, async ({ page }) => {
  const demo = PLAIN as unknown as Site;
  const create = (data: unknown) => page.request.post('/api/sites', { data });

  // As they are, they are refused at the door or are harmless; nothing else comes in.
  const cleaned = drawings.flatMap((source) => {
    const drawing = cleanDrawing(source);
    return drawing.ok ? [drawing.value] : [];
  });
  expect(cleaned.length).toBeGreaterThan(DRAWINGS / 10);
  for (const svg of drawings.slice(0, 40)) {
    const answer = await create({
      ...demo,
      icons: [...demo.icons, { id: 'hostile', name: 'Hostile', set: null, svg }],
    });
    expect([201, 422]).toContain(answer.status());
  }

  const icons = cleaned
    .slice(0, 450)
    .map((svg, index) => ({ id: `hostile-${index}`, name: `Hostile ${index}`, set: null, svg }));
  const [menu] = demo.menus;
  const links = texts.map((text, index) => ({
    ...menu?.items[5],
    id: `hostile-link-${index}`,
    label: text.trim() === '' ? 'x' : text,
    title: text,
    description: text,
    children: [],
    ...(icons.length > 0 ? { icon: icons[index % icons.length]?.id } : {}),
  }));
  const groups = Array.from({ length: 6 }, (_, at) => ({
    ...menu?.items[0],
    id: `hostile-group-${at}`,
    label: texts[at] ?? 'x',
    children: links.filter((_link, index) => index % 6 === at),
  }));
  const site = {
    ...demo,
    name: texts[7],
    icons: [...demo.icons, ...icons],
    menus: [{ ...menu, items: groups }, ...demo.menus.slice(1)],
  };
  const created = await create(site);
  expect([created.status(), await created.text()]).toEqual([201, expect.stringContaining('"id"')]);
  const { id } = (await created.json()) as { id: string };

  const seen = watch(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
  for (const place of ['links', 'palette', 'checks', 'hand-off']) {
    await page.goto(`/sites/${id}/${place}`);
    await page.locator('main').first().waitFor();
  }
  await page.goto('/');
  await page.locator('li').first().waitFor();
  expect(seen).toEqual([]);

  // The hand-off as a stranger's page has it, with nothing that would keep it from running.
  const packed = await (await page.request.get(`/api/sites/${id}/hand-off.zip`)).body();
  const files = unzipSync(new Uint8Array(packed));
  const read = (ending: string) =>
    strFromU8(Object.entries(files).find(([name]) => name.endsWith(ending))?.[1] ?? new Uint8Array());
  const [markup, sheet, script] = [read('menu.html'), read('menu.css'), read('menu.js')];
  expect([markup.length > 1000, sheet.length > 1000]).toEqual([true, true]);
  const open = await page.context().newPage();
  const opened = watch(open);
  await open.setContent(
    `<!doctype html><title>Host</title><style>${sheet}</style><body>${markup}<script>${script}</script><script>window.done=true</script>`,
  );
  await open.waitForFunction(() => (window as unknown as { done?: boolean }).done === true);
  await open.evaluate(() => {
    for (const control of document.querySelectorAll<HTMLElement>('button, summary')) control.click();
  });
  expect(opened.filter((url) => url.includes('canary'))).toEqual([]);
});
