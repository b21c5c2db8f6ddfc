/*
 * What markup of the designer's own may hold (HTML): text, lists, tables, pictures, forms. Everything that runs, styles, frames
 * or loads by itself is none of it, and whatever is not named here is refused.
 */

import { own } from '../base/json.ts';
import { hidesDocumentMember } from './document-members.ts';

/** Whether an attribute's value may stand as it is. */
type Form = (value: string) => boolean;

const matches =
  (form: RegExp): Form =>
  (value) =>
    form.test(value);

const any: Form = (value) => value.length <= 2000;
const flag = matches(/^(?:|true|false|[a-z-]{1,20})$/);
const word = matches(/^[\w:.-]{1,100}$/);
const words = matches(/^[^\u0000-\u001f"'<>&=`]{0,500}$/);
const number = matches(/^-?\d{1,9}(?:\.\d{1,9})?$/);

/** An address that leads on and runs nothing; white space and control characters would hide a scheme. */
const address = matches(
  /^(?:(?:https?|mailto|tel|sms|ftp):|(?![A-Za-z][A-Za-z0-9+.-]*:))[^\u0000-\u0020\u007f]{0,2000}$/i,
);
const picture: Form = (value) =>
  /^data:image\/(?:png|jpeg|webp|avif|gif);base64,[A-Za-z0-9+/=]+$/.test(value) ||
  (/^(?:https:|(?![A-Za-z][A-Za-z0-9+.-]*:))/i.test(value) && address(value));

type Attributes = Readonly<Record<string, Form>>;

const OF_ALL: Attributes = {
  class: words,
  id: word,
  title: any,
  lang: word,
  dir: matches(/^(?:ltr|rtl|auto)$/),
  role: words,
  hidden: flag,
  tabindex: matches(/^(?:0|-1)$/),
};

const LINK: Attributes = {
  href: address,
  target: matches(/^_(?:self|blank|parent|top)$/),
  rel: words,
  hreflang: word,
  download: any,
};
const CONTROL: Attributes = {
  name: word,
  value: any,
  disabled: flag,
  required: flag,
  autocomplete: words,
};
const CELL: Attributes = { colspan: number, rowspan: number, scope: word, headers: words };

/** What has attributes besides those of all. */
const OWN: Readonly<Record<string, Attributes>> = {
  a: LINK,
  button: { ...CONTROL, type: matches(/^(?:button|submit|reset)$/) },
  fieldset: { disabled: flag, name: word },
  form: {
    action: address,
    method: matches(/^(?:get|post)$/i),
    target: matches(/^_(?:self|blank|parent|top)$/),
    name: (value) => word(value) && !hidesDocumentMember(value),
    autocomplete: words,
    novalidate: flag,
    'accept-charset': word,
    enctype: matches(/^[a-z/-]+$/),
  },
  img: {
    src: picture,
    alt: any,
    width: number,
    height: number,
    loading: matches(/^(?:lazy|eager)$/),
    decoding: matches(/^(?:async|sync|auto)$/),
  },
  input: {
    ...CONTROL,
    type: matches(
      /^(?:text|email|tel|url|search|number|date|month|week|time|datetime-local|checkbox|radio|range|color|hidden|submit|reset|button|password)$/,
    ),
    placeholder: any,
    checked: flag,
    readonly: flag,
    min: any,
    max: any,
    step: any,
    minlength: number,
    maxlength: number,
    size: number,
    pattern: any,
    inputmode: word,
    multiple: flag,
  },
  label: { for: word },
  li: { value: number },
  ol: { start: number, reversed: flag, type: word },
  optgroup: { label: any, disabled: flag },
  option: { value: any, selected: flag, disabled: flag, label: any },
  select: { ...CONTROL, multiple: flag, size: number },
  td: CELL,
  textarea: { ...CONTROL, placeholder: any, rows: number, cols: number, maxlength: number, readonly: flag },
  th: { ...CELL, abbr: any },
  time: { datetime: any },
};

const PLAIN = `abbr address article aside b bdi blockquote br caption cite code dd del dfn div dl dt em figcaption figure h2 h3 h4 h5
  h6 hr i ins kbd legend mark p pre q s samp section small span strong sub sup table tbody tfoot thead tr u ul var wbr`;

const MARKUP: ReadonlyMap<string, Attributes> = new Map(
  [...PLAIN.split(/\s+/), ...Object.keys(OWN)].map((name) => [name, own(OWN, name) ?? {}]),
);

/** Whether an element may stand in own markup. */
export const isMarkupElement = (name: string): boolean => MARKUP.has(name);

/** Whether an attribute with its value may stand on an element of own markup. */
export function isMarkupAttribute(element: string, name: string, value: string): boolean {
  if (/^(?:aria|data)-[a-z][a-z0-9-]{0,60}$/.test(name)) return any(value);
  const form = own(MARKUP.get(element) ?? {}, name) ?? own(OF_ALL, name);
  return form?.(value) === true;
}
