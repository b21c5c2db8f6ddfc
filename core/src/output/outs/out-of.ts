import { pieceKind } from '../../kinds/catalogue.ts';
import type { DrawingName, Out } from '../../kinds/out.ts';
import type { Piece } from '../../kinds/site.ts';
import type { Declaration, HtmlElement } from '../../print/trees.ts';
import { within, type CompileContext } from '../context.ts';
import { icon } from '../icons.ts';
import { stateMedia } from '../selectors.ts';
import { hiddenClasses } from '../shown.ts';
import { withBase } from './links.ts';

/** How long what waits for the script does so. */
const WAITS = '4s';

/** What everything in a piece is told; `owner` is whose slots are meant. What is asked for is worked out then. */
export class OutOf implements Out {
  protected readonly context: CompileContext;
  protected readonly piece: Piece;
  protected readonly owner: string;

  constructor(context: CompileContext, piece: Piece, owner: string) {
    this.context = context;
    this.piece = piece;
    this.owner = owner;
  }

  get site() {
    return this.context.site;
  }

  get root() {
    return this.context.root;
  }

  get unready() {
    return `${this.root}:not(${this.whenReady})`;
  }

  get ready() {
    return this.root + this.whenReady;
  }

  get waits(): Declaration {
    return ['animation', `${this.name('wait')} ${WAITS}`];
  }

  private get whenReady() {
    return `[${this.attribute('ready')}]`;
  }

  get scrolled() {
    return `${this.root}[${this.attribute('scrolled')}]`;
  }

  get stands() {
    return pieceKind(this.piece).stands;
  }

  get whileScrolled() {
    return stateMedia(this.context, 'scrolled', this.piece);
  }

  get scrolls() {
    return pieceKind(this.piece).comesTo(this.piece as never, 'scrolled');
  }

  name(word: string) {
    return this.context.names.name(word);
  }

  variable(word: string) {
    return this.context.names.variable(word);
  }

  attribute(word: string) {
    return this.context.names.attribute(word);
  }

  id(word: string) {
    const { names } = this.context;
    return names.id(word.startsWith(names.prefix) ? word.slice(names.prefix.length) : word);
  }

  address(href: string) {
    return withBase(this.context, href);
  }

  within(selector: string) {
    return within(this.context, selector);
  }

  class(slot: string) {
    return this.context.names.slotClass(this.owner, slot);
  }

  at(slot: string, rest = '') {
    return within(this.context, `.${this.class(slot)}${rest}`);
  }

  hidden(bands: readonly string[] | undefined) {
    return hiddenClasses(this.context, bands);
  }

  icon(drawing: DrawingName): HtmlElement {
    return icon(this.name('icon'), drawing);
  }
}
