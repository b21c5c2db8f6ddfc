/**
 * The rank of every cascade layer by its full name: of normal declarations the higher one wins (CSS Cascading and Inheritance 5, 6.4.3).
 * Layers stand in the order in which they were first named; what lies in a layer itself comes after the layers within it.
 */
export function layerRanks(names: readonly string[]): ReadonlyMap<string, number> {
  const within = new Map<string, string[]>();
  for (const name of names) {
    const dot = name.lastIndexOf('.');
    const outer = dot === -1 ? '' : name.slice(0, dot);
    const inner = within.get(outer) ?? [];
    inner.push(name);
    within.set(outer, inner);
  }
  const ranks = new Map<string, number>();
  const visit = (name: string) => {
    for (const inner of within.get(name) ?? []) visit(inner);
    if (name !== '') ranks.set(name, ranks.size);
  };
  visit('');
  return ranks;
}
