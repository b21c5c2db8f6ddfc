/** The path that an address leads to from a file; null for what lies elsewhere. */
export function pathFrom(address: string, from: string): string | null {
  const plain = address.replace(/[?#].*$/s, '').trim();
  if (plain === '' || /^(?:[a-z][a-z\d+.-]*:|\/\/)/i.test(plain)) return null;
  let decoded = plain;
  try {
    decoded = decodeURIComponent(plain);
  } catch {
    // It may be the file's name just so.
  }
  const start = plain.startsWith('/') ? [] : from.split('/').slice(0, -1);
  const path: string[] = [...start];
  for (const part of decoded.split('/')) {
    if (part === '..') path.pop();
    else if (part !== '.' && part !== '') path.push(part);
  }
  return path.join('/');
}
