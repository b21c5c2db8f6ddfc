import { describeValue, fail, succeed, type Problem, type Result } from '../base/result.ts';
import { isRecord } from '../base/json.ts';
import type { Migration } from './migration.ts';
import { LINKS_STEP } from './steps/1-links.ts';
import { BENCH_STEP } from './steps/2-bench.ts';
import { PIECES_STEP } from './steps/3-pieces.ts';
import { SUBMENUS_STEP } from './steps/4-submenus.ts';
import { ICONS_STEP } from './steps/5-icons.ts';
import { COLUMNS_STEP } from './steps/6-columns.ts';
import { SELECTORS_STEP } from './steps/7-selectors.ts';
import { FOREIGN_PAGES_STEP } from './steps/8-foreign-pages.ts';
import { CHANGES_IN_MEDIA_STEP } from './steps/9-changes-in-media.ts';
import { WORDS_STEP } from './steps/10-words.ts';

/** The version documents have today. */
export const FORMAT_VERSION = 11;

/** All steps in order. */
export const MIGRATIONS: readonly Migration[] = [
  LINKS_STEP,
  BENCH_STEP,
  PIECES_STEP,
  SUBMENUS_STEP,
  ICONS_STEP,
  COLUMNS_STEP,
  SELECTORS_STEP,
  FOREIGN_PAGES_STEP,
  CHANGES_IN_MEDIA_STEP,
  WORDS_STEP,
];

const problem = (path: string, message: string, found: unknown, allowed: string): Problem[] => [
  { code: 'format', path, message, found: describeValue(found), allowed },
];

/** Brings any older document to today's version; a newer or foreign one is refused and stays as it is. */
export function migrate(
  raw: unknown,
  steps: readonly Migration[] = MIGRATIONS,
  target: number = FORMAT_VERSION,
): Result<Record<string, unknown>> {
  if (!isRecord(raw)) {
    const found = Array.isArray(raw) ? 'a list' : typeof raw;
    return fail([
      {
        code: 'format',
        path: '',
        message: 'This is not a Hamaca site: an object is expected',
        found,
        allowed: 'an object',
      },
    ]);
  }
  if (raw['format'] !== 'hamaca-site') {
    return fail(
      problem(
        '/format',
        'This is not a Hamaca site: its format is missing or another',
        raw['format'],
        '"hamaca-site"',
      ),
    );
  }
  const version = raw['formatVersion'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail(
      problem(
        '/formatVersion',
        'The format version is missing or no whole number',
        version,
        `a whole number from 1 to ${target}`,
      ),
    );
  }
  if (version > target) {
    return fail(
      problem(
        '/formatVersion',
        `This site was made by a newer Hamaca (format ${version})`,
        version,
        `at most ${target}`,
      ),
    );
  }
  let document = raw;
  for (const step of steps.filter((entry) => entry.from >= version && entry.from < target)) {
    document = { ...step.migrate(document), formatVersion: step.from + 1 };
  }
  return succeed(document);
}
