import { idsOf, uniqueName, type BroughtPage, type Edit, type ForeignChange, type Site } from '@hamaca/core';

type Without<Change, Key extends PropertyKey> = Change extends unknown ? Omit<Change, Key> : never;

/** A change that has no id yet. */
export type NewChange = Without<ForeignChange, 'id'>;

const setChanges = (page: BroughtPage, changes: readonly ForeignChange[]): Edit => ({
  name: 'set-foreign-page',
  args: { id: page.id, fields: { changes } },
});

/** Whether two changes say the same of the same elements, so that the newer takes the place of the older. */
function isOfSame(a: NewChange, b: NewChange): boolean {
  const nameOf = (set: string) => set.slice(0, set.indexOf(':')).trim();
  if ('set' in a && 'set' in b)
    return a.at === b.at && a.state === b.state && a.media === b.media && nameOf(a.set) === nameOf(b.set);
  return 'sticking' in a && 'sticking' in b && a.at === b.at;
}

/** Makes one more change of a page; one of the same takes the place of the older. */
export function addChange(site: Site, page: BroughtPage, change: NewChange): Edit {
  const id = uniqueName('change', new Set([...idsOf(site), ...page.changes.map((one) => one.id)]));
  const others = page.changes.filter((one) => !isOfSame(one, change));
  return setChanges(page, [...others, { id, ...change } as ForeignChange]);
}

export const removeChange = (page: BroughtPage, id: string): Edit =>
  setChanges(
    page,
    page.changes.filter((change) => change.id !== id),
  );

/** Takes another way out of what prevents a header from staying. */
export const chooseWay = (page: BroughtPage, id: string, kind: string, way: string): Edit =>
  setChanges(
    page,
    page.changes.map((change) => {
      if (change.id !== id || !('sticking' in change)) return change;
      const others = change.ways.split('\n').filter((line) => line !== '' && !line.startsWith(`${kind}: `));
      return { ...change, ways: [...others, `${kind}: ${way}`].join('\n') };
    }),
  );

/** What a change is, in words. */
export function changeInWords(change: ForeignChange): string {
  if ('set' in change)
    return `${change.at}${change.state === 'rest' ? '' : `, ${change.state}`}: ${change.set}${
      change.media === '' ? '' : ` · only ${change.media.split('\n').join(' and ')}`
    }`;
  if ('from' in change) {
    const places = change.only === '' ? 'everywhere' : `in ${change.only.split('\n').length} places`;
    return `${change.from} becomes ${change.to} ${change.within === '' ? places : `in ${change.within}`}`;
  }
  const how = {
    'on top': 'stays on top',
    hides: 'hides on the way down',
    appears: `appears after ${change.after} px`,
  };
  return `${change.at} ${how[change.sticking]}`;
}

/** A selector without the states that it ends in, of the pseudo-element that is meant. */
export function atRest(selector: string, pseudo: string | null): string {
  const plain = selector.replaceAll(/:(?:hover|focus(?:-visible|-within)?|active)\b/g, '');
  const isOfPseudo = /::?(?:before|after|marker|placeholder|first-line|first-letter)\b/.test(plain);
  return pseudo === null || isOfPseudo ? plain : `${plain}::${pseudo}`;
}
