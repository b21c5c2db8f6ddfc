import { ValidationError } from 'yup';
import { findInheritedKey, inside, jsonDepth } from '../base/json.ts';
import { toPointer } from '../base/json-pointer.ts';
import { describeValue, fail, succeed, type Problem, type Result } from '../base/result.ts';
import { checkIntegrity } from '../kinds/integrity.ts';
import { LIMITS } from '../values/limits.ts';
import { siteSchema, type SchemaContext } from '../kinds/schema.ts';
import type { Site } from '../kinds/site.ts';
import { FORMAT_VERSION, migrate } from '../migrate/migrate.ts';

/** Most problems reported at once; more would not be read. */
const MOST_PROBLEMS = 20;

/** The segments of a path as the schema library writes it: `menus[0].items[2]["a.b"]`. */
function pathSegments(path: string): string[] {
  return [...path.matchAll(/\["([^"]*)"\]|\[(\d+)\]|([^.[\]]+)/g)].map(
    (match) => match[1] ?? match[2] ?? match[3] ?? '',
  );
}

const valueAt = (document: unknown, segments: readonly string[]): unknown =>
  segments.reduce(inside, document);

function toProblem(error: ValidationError, document: unknown): Problem {
  const segments = pathSegments(error.path ?? '');
  const path = toPointer(segments);
  const found = describeValue(valueAt(document, segments));
  return {
    code: 'schema',
    path,
    found,
    allowed: error.message,
    message: `${path || 'the document'}: found ${found}, allowed is ${error.message}`,
  };
}

function schemaProblems(document: unknown, context: SchemaContext): Problem[] {
  try {
    siteSchema.validateSync(document, { strict: true, abortEarly: false, context });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const errors = error.inner.length > 0 ? error.inner : [error];
    return errors.slice(0, MOST_PROBLEMS).map((inner) => toProblem(inner, document));
  }
}

/**
 * The one loader: unknown JSON -> migrated -> validated -> site. Every problem names its path, what was found and what
 * is allowed; nothing is repaired silently.
 */
export function loadSite(raw: unknown): Result<Site> {
  if (jsonDepth(raw, LIMITS.json) > LIMITS.json) return refuseDepth('');
  const inherited = findInheritedKey(raw);
  if (inherited !== null) return refuseKey(inherited);
  const migrated = migrate(raw);
  return migrated.ok ? checkDocument(migrated.value, {}) : migrated;
}

function checkDocument(document: unknown, context: SchemaContext): Result<Site> {
  const shape = schemaProblems(document, context);
  if (shape.length > 0) return fail(shape);
  const site = document as Site;
  const broken = checkIntegrity(site).slice(0, MOST_PROBLEMS);
  return broken.length > 0 ? fail(broken) : succeed(site);
}

/** Things of documents that were checked before. Documents never change in place, so they need not be looked at again. */
const approved: NonNullable<SchemaContext['approved']> = new WeakMap();

/**
 * Checks a document that was made from a checked one: only what differs from it is walked. It is in today's format; an edit
 * that says otherwise is refused, as the log would no longer tell what the document is.
 */
export function checkEdited(document: unknown): Result<Site> {
  const version = (document as Readonly<Record<string, unknown>> | null)?.['formatVersion'];
  return version === FORMAT_VERSION ? checkDocument(document, { approved }) : refuseFormatChange(version);
}

function refuseFormatChange(version: unknown): Result<never> {
  return fail([
    {
      code: 'format',
      path: '/formatVersion',
      message: '/formatVersion: an edit cannot change the format of a site',
      found: describeValue(version),
      allowed: String(FORMAT_VERSION),
    },
  ]);
}

/** Says that a key would lead to what every object inherits. */
export function refuseKey(way: readonly string[]): Result<never> {
  const key = way.at(-1) ?? '';
  const path = toPointer(way);
  return fail([
    {
      code: 'key',
      path,
      message: `${path}: "${key}" cannot be a key`,
      found: describeValue(key),
      allowed: 'any key but __proto__, constructor and prototype',
    },
  ]);
}

/** Says that something is nested more deeply than any document is. */
export function refuseDepth(path: string): Result<never> {
  return fail([
    {
      code: 'too-deep',
      path,
      message: `${path || 'The document'} is nested more than ${LIMITS.json} deep`,
      found: `more than ${LIMITS.json} levels`,
      allowed: `at most ${LIMITS.json} levels`,
    },
  ]);
}

/** Reads a site file's text. A byte order mark is allowed; anything that is no JSON is refused with the reason. */
export function parseSiteFile(text: string): Result<Site> {
  if (text.length > LIMITS.file) {
    return fail([
      {
        code: 'too-large',
        path: '',
        message: 'The site file is larger than 32 MB',
        found: `${text.length} characters`,
        allowed: '32 MB',
      },
    ]);
  }
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail([
      {
        code: 'not-json',
        path: '',
        message: `The file is not JSON: ${(error as Error).message}`,
        found: describeValue(text.slice(0, 40)),
        allowed: 'a Hamaca site file',
      },
    ]);
  }
  return loadSite(raw);
}
