import { SaxesParser, type SaxesAttributePlain } from 'saxes';

/** Deeper XML than any of our formats has is refused. */
const DEEPEST = 200;

/** What a reader of XML is told, element by element; names are without their prefix. */
export interface XmlHandlers {
  readonly open: (name: string, attributes: Readonly<Record<string, string>>) => void;
  readonly text: (text: string) => void;
  readonly close: (name: string) => void;
}

const localName = (name: string) => name.slice(name.indexOf(':') + 1);

/**
 * Reads XML as a stream (XML 1.0). Document types are not followed: an entity that they define is an error, so nothing
 * can grow or be loaded. Answers why reading stopped, with the line, or null.
 */
export function readXml(
  text: string,
  { open, text: say, close }: XmlHandlers,
  onProgress: (share: number) => void = () => undefined,
): string | null {
  const parser = new SaxesParser({ position: true });
  const failures: string[] = [];
  let depth = 0;
  const stop = (reason: string) => {
    failures.push(reason);
  };
  const goesOn = () => failures.length === 0;
  parser.on('error', (error) => {
    stop(error.message.replace(/^(\d+):(\d+): /, 'line $1: '));
  });
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY/i.test(doctype)) stop('the document defines entities, which are not read');
  });
  parser.on('opentag', ({ name, attributes }) => {
    depth++;
    if (depth > DEEPEST) stop(`elements are nested more than ${DEEPEST} deep`);
    if (goesOn()) open(localName(name), attributes as Record<string, SaxesAttributePlain & string>);
  });
  parser.on('text', (chunk) => {
    if (goesOn()) say(chunk);
  });
  parser.on('cdata', (chunk) => {
    if (goesOn()) say(chunk);
  });
  parser.on('closetag', ({ name }) => {
    depth--;
    if (goesOn()) close(localName(name));
  });
  // In pieces, so that reading stops soon after the first error.
  for (let at = 0; at < text.length && goesOn(); at += PIECE) {
    parser.write(text.slice(at, at + PIECE));
    onProgress(Math.min(1, (at + PIECE) / text.length));
  }
  if (goesOn()) parser.close();
  return failures[0] ?? null;
}

const PIECE = 1 << 16;
