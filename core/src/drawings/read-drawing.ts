import { SaxesParser } from 'saxes';
import { memoiseText } from '../base/memo.ts';
import { fail, succeed, type Result } from '../base/result.ts';
import { ALLOWED, isHostileAttribute, isHostileElement, REFERRED_TO, WITH_TEXT } from './allowed.ts';
import type { DrawingElement } from './drawing.ts';

/** Bounds of one drawing: in characters of source, elements, levels, and elements that others refer to. */
const MOST = { source: 200_000, elements: 10_000, depth: 32, referredTo: 64 } as const;

/** A drawing as it was read. */
export interface ReadDrawing {
  readonly root: DrawingElement;
  /** What was left out because it runs, loads, links, moves or styles, in words; each once. */
  readonly hostile: readonly string[];
}

interface Open {
  readonly name: string;
  readonly attributes: Record<string, string>;
  readonly children: (DrawingElement | string)[];
}

/** Presentation that programs write as a style: only what could stand as attributes, in plain values. */
function styleAttributes(style: string): Record<string, string> {
  const entries = style.split(';').flatMap((declaration): [string, string][] => {
    const colon = declaration.indexOf(':');
    return colon === -1
      ? []
      : [[declaration.slice(0, colon).trim().toLowerCase(), declaration.slice(colon + 1).trim()]];
  });
  return Object.fromEntries(entries);
}

/** A value without the liberties a program may take: white space around it, quotes and a second choice of a reference. */
const normalise = (value: string) =>
  value.trim().replace(/^url\(\s*(["']?)(#[\w.-]+)\1\s*\)(?:\s+[\w#]+)?$/, 'url($2)');

class Reader {
  root: DrawingElement | null = null;
  failure: string | null = null;
  readonly hostile = new Set<string>();
  private readonly open: Open[] = [];
  /** Depth below an element that is left out with all that is in it; 0 outside of one. */
  private skipped = 0;
  private elements = 0;
  private referredTo = 0;

  stop(reason: string): void {
    this.failure ??= reason;
  }

  private take(name: string, given: Readonly<Record<string, string>>): Record<string, string> {
    const allowed = ALLOWED.get(name) ?? {};
    const kept = new Map<string, string>();
    const { style, ...own } = given;
    for (const [key, value] of Object.entries({ ...own, ...styleAttributes(style ?? '') })) {
      // `xlink:href` is how SVG 1.1 writes `href`.
      const plain = key === 'xlink:href' ? 'href' : key;
      const trimmed = normalise(value);
      if (Object.hasOwn(allowed, plain) && allowed[plain]?.(trimmed) === true) kept.set(plain, trimmed);
      else if (isHostileAttribute(key, trimmed)) this.hostile.add(`${key} of ${name}`);
    }
    return Object.fromEntries(kept);
  }

  start(name: string, given: Readonly<Record<string, string>>): void {
    if (this.skipped > 0) {
      if (isHostileElement(name)) this.hostile.add(name);
      this.skipped++;
      return;
    }
    if (this.open.length === 0 && name !== 'svg') this.stop('its outermost element is not svg');
    if (++this.elements > MOST.elements) this.stop(`it has more than ${MOST.elements} elements`);
    if (this.open.length >= MOST.depth) this.stop(`its elements are nested more than ${MOST.depth} deep`);
    if (REFERRED_TO.has(name) && ++this.referredTo > MOST.referredTo)
      this.stop(`more than ${MOST.referredTo} masks, clips and patterns are in it`);
    if (!ALLOWED.has(name) || (name === 'svg' && this.open.length > 0)) {
      if (isHostileElement(name)) this.hostile.add(name);
      this.skipped = 1;
      return;
    }
    const attributes = this.take(name, given);
    if (name === 'svg' && attributes['viewBox'] === undefined) {
      const [width, height] = [
        Number.parseFloat(given['width'] ?? ''),
        Number.parseFloat(given['height'] ?? ''),
      ];
      if (width > 0 && height > 0) attributes['viewBox'] = `0 0 ${width} ${height}`;
    }
    this.open.push({ name, attributes, children: [] });
  }

  text(chunk: string): void {
    const at = this.open.at(-1);
    if (this.skipped === 0 && at && WITH_TEXT.has(at.name)) at.children.push(chunk);
  }

  end(): void {
    if (this.skipped > 0) {
      this.skipped--;
      return;
    }
    const done = this.open.pop();
    if (!done) return;
    const parent = this.open.at(-1);
    if (parent) parent.children.push(done);
    else this.root = done;
  }
}

/** Reads SVG source as XML, with a real parser, into the tree of what drawings may hold. A refusal says why. */
export const readDrawing = memoiseText((source: string): Result<ReadDrawing, string> => {
  if (source.length > MOST.source) return fail(`it is longer than ${MOST.source} characters`);
  const reader = new Reader();
  const parser = new SaxesParser({ position: false });
  parser.on('error', (error) => {
    reader.stop(`it is no well-formed XML: ${error.message.replace(/^undefined:\d+:\d+: /, '')}`);
  });
  parser.on('doctype', (doctype) => {
    if (doctype.includes('[')) reader.stop('its document type declares things of its own');
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (reader.failure === null) reader.start(name, attributes as Record<string, string>);
  });
  parser.on('text', (chunk) => {
    reader.text(chunk);
  });
  parser.on('cdata', (chunk) => {
    reader.text(chunk);
  });
  parser.on('closetag', () => {
    reader.end();
  });
  // In pieces, so that reading stops soon after the first error.
  for (let at = 0; at < source.length && reader.failure === null; at += PIECE)
    parser.write(source.slice(at, at + PIECE));
  if (reader.failure === null) parser.close();
  if (reader.failure !== null) return fail(reader.failure);
  return reader.root
    ? succeed({ root: reader.root, hostile: [...reader.hostile] })
    : fail('there is no drawing in it');
});

const PIECE = 1 << 14;
