import { SaxesParser } from 'saxes';
import { memoiseText } from '../base/memo.ts';
import { fail, succeed, type Result } from '../base/result.ts';
import { isMarkupAttribute, isMarkupElement } from './allowed.ts';

/** Markup of the designer's own as a tree: only what it may hold. Attribute values and text are plain. */
export interface MarkupElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly MarkupNode[];
}

export type MarkupNode = MarkupElement | string;

/** Bounds of one piece of markup: in characters of source, elements and levels. */
export const MARKUP_LIMITS = { source: 20_000, elements: 500, depth: 20 } as const;

interface Open {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: MarkupNode[];
}

/** What the source stands in while it is read: it may have several elements side by side, XML has one. */
const AROUND = 'around';

/** Reads well-formed markup into a tree. A refusal says what may not stand in it; nothing is tidied. */
export const readMarkup = memoiseText((source: string): Result<readonly MarkupNode[], string> => {
  if (source.length > MARKUP_LIMITS.source)
    return fail(`it is longer than ${MARKUP_LIMITS.source} characters`);
  const failures: string[] = [];
  let elements = 0;
  const root: Open = { name: AROUND, attributes: {}, children: [] };
  const open: Open[] = [];
  const stop = (reason: string) => {
    failures.push(reason);
  };
  const parser = new SaxesParser({ position: false });
  parser.on('error', (error) => {
    stop(`it is not well-formed: ${error.message.replace(/^undefined:\d+:\d+: /, '')}`);
  });
  parser.on('doctype', () => {
    stop('a document type may not stand in it');
  });
  parser.on('processinginstruction', () => {
    stop('an instruction may not stand in it');
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (open.length === 0) {
      open.push(root);
      return;
    }
    if (++elements > MARKUP_LIMITS.elements) stop(`it has more than ${MARKUP_LIMITS.elements} elements`);
    if (open.length > MARKUP_LIMITS.depth)
      stop(`its elements are nested more than ${MARKUP_LIMITS.depth} deep`);
    if (!isMarkupElement(name)) stop(`“${name.slice(0, 60)}” may not stand in it`);
    for (const [key, value] of Object.entries(attributes as Record<string, string>))
      if (!isMarkupAttribute(name, key, value))
        stop(`“${key.slice(0, 60)}” of ${name} may not stand in it so`);
    open.push({ name, attributes: attributes as Record<string, string>, children: [] });
  });
  const takeText = (text: string) => {
    open.at(-1)?.children.push(text);
  };
  parser.on('text', takeText);
  parser.on('cdata', takeText);
  parser.on('closetag', () => {
    const done = open.pop();
    const around = open.at(-1);
    if (done && around) around.children.push(done);
  });
  parser.write(`<${AROUND}>${source}</${AROUND}>`).close();
  const [failure] = failures;
  return failure === undefined ? succeed(root.children) : fail(failure);
});

/** Why markup in a document is refused, or null. */
export function refuseMarkup(source: string): string | null {
  const read = readMarkup(source);
  return read.ok ? null : read.error;
}

/** Elements that stand within a line of text (HTML, section 15.3): their words belong to the words around them. */
const WITHIN_LINES = new Set(
  'a abbr b bdi cite code del dfn em i ins kbd label mark q s samp small span strong sub sup time u var wbr'.split(
    ' ',
  ),
);

const textOf = (nodes: readonly MarkupNode[]): string =>
  nodes
    .map((node) => {
      if (typeof node === 'string') return node;
      const inner = textOf(node.children);
      return WITHIN_LINES.has(node.name) ? inner : ` ${inner} `;
    })
    .join('');

/** The words in own markup, as they are read: what stands within a line is not torn from it. */
export const markupText = (nodes: readonly MarkupNode[]): string => textOf(nodes).replace(/\s+/g, ' ').trim();
