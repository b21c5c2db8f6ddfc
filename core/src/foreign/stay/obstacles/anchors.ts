import { declare, type FindObstacles } from '../obstacle.ts';

/** Links that lead to places within the page, which would lie hidden beneath the header. */
export const anchors: FindObstacles = ({ page, header, height, reader }) => {
  const ids = new Set(page.elements.map(({ attribs }) => attribs['id']));
  const link = page.elements.find(
    ({ name, attribs: { href } }) =>
      name === 'a' && href?.startsWith('#') === true && href.length > 1 && ids.has(decoded(href.slice(1))),
  );
  const html = page.elements.find(({ name }) => name === 'html');
  if (!link || !html || header === html) return [];
  if (reader.said(html, 'scroll-padding-top')) return [];
  const text = `Links to places within the page (${link.attribs['href'] ?? ''}) would lead beneath the header`;
  return [
    {
      kind: 'anchors',
      element: html,
      said: null,
      text: height === null ? `${text}; how high it is only layout can tell, so say it (--height)` : text,
      ways:
        height === null
          ? []
          : [
              {
                id: 'offset',
                text: `The page stops ${height} px earlier at such places`,
                rules: [{ element: html, declarations: [declare('scroll-padding-top', `${height}px`)] }],
              },
            ],
    },
  ];
};

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    // It is the id just so.
    return text;
  }
}
