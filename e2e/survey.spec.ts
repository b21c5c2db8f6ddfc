import { expect, test, type Page } from '@playwright/test';
import {
  compileSite,
  hasSlot,
  ownersOf,
  pageMarkup,
  panelsFrom,
  runEdit,
  slotsOf,
  standingPieces,
  STARTERS,
  surveyWidths,
  type Edit,
  type PropertyId,
  type Site,
} from '@hamaca/core';
import { build } from 'esbuild';
import { fileURLToPath } from 'node:url';
import { randomHeader } from '../core/test/random-header.ts';
import { seeded, whole, wholeSite, type Random } from '../core/test/random-site.ts';
import { designedDemo, FONTS, marisma } from './support/output.ts';
import { secondLook, type Found } from './support/second-look.ts';

/*
 * Checks and a second look, which asks the browser what is hit at single points, say the same of any site.
 */

const SITES = Number(process.env['HAMACA_SURVEY_SITES'] ?? 8);

/** States of one page that are looked at twice, and what may be in each: asking what is hit takes long. */
const MOST_STATES = 6;
const MOST_THINGS = 90;

const at = (path: string) => fileURLToPath(new URL(`../${path}`, import.meta.url));

/** Sizes somebody may give to anything, from the smallest to the largest that is not absurd. */
const SIZES: { readonly [Id in PropertyId]?: readonly [number, number] } = {
  size: [8, 48],
  paddingInline: [0, 60],
  paddingBlock: [0, 30],
  gap: [0, 40],
  width: [40, 500],
  minWidth: [0, 300],
  height: [6, 80],
  panelHeight: [100, 600],
  marginBlock: [-20, 20],
  marginInline: [-40, 40],
  thickness: [1, 20],
};
const LABELS = [
  'Meeresuferbeobachtungsstation',
  'Everything there is to know about the lagoon',
  'Ä',
  'الطيور',
];

/** A site that somebody has changed without looking: sizes here and there, and some labels. */
function carelessSite(random: Random): Site {
  const base = random.pick<() => Site>([
    random.chance(0.1) ? wholeSite : marisma,
    () => randomHeader(random),
    () => randomHeader(random, 0.7),
    () => designedDemo(random.pick(STARTERS)),
  ])();
  const owners = [...ownersOf(base).values()];
  const properties = Object.keys(SIZES) as PropertyId[];
  const edits = Array.from({ length: whole(random, 0, 8) }, (): Edit | null => {
    if (random.chance(0.3)) {
      const { items } = random.pick(base.menus);
      const item = items.length > 0 ? random.pick(items) : null;
      return item && { name: 'set-item', args: { id: item.id, fields: { label: random.pick(LABELS) } } };
    }
    const owner = random.pick(owners);
    const slots = Object.entries(slotsOf(owner.kind)).filter(([slot]) => hasSlot(base, owner, slot));
    if (slots.length === 0) return null;
    const [slot, kind] = random.pick(slots);
    const able = properties.filter((id) => kind.properties.includes(id));
    if (able.length === 0) return null;
    const property = random.pick(able);
    const [least, most] = SIZES[property] ?? [0, 0];
    const cell = { owner: owner.id, slot, level: 'all', state: 'rest', band: 'all', property } as const;
    return { name: 'set-look', args: { cells: [{ ...cell, value: whole(random, least, most) }] } };
  });
  return edits.reduce<Site>((site, edit) => {
    const ran = edit && runEdit(site, edit);
    return ran?.ok ? ran.value.site : site;
  }, base);
}

/** What Checks run in their frame, as one script. */
async function surveyScript(): Promise<string> {
  const made = await build({
    stdin: {
      contents: `export { states, wordsOf } from './survey.ts'; export { look } from './look.ts';`,
      resolveDir: at('web/src/stage/frame/survey'),
      loader: 'ts',
    },
    bundle: true,
    write: false,
    format: 'iife',
    globalName: 'survey',
  });
  return made.outputFiles[0]?.text ?? '';
}

interface State {
  readonly opened: readonly string[];
  readonly checks: readonly {
    readonly kind: string;
    readonly words: string;
    /** Words of the other thing, where two are concerned. */
    readonly other: string | null;
    readonly amount: number;
  }[];
  readonly second: readonly Found[];
}

/** What the script brings into the page. */
interface Survey {
  readonly states: (
    holder: Element,
  ) => Iterable<{ readonly scope: Element; readonly opened: readonly string[] }>;
  readonly look: (
    scope: Element,
    end: Element,
  ) => readonly {
    readonly kind: string;
    readonly element: Element;
    readonly other?: Element;
    readonly amount: number;
    readonly isOpened?: true;
  }[];
  readonly wordsOf: (element: Element) => string;
}

/** Goes through the page as it is and looks twice in every state. */
const lookTwice = (page: Page): Promise<State[]> =>
  page.evaluate(
    ([second, mostStates, mostThings]) => {
      const { states, look, wordsOf } = (window as unknown as { survey: Survey }).survey;
      const lookAgain = (0, eval)(`(${second})`) as typeof secondLook;
      const found: State[] = [];
      for (const { scope, opened } of states(document.body)) {
        const things = scope.querySelectorAll('a, button, svg').length;
        if (found.length >= mostStates || things > mostThings) continue;
        const checks = look(scope, document.body)
          .filter(({ kind }) => kind !== 'faint')
          .map(({ kind, element, other, amount, isOpened }) => ({
            kind,
            amount,
            other: other ? wordsOf(other.closest('a, button') ?? other) : null,
            words: isOpened ? '' : wordsOf(element.closest('a, button') ?? element),
          }));
        found.push({ opened, checks, second: lookAgain(scope) });
      }
      return found;
    },
    [secondLook.toString(), MOST_STATES, MOST_THINGS] as const,
  );

/** How near to its limit a measure of Checks is: there the two may differ. */
const isClose = ({ kind, amount }: State['checks'][number]) =>
  kind === 'small' ? amount > 22 : amount < (kind === 'beneath' ? 4 : 6);

/** What is lost is lost, be it cut by what holds it or by the window. */
const keyOf = ({ kind, words }: { readonly kind: string; readonly words: string }) =>
  `${kind === 'outside' ? 'cut' : kind} ${words}`;

const keys = (found: readonly { readonly kind: string; readonly words: string }[]) =>
  new Set(found.map(keyOf));

test('Checks and a second look at the page say the same', async ({ page }) => {
  test.setTimeout(3_600_000);
  const script = await surveyScript();
  const wrong: string[] = [];
  const counts: Record<string, number> = {};
  let states = 0;
  for (let seed = 1; seed <= SITES; seed++) {
    const random = seeded(seed);
    const site = carelessSite(random);
    const { pieces, stylesheet, script: behaviour } = compileSite(site, { fonts: FONTS });
    for (const piece of standingPieces(site)) {
      const markup = pageMarkup(site, pieces, [piece, ...panelsFrom(site, piece)]);
      const widths = surveyWidths(site);
      for (const width of [random.pick(widths), random.pick(widths)]) {
        await page.setViewportSize({ width, height: 700 });
        await page.setContent(
          `<!DOCTYPE html><html lang="${site.language}" dir="${site.direction}"><head><style>body{margin:0}*{pointer-events:auto!important;border-radius:0!important}</style><style>${stylesheet}</style></head><body>${markup.before}${markup.beside}<main></main>${markup.after}</body></html>`,
        );
        await page.addScriptTag({ content: behaviour });
        await page.addScriptTag({ content: script });
        // A face that came between the two looks would change what is cut.
        await page.evaluate(async () => void (await document.fonts.ready));
        for (const { opened, checks, second } of await lookTwice(page)) {
          states++;
          for (const { kind } of checks) counts[kind] = (counts[kind] ?? 0) + 1;
          // Of two things over one another Checks tell once, the second look of each.
          const byChecks = keys([
            ...checks,
            ...checks.flatMap(({ kind, other }) => (other === null ? [] : [{ kind, words: other }])),
          ]);
          const bySecond = keys(second);
          const where = `${seed} ${piece.id} at ${width} px${opened.length > 0 ? ` with ${opened.join(' › ')}` : ''}`;
          for (const check of checks)
            if (!isClose(check) && !bySecond.has(keyOf(check)))
              wrong.push(`${where}: only Checks: ${check.kind} ${Math.round(check.amount)} ${check.words}`);
          for (const one of second)
            // What is cut is pressed on what is left of it.
            if (!one.isClose && !byChecks.has(keyOf(one)) && !byChecks.has(`cut ${one.words}`))
              wrong.push(`${where}: only the second look: ${one.kind} ${one.words}`);
        }
      }
    }
  }
  process.stdout.write(
    `  ${states} states, ${JSON.stringify(counts)}, ${wrong.length} told by one look alone\n`,
  );
  expect(states).toBeGreaterThan(SITES * 4);
  expect(wrong).toEqual([]);
});
