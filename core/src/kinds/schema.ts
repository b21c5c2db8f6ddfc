import { mixed, object, ValidationError, type Schema } from 'yup';
import { fieldViolations, type Approved } from '../model/shape/violations.ts';
import type { Field } from '../model/shape/field.ts';
import { BOOK } from './book.ts';
import { SITE_SHAPE } from './catalogue.ts';

/** Most violations told of one field; more would not be read. */
const MOST_VIOLATIONS = 50;

/** A segment as the schema library writes paths, quoted where it needs to be. */
function bracket(segment: string): string {
  if (/^[A-Za-z_$][\w$]*$/.test(segment)) return `.${segment}`;
  return /^\d+$/.test(segment) ? `[${segment}]` : `["${segment.replaceAll('"', '')}"]`;
}

/** What a validation is given beside the document. */
export interface SchemaContext {
  readonly approved?: Approved | null;
}

/** A field of the document as the schema library's: each violation is told at its own path. */
const fieldSchema = (field: Field<unknown>): Schema =>
  mixed()
    .strict()
    .test({
      name: 'field',
      test(value, context) {
        const { approved = null } = (context.options.context ?? {}) as SchemaContext;
        const violations = fieldViolations(field, value, BOOK, approved);
        if (violations.length === 0) return true;
        const errors = violations.slice(0, MOST_VIOLATIONS).map((violation) =>
          context.createError({
            path: context.path + violation.path.map(bracket).join(''),
            message: violation.allowed,
          }),
        );
        return new ValidationError(errors, value, context.path);
      },
    });

const fields = Object.entries(SITE_SHAPE) as [string, Field<unknown>][];

/**
 * The schema of a site document, read from its shape. Messages say what is allowed; the loader adds the path and what
 * was found. Everything is strict: nothing is cast, unknown keys are refused.
 */
export const siteSchema = object(
  Object.fromEntries(fields.map(([key, field]) => [key, fieldSchema(field)])) as never,
)
  .strict()
  .required('an object')
  .typeError('an object')
  .noUnknown(`only the keys ${Object.keys(SITE_SHAPE).join(', ')}`);
