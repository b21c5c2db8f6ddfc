import { copyDemo, expect, test } from './support/app.ts';
import { demoSite, saying, type SaidValues } from './support/output.ts';

/*
 * Checks look at the real output, as calculation knows nothing of declarations of one's own.
 */

const own = (owner: string, slot: string, value: string): SaidValues[number] => ({
  owner,
  slot,
  property: 'ownCss',
  value,
});

/** What is done to the demo, and what Checks are to say of it. */
const FAULTS: readonly {
  readonly check: string;
  readonly cells: SaidValues;
  readonly says: RegExp;
}[] = [
  {
    check: 'Text that is cut',
    cells: [own('logo', 'logo', 'max-inline-size: 60px; overflow: hidden; white-space: nowrap')],
    says: /“Marisma.*” is cut by \d+ px at \d+ px\./,
  },
  {
    check: 'Something leaves the window',
    cells: [own('menu-main', 'submenu', 'min-inline-size: 2000px; max-inline-size: none')],
    says: /reaches \d+ px past the window at \d+ px with “.+” open\./,
  },
  {
    check: 'Things that lie over one another',
    cells: [own('menu-main', 'list', 'translate: -300px')],
    says: /“.+” and “.+” lie \d+ px over one another/,
  },
  {
    check: 'A target under 24 px',
    cells: [own('book', 'button', 'min-block-size: 0; block-size: 14px; padding-block: 0; line-height: 1')],
    says: /“.+” can be pressed on 14 px at \d+ px, where 24 px are needed\./,
  },
  {
    check: 'A mark that cannot be seen',
    cells: [own('opener', 'opener', 'color: #fdfdfd; background: #ffffff')],
    says: /The mark of “Menu” has 1 : 1 to its ground at \d+ px/,
  },
];

for (const { check, cells, says } of FAULTS)
  test(`Checks see in the output: ${check}`, async ({ page }) => {
    const id = await copyDemo(page, saying(demoSite(), cells));
    await page.goto(`/sites/${id}/checks`);
    await page.getByText(/^The output was looked at/).waitFor();
    const section = page.getByRole('region', { name: check });
    await expect(section).toContainText(says);
    // The count above agrees with the list, and what is told can be seen in its place.
    const heading = await page.getByRole('heading', { level: 1 }).innerText();
    await expect(page.getByRole('link', { name: /^Checks/ })).toContainText(heading.replace(/\D+/, ''));
    await section
      .getByRole('button', { name: /^See it/ })
      .first()
      .click();
    await expect(section.locator('iframe[title="The place"][data-painted]')).toBeVisible();
  });

test('what nobody has changed passes what is looked at; looking takes the focus from nobody', async ({
  page,
}) => {
  const id = await copyDemo(page);
  await page.goto(`/sites/${id}/checks`);
  await page.getByRole('progressbar', { name: 'Looking at the output' }).waitFor();
  const link = page.getByRole('link', { name: /^Checks/ });
  await link.focus();
  await page.getByText(/^The output was looked at/).waitFor();
  await expect(link).toBeFocused();
  const passed = page.getByRole('region', { name: 'Passed' });
  for (const { check } of FAULTS) await expect(passed).toContainText(check.toLowerCase());
});

test('an edit has the output looked at again, wherever it was made', async ({ page }) => {
  const [fault] = FAULTS;
  const id = await copyDemo(page, saying(demoSite(), fault?.cells ?? []));
  await page.goto(`/sites/${id}/checks`);
  const section = page.getByRole('region', { name: fault?.check ?? '' });
  await section.waitFor();
  await page.request.patch(`/api/sites/${id}`, {
    headers: { 'content-type': 'application/json-patch+json', 'if-match': '"1"' },
    data: [{ op: 'replace', path: '/pieces', value: demoSite().pieces }],
  });
  await expect(section).toHaveCount(0);
  await page.getByText(/^The output was looked at/).waitFor();
  await expect(section).toHaveCount(0);
});
