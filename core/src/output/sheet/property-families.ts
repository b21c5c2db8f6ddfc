/** What of a name tells nothing of what it sets, and what is another word for the same. */
const PHYSICAL: Readonly<Record<string, string>> = {
  top: 'inset',
  right: 'inset',
  bottom: 'inset',
  left: 'inset',
  width: 'size',
  height: 'size',
  inline: 'size',
  block: 'size',
  grid: 'grid',
  row: 'gap',
  column: 'gap',
  place: 'align',
  justify: 'align',
  line: 'font',
};

/** Properties whose names begin as those of another family do. */
const ALONE: Readonly<Record<string, string>> = {
  'flex-direction': 'flex-flow',
  'flex-flow': 'flex-flow',
  'flex-wrap': 'flex-flow',
};

/**
 * The family of a property: those of two families never set the same. Custom properties are one each; `all` is of every
 * family, which null says.
 */
export function familyOf(property: string): string | null {
  if (property === 'all') return null;
  if (property.startsWith('--')) return property;
  const alone = ALONE[property];
  if (alone !== undefined) return alone;
  const name = property.replace(/^-[a-z]+-/, '');
  const end = name.indexOf('-');
  const first = end === -1 ? name : name.slice(0, end);
  // Lengths and limits of a box: which axis `width` is depends on the way text runs.
  if (first === 'min' || first === 'max') return `${first}-size`;
  return PHYSICAL[first] ?? first;
}
