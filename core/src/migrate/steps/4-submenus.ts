import { isRecord } from '../../base/json.ts';
import type { Migration } from '../migration.ts';
import { changeParts, withValue } from '../parts.ts';

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
  const joined = new Map(Object.entries(first));
  for (const [state, bands] of Object.entries(second)) {
    const known = joined.get(state);
    const cells = new Map(Object.entries(isRecord(known) ? known : {}));
    for (const [band, values] of Object.entries(isRecord(bands) ? bands : {}))
      cells.set(band, { ...(cells.get(band) as Raw | undefined), ...(values as Raw) });
    joined.set(state, Object.fromEntries(cells));
  }
  return Object.fromEntries(joined);
}

/** The gap of an icon link lay between its icon and its label, and is a distance of the icon now. */
function changeShortcut(look: unknown): unknown {
  if (!isRecord(look) || !isRecord(look['shortcut'])) return look;
  const taken: [place: readonly string[], gap: unknown][] = [];
  const shortcut = eachBand(look['shortcut'], ({ gap, ...values }, place) => {
    if (gap !== undefined) taken.push([place, gap]);
    return values;
  });
  let symbol = isRecord(look['symbol']) ? look['symbol'] : {};
  for (const [place, gap] of taken) symbol = withValue(symbol, [...place, 'iconGap'], gap);
  return taken.length === 0 ? look : { ...look, shortcut, symbol };
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
