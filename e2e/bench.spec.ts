import { ownersOf, placedParts, type Site } from '@hamaca/core';
import {
  copyDemo,
  draggable,
  expect,
  pointNowhere,
  saved,
  savedSite,
  stageFrame,
  test,
} from './support/app.ts';

test.beforeEach(async ({ page }) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/bench/header`);
  await stageFrame(page);
});

const idOf = (url: string) => /sites\/([^/]+)/.exec(url)?.[1] ?? '';

test('the bench turns with the width, and can be pinned', async ({ page }) => {
  const main = page.getByRole('main');
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  await expect(main).toHaveAttribute('data-arrangement', 'wide');
  await pointer.focus();
  await page.keyboard.press('Home');
  await expect(pointer).toHaveAttribute('aria-valuenow', '320');
  await expect(main).toHaveAttribute('data-arrangement', 'tall');
  await expect((await stageFrame(page)).getByRole('button', { name: 'Menu' })).toBeVisible();
  await page.getByLabel('Arrangement of the bench').click();
  await page.getByRole('option', { name: 'controls below' }).click();
  await expect(main).toHaveAttribute('data-arrangement', 'wide');
  await pointer.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(pointer).toHaveAttribute('aria-valuenow', '330');
});

test('the pointer is dragged, the knot is dragged as one step of undo, and Escape leads back', async ({
  page,
}) => {
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  const box = await pointer.boundingBox();
  if (!box) throw new Error('no pointer');
  await page.mouse.move(box.x + box.width / 2, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x - 200, box.y + 10, { steps: 8 });
  await page.mouse.up();
  expect(Number(await pointer.getAttribute('aria-valuenow'))).toBeLessThan(1000);

  const knot = page.getByRole('slider', { name: 'Breakpoint where Wide starts' });
  const drag = async (distance: number, end: () => Promise<void>) => {
    const at = await knot.boundingBox();
    if (!at) throw new Error('no knot');
    await page.mouse.move(at.x + 12, at.y + 12);
    await page.mouse.down();
    await page.mouse.move(at.x + 12 + distance, at.y + 12, { steps: 10 });
    await end();
  };
  await drag(60, async () => {
    await page.keyboard.press('Escape');
    await page.mouse.up();
  });
  await expect(knot).toHaveAttribute('aria-valuenow', '1000');
  await drag(60, () => page.mouse.up());
  await expect(knot).not.toHaveAttribute('aria-valuenow', '1000');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(knot).toHaveAttribute('aria-valuenow', '1000');
  await knot.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(knot).toHaveAttribute('aria-valuenow', '999');
});

test('a knot that is tied asks for the name of its band, and names can be typed anew', async ({ page }) => {
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  await pointer.focus();
  for (let step = 0; step < 6; step++) await page.keyboard.press('PageDown');
  const at = Number(await pointer.getAttribute('aria-valuenow'));
  await page.keyboard.press('Enter');
  const field = page.getByLabel('Name of the band', { exact: true });
  await expect(field).toBeFocused();
  // Its first name is selected: what is typed takes its place.
  await page.keyboard.type('wide');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('There is a band “Wide” already.');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Tablet');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('slider', { name: 'Breakpoint where Tablet starts' })).toHaveAttribute(
    'aria-valuenow',
    String(at),
  );
  await page.getByRole('button', { name: 'Name of the band Phone' }).click();
  await page.keyboard.type('Handset');
  await page.keyboard.press('Enter');
  await saved(page);
  const site = await savedSite(page, idOf(page.url()));
  expect(site.bands.map(({ name, min }) => [name, min])).toEqual([
    ['Wide', 1000],
    ['Tablet', at],
    ['Handset', 0],
  ]);
});

test('the finder leads there by other words, and one border goes around all sides', async ({ page }) => {
  const findBy = async (typed: string) => {
    await page.keyboard.press('Control+k');
    await page.getByRole('combobox', { name: 'Everything to find' }).fill(typed);
    await expect(page.getByRole('option').first()).toHaveAttribute('aria-selected', 'true');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('dialog')).toBeHidden();
  };
  await findBy('dropdown');
  await expect(page.getByText('Submenu box has no states to freeze')).toBeVisible();
  await findBy('border beneath');
  const cell = page.locator('[data-cell="lineBottom rest"]');
  await cell.click();
  await page.keyboard.type('2 dashed accent');
  await page.keyboard.press('Enter');
  await cell.click();
  await page.getByRole('button', { name: 'all four sides' }).click();
  await saved(page);
  const line = { line: { width: 2, style: 'dashed', colour: { role: 'accent' } } };
  const site = await savedSite(page, idOf(page.url()));
  const menu = site.pieces[0]?.kind === 'header' ? site.pieces[0].rows[0]?.zones.middle[0] : undefined;
  expect(menu?.look['submenu']?.['2']?.rest?.['all']).toMatchObject({
    lineTop: line,
    lineEnd: line,
    lineBottom: line,
    lineStart: line,
  });
  // Named values are drawn, or at least there to be pressed.
  await page.getByRole('button', { name: 'Link, level 1' }).click();
  await page.getByLabel('Find a property').fill('');
  await page.locator('[data-cell="mark hover"]').click();
  const marks = page.getByRole('group', { name: 'Choose: mark' });
  await expect(marks.getByRole('button')).toHaveCount(10);
  await marks.getByRole('button', { name: 'brackets' }).click();
  await expect(marks.getByRole('button', { name: 'brackets' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.locator('[data-cell="mark hover"]')).toContainText('brackets');
  await page.keyboard.press('Control+/');
  for (const place of ['Everywhere', 'Bench', 'Links', 'Look sheet', 'Width line'])
    await expect(page.getByRole('dialog').getByRole('region', { name: place })).toBeVisible();
  await page.keyboard.press('Escape');
  await findBy('tower hide');
  await expect(page).toHaveURL(/\/links$/);
  await findBy('export');
  await expect(page).toHaveURL(/\/hand-off$/);
});

test('the rope says where the row fits, and the hollow knot is the smallest safe breakpoint', async ({
  page,
}) => {
  const numbers = page.getByTestId('row-needs');
  await expect(numbers).toContainText('px left');
  const suggested = page.getByRole('button', { name: /as the breakpoint/ });
  const safe = Number(/\d+/.exec((await suggested.getAttribute('aria-label')) ?? '')?.[0]);
  await suggested.click();
  await expect(page.getByRole('slider', { name: 'Breakpoint where Wide starts' })).toHaveAttribute(
    'aria-valuenow',
    String(safe),
  );
  await expect(suggested).toHaveCount(0);
  const field = page.getByLabel('Breakpoint in px');
  await field.fill(String(safe - 60));
  await field.press('Enter');
  await expect(page.locator('[data-rope="breaks"]').first()).toBeAttached();
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  await pointer.focus();
  for (let count = 0; count < 60 && Number(await pointer.getAttribute('aria-valuenow')) > safe - 40; count++)
    await page.keyboard.press('Shift+ArrowLeft');
  await expect(pointer).toHaveAttribute('aria-valuetext', /does not fit/);
});

test('a value reaches only the widths it is set for, and bears a knot where it has an exception', async ({
  page,
}) => {
  const stage = await stageFrame(page);
  await stage.getByRole('link', { name: 'Book a hide' }).click();
  await page.getByLabel('Reach').click();
  await page.getByRole('option', { name: 'Phone alone' }).click();
  const radius = page.locator('[data-cell="radius rest"]');
  await radius.click();
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(radius).toHaveAttribute('data-own', 'true');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveCSS('border-radius', '999px');
  await page.getByLabel('Reach').click();
  await page.getByRole('option', { name: 'all widths', exact: true }).click();
  await expect(radius.getByTitle('another value in Phone')).toBeVisible();
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  await pointer.focus();
  // Where its row still has room for it.
  await page.keyboard.press('Home');
  for (let step = 0; step < 7; step++) await page.keyboard.press('Shift+ArrowRight');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveCSS('border-radius', '3px');
});

test('a value that a band’s own hides at this width says so, and leads to that band', async ({ page }) => {
  const size = page.locator('[data-cell="size rest"]');
  const link = (await stageFrame(page)).getByRole('link', { name: 'Book a hide' });
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Call to action', exact: true })
    .click();
  const pointer = page.getByRole('slider', { name: 'Width of the stage' });
  await pointer.focus();
  await page.keyboard.press('Home');
  await size.click();
  await page.keyboard.type('21');
  await page.keyboard.press('Enter');
  await expect(
    page.getByText('Phone has a value of its own for size: the new one shows at other widths.'),
  ).toBeVisible();
  await expect(link).toHaveCSS('font-size', '14px');
  await page.getByRole('button', { name: 'Change Phone alone' }).click();
  await size.click();
  await page.keyboard.type('17');
  await page.keyboard.press('Enter');
  await expect(link).toHaveCSS('font-size', '17px');
});

test('cells are walked, stepped and cleared by keyboard', async ({ page }) => {
  const padding = page.locator('[data-cell="paddingInline rest"]');
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Call to action', exact: true })
    .click();
  await padding.click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Enter');
  await expect(padding).toContainText('29');
  await expect(page.locator('[data-cell="paddingBlock rest"]')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[data-cell="paddingInline hover"]')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Delete');
  await expect(padding).toHaveAttribute('data-own', 'false');
  await saved(page);
  const site = JSON.stringify(await savedSite(page, idOf(page.url())));
  expect(site).not.toContain('"paddingInline":18');
});

test('what is typed fills the range that is taken; what cannot be used is named, and holds nobody', async ({
  page,
}) => {
  const cell = (id: string, state = 'rest') => page.locator(`[data-cell="${id} ${state}"]`);
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Call to action', exact: true })
    .click();
  await cell('paddingInline').click();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.type('21');
  await page.keyboard.press('Enter');
  await expect(cell('paddingInline')).toContainText('21');
  await expect(cell('paddingBlock')).toContainText('21');
  await page.keyboard.press('Control+z');
  await expect(cell('paddingInline')).toContainText('18');
  await expect(cell('paddingBlock')).toContainText('10');

  await cell('paddingInline').click();
  await page.keyboard.type('wide');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/“wide” was not taken for padding, sides/)).toBeVisible();
  await expect(cell('paddingInline')).toContainText('18');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.type('nor this');
  await cell('paddingInline', 'hover').click();
  await expect(page.getByText(/“nor this” was not taken for padding, ends/)).toBeVisible();
  await page.keyboard.type('12');
  await page.keyboard.press('Enter');
  await expect(cell('paddingInline', 'hover')).toContainText('12');
});

test('states are frozen on the stage, and selecting what is in the panel opens it', async ({ page }) => {
  const stage = await stageFrame(page);
  const button = stage.getByRole('link', { name: 'Book a hide' });
  await button.click();
  await pointNowhere(page);
  await page.getByRole('group', { name: 'Frozen states' }).getByRole('button', { name: 'hover' }).click();
  await expect(button).toHaveCSS('background-color', 'rgb(18, 52, 59)');
  await page.getByRole('group', { name: 'Frozen states' }).getByRole('button', { name: 'rest' }).click();
  await expect(button).toHaveCSS('background-color', 'rgb(240, 181, 65)');
  await page.getByRole('navigation', { name: 'Parts' }).getByRole('button', { name: 'Submenu box' }).click();
  await expect(stage.locator('.hm-main-submenu').first()).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Parts' })
    .getByRole('button', { name: 'Close control' })
    .click();
  await expect(stage.getByRole('button', { name: 'Close menu' })).toBeVisible();
  await expect(page.getByTestId('band')).toHaveText('Phone');
});

test('the stage is an isolated frame that cannot reach the interface', async ({ page }) => {
  const stage = page.frame({ url: /\/frame$/ });
  expect(
    await stage?.evaluate(() => {
      try {
        return String(window.parent.document);
      } catch (error) {
        return (error as Error).name;
      }
    }),
  ).toBe('SecurityError');
  expect(
    await stage?.evaluate(async () =>
      fetch('/api/sites').then(
        () => 'reached',
        () => 'blocked',
      ),
    ),
  ).toBe('blocked');
  expect(await page.locator('iframe[title="Stage"]').getAttribute('sandbox')).toBe('allow-scripts');
});

test('the logo takes a drawing, and refuses one that runs or is none', async ({ page }) => {
  const stage = await stageFrame(page);
  await stage.locator('.hm-logo').click();
  const upload = (content: string) =>
    page
      .getByLabel('Logo drawing', { exact: true })
      .setInputFiles({ name: 'logo.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(content) });
  await upload(
    '<svg viewBox="0 0 20 10" onload="alert(1)"><script>alert(1)</script><path d="M0 0h20v10z" fill="#123456"/></svg>',
  );
  await expect(stage.locator('.hm-logo path')).toHaveCount(1);
  await expect(stage.locator('.hm-logo path')).toHaveAttribute('fill', '#123456');
  expect(await stage.locator('.hm-logo').innerHTML()).not.toMatch(/script|onload/);
  await upload('just text');
  await expect(page.getByText(/logo.svg cannot be used/)).toBeVisible();
  await expect(stage.locator('.hm-logo path')).toHaveAttribute('fill', '#123456');
});

test('links are dragged with a clear mark of where they land', async ({ page }) => {
  await page.getByRole('link', { name: 'Links' }).click();
  const rows = page.getByRole('treegrid').getByRole('row');
  const row = (label: string) => rows.filter({ has: page.locator(`input[value="${label}"]`) });
  await draggable(page, '[data-row]');
  // Taken up anew until the mark shows: lines still move while what stands above them is drawn.
  const mark = row('Birds').locator('[data-drop="before"]');
  await expect(async () => {
    await page.mouse.up();
    const grip = await row('Learn').locator('[title^="Drag to move"]').boundingBox();
    const to = await row('Birds').boundingBox();
    if (!grip || !to) throw new Error('no rows');
    await page.mouse.move(grip.x + 8, grip.y + 16);
    await page.mouse.down();
    await page.mouse.move(to.x + 100, to.y + 4, { steps: 6 });
    await expect(mark).toBeVisible({ timeout: 1000 });
  }).toPass();
  await page.mouse.up();
  const top = await rows.evaluateAll((elements) =>
    elements
      .filter((element) => element.getAttribute('aria-level') === '1')
      .map((element) => element.querySelector<HTMLInputElement>('input[aria-label="Label"]')?.value),
  );
  expect(top.slice(0, 3)).toEqual(['Visit', 'Learn', 'Birds']);
});

test('the interface itself has nothing wrong for assistive technology', async ({ page }) => {
  const { default: AxeBuilder } = await import('@axe-core/playwright');
  for (const place of ['bench/header', 'links', 'checks', 'hand-off']) {
    await page.goto(page.url().replace(/(sites\/[^/]+)\/.*/, `$1/${place}`));
    await page.getByRole('main').waitFor();
    const { violations } = await new AxeBuilder({ page })
      .exclude('iframe')
      .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
      .analyze();
    expect(
      violations.map(
        (violation) =>
          `${place}: ${violation.id} ${violation.nodes
            .slice(0, 3)
            .map((node) => node.target.join(' '))
            .join(' | ')}`,
      ),
    ).toEqual([]);
  }
});

test('a value is for one band alone, or for all with every exception taken away; one that hides it is said', async ({
  page,
}) => {
  const id = idOf(page.url());
  const stage = await stageFrame(page);
  const radius = page.locator('[data-cell="radius rest"]');
  const reach = async (name: string) => {
    await page.getByLabel('Reach').click();
    await page.getByRole('option', { name, exact: true }).click();
  };
  const set = async (value: string) => {
    await radius.click();
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
    await saved(page);
  };
  const radii = async () => {
    const site = await savedSite(page, id);
    const owner = ownersOf(site).get('book');
    return Object.fromEntries(
      Object.entries(owner?.look['button']?.all?.rest ?? {}).map(([band, values]) => [band, values.radius]),
    );
  };
  await stage.getByRole('link', { name: 'Book a hide' }).click();
  await reach('Wide alone');
  await set('7');
  // What the phone had is said there now, so that it stays.
  expect(await radii()).toMatchObject({ all: 7, phone: 999 });
  await reach('all widths');
  await radius.click();
  await expect(page.getByTestId('hidden-here')).toHaveCount(0);
  await page.getByRole('slider', { name: 'Width of the stage' }).focus();
  await page.keyboard.press('Home');
  await radius.click();
  const hidden = page.getByTestId('hidden-here');
  await expect(hidden).toContainText('The stage stands at 320 px, where Phone has its own radius.');
  await hidden.getByRole('button', { name: 'Go there' }).click();
  await expect(page.getByLabel('Reach')).toContainText('Phone alone');
  await expect(hidden).toHaveCount(0);
  await expect(radius).toHaveAttribute('data-own', 'true');
  await reach('all widths');
  await radius.click();
  await hidden.getByRole('button', { name: 'Take the exceptions away' }).click();
  await expect(hidden).toHaveCount(0);
  await saved(page);
  expect(await radii()).toEqual(expect.not.objectContaining({ phone: expect.anything() }));
  await reach('Phone alone');
  await set('3');
  await reach('all widths, exceptions taken away');
  await set('11');
  const now = await radii();
  expect(now['all']).toBe(11);
  expect(now['phone']).toBeUndefined();
});

test('the outline is gone through, folded and unfolded by keys, with one stop for Tab', async ({ page }) => {
  const grid = page.getByRole('treegrid', { name: 'Parts of Header' });
  const line = (name: string) => grid.getByRole('button', { name, exact: true });
  await expect(line('Link, level 1')).toHaveAttribute('aria-current', 'true');
  await expect(grid.locator('button[tabindex="0"]')).toHaveCount(1);
  await line('Link, level 1').focus();
  await page.keyboard.press('ArrowDown');
  await expect(line('Link, level 2')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(line('Link, level 2')).toHaveAttribute('aria-current', 'true');
  await page.keyboard.press('ArrowLeft');
  await expect(line('Menu Main')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(line('Link, level 2')).toHaveCount(0);
  await expect(grid.getByRole('row', { name: /^Unfold Menu Main/ })).toHaveAttribute(
    'aria-expanded',
    'false',
  );
  await page.keyboard.press('ArrowRight');
  await expect(line('Link, level 2')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(line('More about Menu Main')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Home');
  await expect(line('Bar')).toBeFocused();
  await expect(grid.locator('button[tabindex="0"]')).toHaveCount(1);
});

test('the bench is found as it was put: the seam, folded groups and branches', async ({ page }) => {
  const seam = page.getByRole('separator', { name: 'Height of the stage' });
  await seam.focus();
  for (let step = 0; step < 3; step++) await page.keyboard.press('ArrowDown');
  await expect(seam).toHaveAttribute('aria-valuenow', '320');
  const group = page.getByRole('button', { name: 'edge', exact: true });
  await group.click();
  await expect(group).toHaveAttribute('aria-expanded', 'false');
  await expect(page.locator('[data-cell="radius rest"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Fold Row Main' }).click();
  await page.reload();
  await stageFrame(page);
  await expect(seam).toHaveAttribute('aria-valuenow', '320');
  await expect(group).toHaveAttribute('aria-expanded', 'false');
  await expect(page.getByRole('button', { name: 'Unfold Row Main' })).toBeVisible();
  // Whoever looks for a property is shown it all the same.
  await page.getByLabel('Find a property').fill('radius');
  await expect(page.locator('[data-cell="radius rest"]')).toBeVisible();
});

test('an open submenu lies over the seam, and can be clicked there', async ({ page }) => {
  const stage = await stageFrame(page);
  const seam = page.getByRole('separator', { name: 'Height of the stage' });
  await seam.focus();
  for (let step = 0; step < 12; step++) await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: 'Link, level 2', exact: true }).click();
  const last = stage.getByRole('link', { name: 'Access for all' });
  await expect(last).toBeVisible();
  const [box, edge] = [await last.boundingBox(), await seam.boundingBox()];
  if (!box || !edge) throw new Error('nothing there');
  expect(box.y).toBeGreaterThan(edge.y + edge.height);
  // What lies beside the submenu is the bench's own.
  const beside = await page.evaluate(
    ([x, y]) => document.elementFromPoint(x ?? 0, y ?? 0)?.tagName,
    [box.x - 200, box.y],
  );
  expect(beside).not.toBe('IFRAME');
  await page.mouse.click(box.x + 20, box.y + box.height / 2);
  await expect(last).toHaveAttribute('data-chosen', '');
});

test('what was just made has its name selected', async ({ page }) => {
  const id = idOf(page.url());
  await page.getByRole('button', { name: 'Add a part at the end of Main' }).click();
  await page.getByRole('menuitem', { name: 'Menu', exact: true }).click();
  await expect(page.getByLabel('name', { exact: true })).toBeFocused();
  await page.keyboard.type('Services');
  await page.keyboard.press('Enter');
  await saved(page);
  const names = (site: Site) =>
    [...ownersOf(site).values()].map(({ thing }) => (thing as { name?: string }).name);
  expect(names(await savedSite(page, id))).toContain('Services');
  await page.goto(`/sites/${id}/links`);
  await page.getByRole('button', { name: '+ menu' }).click();
  await expect(page.getByLabel('Name of the menu')).toBeFocused();
  await page.keyboard.type('Quick links');
  await page.keyboard.press('Enter');
  await saved(page);
  expect((await savedSite(page, id)).menus.map((menu) => menu.name)).toContain('Quick links');
});

test('choices are drawn, a mark that grows takes its motion along, and leads to more of it', async ({
  page,
}) => {
  const stage = await stageFrame(page);
  await page.locator('[data-cell="mark hover"]').click();
  await page.getByRole('button', { name: 'line under', exact: true }).click();
  await page
    .getByRole('group', { name: 'More about mark' })
    .getByRole('button', { name: 'mark grows' })
    .click();
  await expect(page.locator('[data-cell="markFrom hover"]')).toHaveAttribute('aria-selected', 'true');
  const grows = page.getByRole('button', { name: 'from the start', exact: true });
  await expect(grows.locator('[data-drawing]')).toBeVisible();
  await grows.click();
  await saved(page);
  const mark = await stage
    .getByRole('link', { name: 'News' })
    .evaluate((element) => getComputedStyle(element, '::after').transitionDuration);
  expect(mark).toBe('0.2s');
  // One step of undo takes back both.
  await page.keyboard.press('Control+z');
  await expect
    .poll(() =>
      stage
        .getByRole('link', { name: 'News' })
        .evaluate((element) => getComputedStyle(element, '::after').transitionDuration),
    )
    .toBe('0s');
});

test('what a word needs comes along when it is typed, and is taken when the cell is left', async ({
  page,
}) => {
  const id = idOf(page.url());
  const parts = page.getByRole('navigation', { name: 'Parts' });
  const saidOf = async () => {
    const menu = placedParts(await savedSite(page, id)).find(({ part }) => part.kind === 'menu')?.part;
    return menu?.look['submenu']?.['2']?.rest?.['all'] ?? {};
  };
  await parts
    .getByRole('button', { name: /^Submenu box/ })
    .first()
    .click();
  await page.locator('[data-cell="opens rest"]').click();
  await page.keyboard.type('across');
  await page.keyboard.press('Enter');
  await saved(page);
  expect(await saidOf()).toMatchObject({ opens: 'across', columns: 0 });
  // Edited in its place and left by Tab.
  await page.locator('[data-cell="columns rest"]').click();
  await page.keyboard.press('Enter');
  await page.keyboard.type('3');
  // By now the sheet shows it, and it is nonetheless not what was there before.
  await expect(page.getByText('columns, rest: 3')).toBeVisible();
  await page.keyboard.press('Tab');
  await saved(page);
  expect(await saidOf()).toMatchObject({ opens: 'across', columns: 3 });
});

test('a panel is as wide as a share of the window, with limits', async ({ page }) => {
  const stage = await stageFrame(page);
  const isWide = async (value: string, pixels: number) => {
    const cell = page.locator('[data-cell="width rest"]');
    await cell.click();
    await page.keyboard.type(value);
    await page.keyboard.press('Enter');
    await expect
      .poll(async () => (await stage.locator('dialog').boundingBox())?.width)
      .toBeCloseTo(pixels, 0);
  };
  await page.getByRole('button', { name: 'Panel', exact: true }).click();
  await expect(page.getByRole('slider', { name: 'Width of the stage' })).toHaveAttribute(
    'aria-valuenow',
    '390',
  );
  const room = await stage.locator('html').evaluate((root) => root.clientWidth);
  await isWide('80%', room * 0.8);
  await isWide('75vw', 390 * 0.75);
  await isWide('clamp(280px, 60vw, 420px)', 280);
});

test('what is chosen is in sight in outline and sheet, and takes what is typed', async ({ page }) => {
  const stage = await stageFrame(page);
  // The sheet is scrolled, the branch folded: what is chosen on the stage is shown all the same.
  await page.locator('[data-cell="mark rest"]').scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Fold Row Main' }).click();
  await stage.getByRole('link', { name: 'Book a hide' }).click();
  const line = page.getByRole('treegrid').getByRole('button', { name: 'Call to action', exact: true });
  await expect(line).toHaveAttribute('aria-current', 'true');
  await expect(line).toBeInViewport({ ratio: 1 });
  const focused = page.locator('[role="grid"] [aria-selected="true"]');
  await expect(focused).toBeInViewport({ ratio: 1 });
  await page.locator('[data-cell="radius rest"]').click();
  await stage.getByRole('link', { name: 'Book a hide' }).click();
  // The stage has the focus; a number is meant for the cell.
  await page.keyboard.press('9');
  await expect(page.getByRole('textbox', { name: 'radius, rest' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveCSS('border-radius', '9px');
  // So it is from the outline, whose own keys stay its own.
  await page.locator('[data-cell="radius rest"]').click();
  await line.click();
  await page.keyboard.press('7');
  await expect(page.getByRole('textbox', { name: 'radius, rest' })).toHaveValue('7');
  await page.keyboard.press('Escape');
  await expect(stage.getByRole('link', { name: 'Book a hide' })).toHaveCSS('border-radius', '9px');
});

test('a panel that opens on the stage leaves the focus where it is', async ({ page }) => {
  const outline = page.getByRole('navigation', { name: 'Parts' });
  const close = outline.getByRole('button', { name: 'Close control' });
  await close.click();
  await expect((await stageFrame(page)).getByRole('dialog')).toBeVisible();
  await expect(close).toBeFocused();
  expect(await page.evaluate(() => document.activeElement?.tagName)).toBe('BUTTON');
});
