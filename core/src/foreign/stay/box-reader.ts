import { isText, type ChildNode, type Element } from 'domhandler';
import { Cascade, type Value } from '../cascade/cascade.ts';
import { atRestIn } from '../cascade/situation.ts';
import type { ForeignPage } from '../page.ts';
import { isElement, parentOf } from '../tree.ts';

/** Elements that are never drawn. */
const NOT_DRAWN = new Set([
  'script',
  'style',
  'link',
  'meta',
  'template',
  'title',
  'base',
  'noscript',
  'head',
]);

/** Properties that elements inherit, so that a box of one's own is not needed for them. */
const INHERITED =
  /^(?:color|cursor|direction|hyphens|line-height|letter-spacing|quotes|visibility|color-scheme|(?:-webkit-)?font-.*|(?:-webkit-)?text-(?:align|indent|transform|rendering|shadow|wrap|size-adjust).*|white-space.*|word-.*|list-style-.*|box-sizing)$/;

/** What boxes are where nothing is said (the properties' own definitions); of others that is `none`. */
const INITIAL: Readonly<Record<string, string>> = {
  'background-color': 'transparent',
  contain: 'none',
  'content-visibility': 'visible',
  display: 'block',
  height: 'auto',
  isolation: 'auto',
  left: 'auto',
  'min-height': 'auto',
  'mix-blend-mode': 'normal',
  opacity: '1',
  'overflow-x': 'visible',
  'overflow-y': 'visible',
  'padding-top': '0',
  position: 'static',
  right: 'auto',
  top: 'auto',
  'transition-delay': '0s',
  'transition-duration': '0s',
  'transition-property': 'all',
  'transition-timing-function': 'ease',
  'will-change': 'auto',
  'z-index': 'auto',
};

const initialOf = (property: string) => INITIAL[property] ?? 'none';

const NOTHING = /^(?:0(?:px|em|rem|%)?|none|normal|auto|static|visible|transparent|initial|unset)$/i;

/** Answers what boxes of a page are told to be at rest, at one width; what only layout could tell it does not know. */
export class BoxReader {
  private readonly page: ForeignPage;
  private readonly cascade: Cascade;
  readonly width: number;

  constructor(page: ForeignPage, width: number) {
    this.page = page;
    this.width = width;
    this.cascade = new Cascade(page, atRestIn({ width, height: null }));
  }

  /** What says a longhand of an element: what is certain to apply, else what may. */
  said(element: Element, property: string): Value | null {
    const values = this.cascade.values(element).get(property) ?? [];
    return values.find(({ candidate }) => candidate.certain) ?? values[0] ?? null;
  }

  /** The value of a longhand that is not inherited by itself, in small letters. */
  value(element: Element, property: string): string {
    const said = this.said(element, property)?.value.trim().toLowerCase();
    if (said === 'inherit') {
      const around = parentOf(element);
      return around ? this.value(around, property) : initialOf(property);
    }
    const isNothing = said === undefined || /^(?:initial|unset|revert|revert-layer)$/.test(said);
    return isNothing ? initialOf(property) : said;
  }

  /** Whether an element is drawn and takes room among those beside it. */
  isInFlow(element: Element): boolean {
    if (NOT_DRAWN.has(element.name) || 'hidden' in element.attribs) return false;
    if (element.name === 'dialog' && !('open' in element.attribs)) return false;
    return (
      this.value(element, 'display') !== 'none' &&
      !/^(?:absolute|fixed)$/.test(this.value(element, 'position'))
    );
  }

  /** Whether a box has anything in its flow besides one of its children. */
  hasMoreThan(box: Element, child: Element): boolean {
    return box.children.some((node) => node !== child && this.isContent(node));
  }

  /** Whether a node takes room among those beside it. */
  isContent(node: ChildNode): boolean {
    return isElement(node) ? this.isInFlow(node) : isText(node) && /\S/.test(node.data);
  }

  /** Whether nothing of an element would be missed without a box: it says only what those within inherit. */
  isPlain(element: Element): boolean {
    for (const pseudo of ['before', 'after']) {
      const content = this.cascade.values(element, pseudo).get('content')?.[0]?.value;
      if (content !== undefined && content !== 'none') return false;
    }
    return [...this.cascade.values(element)].every(([name, [first]]) => {
      const value = first?.value ?? '';
      // What a box cuts that grows with what is in it is nothing.
      const isCut = name.startsWith('overflow-');
      return (
        isCut || INHERITED.test(name) || NOTHING.test(value) || (name === 'display' && value === 'block')
      );
    });
  }

  /** The height an element is told in px; null where it is told none, or in another measure. */
  heightOf(element: Element): number | null {
    const px = /^(\d+(?:\.\d+)?)px$/.exec(this.value(element, 'height'))?.[1];
    return px === undefined ? null : Number(px);
  }

  /** The declared height that an element cannot outgrow; null where it grows with what is in it. */
  limit(element: Element): Value | null {
    for (const property of ['height', 'max-height']) {
      const value = this.value(element, property);
      if (value === 'auto' || value === 'none' || /^(?:min|max|fit)-content/.test(value)) continue;
      // A share of what has no height of its own is none.
      const around = parentOf(element);
      if (value.endsWith('%') && around && !this.limit(around)) continue;
      return this.said(element, property);
    }
    return null;
  }

  /** Whether a box scrolls, or would where it were limited, what lies in it. */
  clips(element: Element): boolean {
    const axes = ['overflow-x', 'overflow-y'].map((property) => this.value(element, property));
    if (axes.every((value) => value === 'visible' || value === 'clip')) return false;
    if (element.name === 'html') return false;
    const html = parentOf(element);
    // What the body says is the window's, unless the root says something itself (CSS Overflow 3, 3.3).
    const isWindows =
      element.name === 'body' &&
      html !== null &&
      ['overflow-x', 'overflow-y'].every((property) => this.value(html, property) === 'visible');
    return !isWindows;
  }

  /** Whether a box scrolls by itself, other than the window. */
  isScroller(element: Element): boolean {
    return (
      this.clips(element) &&
      this.limit(element) !== null &&
      (/auto|scroll/.test(this.value(element, 'overflow-y')) ||
        // Where the other axis is cut, this one scrolls.
        this.value(element, 'overflow-y') === 'visible')
    );
  }

  /** The elements of the page's body that come after an element and are drawn. */
  after(element: Element): readonly Element[] {
    const { elements } = this.page;
    const inside = (other: Element) => {
      for (let at: Element | null = other; at; at = parentOf(at)) if (at === element) return true;
      return false;
    };
    return elements
      .slice(elements.indexOf(element) + 1)
      .filter((other) => !NOT_DRAWN.has(other.name) && !inside(other));
  }
}
