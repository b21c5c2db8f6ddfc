import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { changeParts, eachOf, hasValue, withValue } from '../parts.ts';

type Raw = Record<string, unknown>;

/** Rings whose labels are in sight had room at the sides of their links that no look said. */
function changeRing(ring: Raw): Raw {
  const look = isRecord(ring['look']) ? ring['look'] : {};
  if (!JSON.stringify(look['ring'] ?? {}).includes('"ringLabels":"in sight"')) return ring;
  const way = ['ring-link', 'all', 'rest', 'all', 'paddingInline'];
  return hasValue(look, way) ? ring : { ...ring, look: withValue(look, way, ROOM) };
}

/** That room in px. */
const ROOM = 12;

function changePart(part: Raw): Raw {
  switch (part['kind']) {
    case 'ring':
      return changeRing(part);
    case 'text':
      return { ...part, yearKept: false };
    default:
      return part;
  }
}

function changePiece(piece: Raw): Raw {
  if (piece['kind'] !== 'footer') return piece;
  const { rows, ...footer } = piece;
  return { ...footer, contained: null, sections: rows };
}

/** A footer's sections may be columns too, the year of a text may keep itself right, and looks say all padding of rings. */
export const COLUMNS_STEP: Migration = {
  from: 6,
  migrate: (document) => ({
    ...document,
    pieces: eachOf(changeParts(document['pieces'], changePart), changePiece),
  }),
};
