import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { changeParts } from '../parts.ts';

type Raw = Record<string, unknown>;

/** The look of a box for all levels, said for the second: the third level's box was none of its own. */
function changeLook(look: unknown): unknown {
  if (!isRecord(look) || !isRecord(look['submenu']) || !isRecord(look['submenu']['all'])) return look;
  const { all, ...levels } = look['submenu'];
  const second = isRecord(levels['2']) ? levels['2'] : {};
  return { ...look, submenu: { ...levels, '2': joinStates(all, second) } };
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

/** The gap of an icon link lay between its icon and its label, and is a distance of the icon now. */
function changeShortcut(look: unknown): unknown {
  if (!isRecord(look) || !isRecord(look['shortcut'])) return look;
  const taken: Raw = {};
  const shortcut = eachBand(look['shortcut'], ({ gap, ...values }, place) => {
    if (gap !== undefined) taken[place.join(' ')] = gap;
    return values;
  });
  const symbol = isRecord(look['symbol']) ? structuredClone(look['symbol']) : {};
  for (const [place, gap] of Object.entries(taken)) {
    let at: Raw = symbol;
    for (const key of place.split(' ')) at = (at[key] ??= {}) as Raw;
    at['iconGap'] = gap;
  }
  return Object.keys(taken).length === 0 ? look : { ...look, shortcut, symbol };
}

/** The values of a slot's look changed, band by band; places are level, state and band. */
function eachBand(slot: Raw, change: (values: Raw, place: readonly string[]) => Raw): Raw {
  const walk = (value: unknown, place: readonly string[]): unknown => {
    if (!isRecord(value)) return value;
    if (place.length === 3) return change(value, place);
    return Object.fromEntries(
      Object.entries(value).map(([key, inner]) => [key, walk(inner, [...place, key])]),
    );
  };
  return walk(slot, []) as Raw;
}

function changePart(part: Raw): Raw {
  switch (part['kind']) {
    case 'menu':
      return { ...part, actions: 'none', look: changeLook(part['look']) };
    case 'shortcut':
      return { ...part, look: changeShortcut(part['look']) };
    case 'button':
      return 'label' in part ? { ...part, icon: null } : part;
    default:
      return part;
  }
}

/** Submenus of every level have boxes of their own, placements calls to action, calls to action an icon, and icons a distance to their label. */
export const SUBMENUS_STEP: Migration = {
  from: 4,
  migrate: (document) => ({ ...document, pieces: changeParts(document['pieces'], changePart) }),
};
