import { TOKENS } from '../values/url.ts';
import { optional, text } from './shape/fields.ts';

/** `area=header event="open menu" sticky`: names and values of data attributes, the values with spaces in quotes. */
const DATA =
  /^[a-z][a-z0-9-]*(?:=(?:"[^"<>]*"|[^\s"'<>=`]+))?(?: [a-z][a-z0-9-]*(?:=(?:"[^"<>]*"|[^\s"'<>=`]+))?)*$/;
const ENTRY = /([a-z][a-z0-9-]*)(?:=(?:"([^"]*)"|([^\s"]+)))?/g;

/** What a designer hangs on an element for scripts and stylesheets of their own. */
export const OWN_ATTRIBUTES = {
  className: optional(
    text({
      pattern: {
        test: TOKENS,
        allowed: 'class names separated by single spaces, without quotes, brackets or signs like & and =',
      },
      hint: 'classes of the designer’s own, separated by spaces',
    }),
  ),
  data: optional(
    text({
      max: 500,
      pattern: { test: DATA, allowed: 'data attributes such as area=header event="open menu"' },
      hint: 'data attributes of the designer’s own, such as area=header for data-area="header"',
    }),
  ),
} as const;

export interface OwnAttributes {
  readonly className?: string;
  readonly data?: string;
}

/** The class of an element with the designer's own behind ours. */
export const withOwnClass = (className: string, { className: own }: OwnAttributes): string =>
  own === undefined || own === '' ? className : `${className} ${own}`;

const NONE: Readonly<Record<string, string | true>> = {};

/** Data attributes as markup has them; one without a value is there all the same. */
export function dataAttributes({ data = '' }: OwnAttributes): Readonly<Record<string, string | true>> {
  if (data === '') return NONE;
  return Object.fromEntries(
    [...data.matchAll(ENTRY)].map(([, name, quoted, plain]) => [`data-${name}`, quoted ?? plain ?? true]),
  );
}
