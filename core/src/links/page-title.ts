const decode = (text: string) => {
  if (!text.includes('%')) return text;
  try {
    return decodeURIComponent(text);
  } catch {
    // A percent sign that begins nothing stands for itself.
    return text;
  }
};

/** A title for a page of which only the path is known: its last word. */
export function titleOf(path: string): string {
  const plain = (/[?#]/.test(path) ? (path.split(/[?#]/)[0] ?? '') : path).replace(/\/(?:index\.\w+)?$/, '');
  const last = plain.slice(plain.lastIndexOf('/') + 1);
  const words = decode(last)
    .replace(/\.(?:html?|php|aspx?|md)$/i, '')
    .replace(/[-_+]+/g, ' ')
    .trim();
  return words === '' ? 'Home' : (words[0] ?? '').toUpperCase() + words.slice(1);
}
