/** Fetches something once for each key and remembers it; what failed is asked for again by the next who needs it. */
export function fetchOnce<Answer>(
  fetchIt: (key: string) => Promise<Answer>,
): (key: string) => Promise<Answer> {
  const known = new Map<string, Promise<Answer>>();
  return (key) => {
    const found = known.get(key);
    if (found) return found;
    const asked = fetchIt(key);
    known.set(key, asked);
    asked.catch(() => {
      known.delete(key);
    });
    return asked;
  };
}
