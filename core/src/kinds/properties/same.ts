/** Keywords that CSS calls the same. */
export const same = <const Keyword extends string>(...keywords: readonly Keyword[]) =>
  Object.fromEntries(keywords.map((keyword) => [keyword, keyword])) as unknown as Readonly<
    Record<Keyword, string>
  >;
