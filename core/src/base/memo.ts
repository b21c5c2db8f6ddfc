/** Remembers one function's answers per object identity; documents never change in place, so this is safe. */
export function memoise<Key extends object, Value>(compute: (key: Key) => Value): (key: Key) => Value {
  const known = new WeakMap<Key, Value>();
  return (key) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = compute(key);
    known.set(key, value);
    return value;
  };
}

/** Remembers what is made when it is first asked for. */
export function lazy<Value>(make: () => Value): () => Value {
  let made: { readonly value: Value } | undefined;
  return () => (made ??= { value: make() }).value;
}

/** How many texts a function remembers before it starts over, unless it says so itself. */
const MOST_TEXTS = 2000;

/** Remembers a pure function's answers by text; starts over where more than `most` were asked. */
export function memoiseText<Value>(
  compute: (text: string) => Value,
  most: number = MOST_TEXTS,
): (text: string) => Value {
  const known = new Map<string, Value>();
  return (text) => {
    if (known.has(text)) return known.get(text) as Value;
    if (known.size >= most) known.clear();
    const value = compute(text);
    known.set(text, value);
    return value;
  };
}
