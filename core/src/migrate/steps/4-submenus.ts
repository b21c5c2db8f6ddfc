import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';

type Raw = Record<string, unknown>;

/** The look of a box for all levels, said for the second: the third level's box was none of its own. */
function changeLook(look: unknown): unknown {
  if (!isRecord(look) || !isRecord(look['submenu']) || !isRecord(look['submenu']['all'])) return look;
  const { all, ...levels } = look['submenu'];
  const second = isRecord(levels['2']) ? levels['2'] : {};
  return { ...look, submenu: { ...levels, '2': joinStates(all as Raw, second) } };
}

/** Two looks of one level in one; the second one's values go before the first one's. */
function joinStates(first: Raw, second: Raw): Raw {
  const joined: Raw = { ...first };
  for (const [state, bands] of Object.entries(second)) {
    const known = isRecord(first[state]) ? first[state] : {};
    const own = isRecord(bands) ? bands : {};
    joined[state] = Object.fromEntries(
      [...new Set([...Object.keys(known), ...Object.keys(own)])].map((band) => [
        band,
        { ...(known[band] as Raw | undefined), ...(own[band] as Raw | undefined) },
      ]),
    );
  }
  return joined;
}

/** Every menu placement in a value, however deep, with its look changed. */
function changeMenus(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(changeMenus);
  if (!isRecord(value)) return value;
  const changed = Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, changeMenus(inner)]));
  return changed['kind'] === 'menu' ? { ...changed, look: changeLook(changed['look']) } : changed;
}

/** Submenus of every level have boxes of their own, each with its own look. */
export const SUBMENUS_STEP: Migration = {
  from: 4,
  migrate: (document) => ({ ...document, pieces: changeMenus(document['pieces']) }),
};
