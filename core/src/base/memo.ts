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
