import type { Element } from 'domhandler';
import { directionOf } from '../tree.ts';

/** Attributes of elements as they would be in some state, where they are others than now. */
export type Marks = ReadonlyMap<Element, Readonly<Record<string, string>>>;

/** What is going on with a page: which elements are pointed at, focused, pressed. Each holds for the elements around it, too. */
export interface Live {
  readonly pointed: ReadonlySet<Element>;
  readonly pressed: ReadonlySet<Element>;
  /** The element in focus, which shows it as one does that was reached by the keyboard. */
  readonly focused: Element | null;
  /** The focused element and those around it. */
  readonly around: ReadonlySet<Element>;
  /** Whether every element counts as focused: to look at all rules of that state at once. */
  readonly allFocused?: boolean;
  /** What the page writes into its markup to mark a state, such as the link of the page that is shown. */
  readonly marks?: Marks;
}

export const AT_REST: Live = { pointed: new Set(), pressed: new Set(), focused: null, around: new Set() };

/** Pseudo-classes that the matching library answers by what it sees in the page. */
export const OF_PAGE: ReadonlySet<string> = new Set([
  'any-link',
  'checked',
  'disabled',
  'empty',
  'enabled',
  'first-child',
  'first-of-type',
  'lang',
  'last-child',
  'last-of-type',
  'link',
  'nth-child',
  'nth-last-child',
  'nth-last-of-type',
  'nth-of-type',
  'only-child',
  'only-of-type',
  'optional',
  'required',
  'root',
]);

/** Pseudo-classes that take selectors; the forgiving ones leave out what they do not know (Selectors 4, 16.2). */
export const OF_SELECTORS: ReadonlyMap<string, { readonly forgiving: boolean }> = new Map([
  ['is', { forgiving: true }],
  ['where', { forgiving: true }],
  ['not', { forgiving: false }],
  ['has', { forgiving: false }],
]);

/** Other names of the same. */
export const RENAMED: ReadonlyMap<string, string> = new Map([
  ['-webkit-any', 'is'],
  ['-webkit-any-link', 'any-link'],
]);

/** What is never so in a page that stands still and that nobody has used. */
export const NEVER: readonly string[] = [
  '-webkit-autofill',
  '-webkit-drag',
  '-webkit-full-screen',
  'active-view-transition',
  'autofill',
  'buffering',
  'fullscreen',
  'has-slotted',
  'host',
  'host-context',
  'indeterminate',
  'modal',
  'muted',
  'out-of-range',
  'paused',
  'picture-in-picture',
  'playing',
  'popover-open',
  'seeking',
  'stalled',
  'state',
  'target',
  'target-current',
  'user-invalid',
  'user-valid',
  'visited',
  'volume-locked',
];

/** Pseudo-elements that were once written with one colon. */
export const OLD_PSEUDO_ELEMENTS: ReadonlySet<string> = new Set([
  'after',
  'before',
  'first-letter',
  'first-line',
]);

/** Pseudo-elements that browsers of today know besides those of their own engine. */
export const PSEUDO_ELEMENTS: ReadonlySet<string> = new Set([
  ...OLD_PSEUDO_ELEMENTS,
  'backdrop',
  'checkmark',
  'column',
  'cue',
  'details-content',
  'file-selector-button',
  'grammar-error',
  'highlight',
  'marker',
  'part',
  'picker',
  'picker-icon',
  'placeholder',
  'scroll-button',
  'scroll-marker',
  'scroll-marker-group',
  'selection',
  'slotted',
  'spelling-error',
  'target-text',
  'view-transition',
  'view-transition-group',
  'view-transition-image-pair',
  'view-transition-new',
  'view-transition-old',
]);

/** The attributes of an element, with the marks that it bears. */
export const attributesOf = (element: Element, marks: Marks | undefined): Readonly<Record<string, string>> =>
  marks?.get(element) ?? element.attribs;

const TEXT_FIELDS = new Set([
  '',
  'email',
  'number',
  'password',
  'search',
  'tel',
  'text',
  'url',
  'date',
  'time',
]);

const isTextField = ({ name, attribs }: Element) =>
  name === 'textarea' || (name === 'input' && TEXT_FIELDS.has((attribs['type'] ?? '').toLowerCase()));

/** The tests of pseudo-classes that depend on what is going on, or that the matching library does not know. */
export function liveTests(
  live: () => Live,
): Record<string, (element: Element, argument?: string | null) => boolean> {
  const never = () => false;
  const isFocused = (element: Element) => live().allFocused === true || live().focused === element;
  const isReadWrite = (element: Element) =>
    isTextField(element) && !('readonly' in element.attribs) && !('disabled' in element.attribs);
  return {
    ...Object.fromEntries(NEVER.map((name) => [name, never])),
    hover: (element) => live().pointed.has(element),
    active: (element) => live().pressed.has(element),
    focus: isFocused,
    'focus-visible': isFocused,
    'focus-within': (element) => live().around.has(element),
    dir: (element, argument) => directionOf(element) === argument?.trim().toLowerCase(),
    defined: (element) => !element.name.includes('-'),
    open: (element) =>
      (element.name === 'details' || element.name === 'dialog') &&
      'open' in attributesOf(element, live().marks),
    'placeholder-shown': (element) =>
      isTextField(element) && 'placeholder' in element.attribs && (element.attribs['value'] ?? '') === '',
    'read-write': isReadWrite,
    'read-only': (element) => !isReadWrite(element),
    default: ({ name, attribs }) =>
      (name === 'option' && 'selected' in attribs) || (name === 'input' && 'checked' in attribs),
    valid: ({ name, attribs }) => /^(?:input|select|textarea|form)$/.test(name) && !('required' in attribs),
    invalid: ({ name, attribs }) =>
      /^(?:input|select|textarea)$/.test(name) && 'required' in attribs && (attribs['value'] ?? '') === '',
    'in-range': ({ name, attribs }) => name === 'input' && ('min' in attribs || 'max' in attribs),
  };
}

/** The names of those tests. */
export const LIVE_NAMES: ReadonlySet<string> = new Set(Object.keys(liveTests(() => AT_REST)));
