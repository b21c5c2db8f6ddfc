import type { Migration } from '../migration.ts';
import { changeParts } from '../parts.ts';

type Raw = Record<string, unknown>;

function change(thing: Raw): Raw {
  switch (thing['kind']) {
    case 'footer': {
      const { rows, ...footer } = thing;
      return { ...footer, contained: null, sections: rows };
    }
    case 'text':
      return { ...thing, yearKept: false };
    default:
      return thing;
  }
}

/** A footer's sections may be columns too, and the year of a text may keep itself right. */
export const COLUMNS_STEP: Migration = {
  from: 6,
  migrate: (document) => ({ ...document, pieces: changeParts(document['pieces'], change) }),
};
