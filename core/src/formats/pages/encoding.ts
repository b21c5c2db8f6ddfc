/** Whether bytes are well-formed UTF-8 (Unicode Standard, table 3-7). */
export function isUtf8(bytes: Uint8Array): boolean {
  for (let at = 0; at < bytes.length;) {
    const lead = bytes[at] ?? 0;
    if (lead < 0x80) {
      at++;
      continue;
    }
    const more =
      lead >= 0xc2 && lead <= 0xdf
        ? 1
        : lead >= 0xe0 && lead <= 0xef
          ? 2
          : lead >= 0xf0 && lead <= 0xf4
            ? 3
            : 0;
    if (more === 0) return false;
    const second = bytes[at + 1] ?? 0;
    const from = lead === 0xe0 ? 0xa0 : lead === 0xf0 ? 0x90 : 0x80;
    const to = lead === 0xed ? 0x9f : lead === 0xf4 ? 0x8f : 0xbf;
    if (second < from || second > to) return false;
    for (let next = 2; next <= more; next++) if (((bytes[at + next] ?? 0) & 0xc0) !== 0x80) return false;
    at += more + 1;
  }
  return true;
}

/** Labels a text decoder knows everywhere (Encoding Standard); anything else is not followed. */
const KNOWN =
  /^(?:utf-8|utf8|windows-125[0-8]|iso-8859-(?:[1-9]|1[0-6])|us-ascii|ascii|latin1|koi8-[ru]|shift_jis|euc-jp|euc-kr|gbk|gb2312|gb18030|big5|utf-16le|utf-16be|utf-16)$/i;

/**
 * The label of the encoding some text is in: what a byte order mark says, else UTF-8 where the bytes are, else what the
 * text declares of itself, else Windows-1252 as browsers take it. `declared` is what a server said.
 */
export function sniffEncoding(bytes: Uint8Array, declared?: string): string {
  if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) return 'utf-8';
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const head = String.fromCharCode(...bytes.subarray(0, 1024));
  if (/^<\0\?\0|^<\0[a-z]\0/i.test(head)) return 'utf-16le';
  if (/^\0<\0\?|^\0<\0[a-z]/i.test(head)) return 'utf-16be';
  if (isUtf8(bytes)) return 'utf-8';
  const own =
    /^\s*<\?xml[^>]*encoding\s*=\s*["']([\w-]+)/i.exec(head)?.[1] ??
    /<meta[^>]+charset\s*=\s*["']?\s*([\w-]+)/i.exec(head)?.[1];
  const label = [declared, own].find(
    (name) => name !== undefined && KNOWN.test(name) && !/^utf-?(?:8|16)/i.test(name),
  );
  return label?.toLowerCase() ?? 'windows-1252';
}
