import type { FindObstacles } from '../obstacle.ts';

/** A header that stays from the beginning cannot come only after a distance. */
export const staysAlready: FindObstacles = ({ target, comesLater, reader, selectorOf }) => {
  const position = reader.value(target, 'position');
  if (!comesLater || !/^(?:fixed|sticky)$/.test(position)) return [];
  return [
    {
      kind: 'stays already',
      element: target,
      said: reader.said(target, 'position'),
      text: `${selectorOf(target)} stays from the beginning (position: ${position}), so it cannot come only after a distance`,
      ways: [],
    },
  ];
};
