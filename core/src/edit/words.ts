import { refuse, succeed, type Result } from '../base/result.ts';
import { ownersOf, type Owner } from '../kinds/placed.ts';
import type { Site } from '../kinds/site.ts';
import { giveWords, recordedWord, sharesClass, wordsOf } from '../kinds/words.ts';
import { applyPatch, type PatchOperation } from './json-patch.ts';
import { ownerName } from '../resolve/origin.ts';
import type { RanEdit } from './draft.ts';

/** Whether an edit left every word as it was, and brought nothing that has none yet. */
function isSettled(before: ReadonlyMap<string, Owner>, after: ReadonlyMap<string, Owner>): boolean {
  for (const [id, owner] of after) {
    const earlier = before.get(id);
    if (!earlier || recordedWord(owner) === undefined || recordedWord(earlier) !== recordedWord(owner))
      return false;
  }
  return true;
}

/** A thing whose word was changed to one that gives a class twice; null where there is none. */
function clashing(site: Site, before: ReadonlyMap<string, Owner>): readonly [Owner, Owner] | null {
  for (const owner of ownersOf(site).values()) {
    const word = recordedWord(owner);
    const earlier = before.get(owner.id);
    if (word === undefined || !earlier || recordedWord(earlier) === word) continue;
    const other = sharesClass(site, owner, word);
    if (other !== null) return [owner, other];
  }
  return null;
}

/** The words of a site after an edit: what was there keeps its own, what is new comes last. */
function wordsAfter(before: Site, after: Site): ReadonlyMap<string, string> {
  const earlier = ownersOf(before);
  const words = wordsOf(before);
  const owners = [...ownersOf(after).values()];
  const known = owners.filter(({ id }) => earlier.has(id));
  // What never had a word is called by the name it had before this edit.
  const named = known.map((owner): Owner => {
    const had = earlier.get(owner.id);
    const word =
      recordedWord(owner) ?? (had && recordedWord(had) === undefined ? words.get(owner.id) : undefined);
    return { ...owner, thing: { ...owner.thing, ...(word === undefined ? {} : { word }) } };
  });
  return giveWords(after, [...named, ...owners.filter(({ id }) => !earlier.has(id))]);
}

/** What records words that things do not have yet. */
const wordPatch = (site: Site, words: ReadonlyMap<string, string>): PatchOperation[] =>
  [...ownersOf(site).values()].flatMap((owner): PatchOperation[] => {
    const word = words.get(owner.id);
    if (word === undefined || word === recordedWord(owner)) return [];
    return [{ op: 'add', path: `${owner.path}/word`, value: word }];
  });

/** Records the words of what an edit made, in the same edit; refuses one that gives a class twice. */
export function withWords(before: Site, ran: RanEdit): Result<RanEdit> {
  const earlier = ownersOf(before);
  const owners = ownersOf(ran.site);
  if (earlier === owners || isSettled(earlier, owners)) return succeed(ran);
  const clash = clashing(ran.site, earlier);
  if (clash) {
    const [owner, other] = clash;
    const name = ownerName(other);
    return refuse('word', `${owner.path}/word`, `“${name}” has class names that would begin with this too`);
  }
  const patch = wordPatch(ran.site, wordsAfter(before, ran.site));
  const applied = applyPatch(ran.site, patch);
  if (!applied.ok) return applied;
  return succeed({
    site: applied.value.document,
    patch: [...ran.patch, ...patch],
    inverse: [...applied.value.inverse, ...ran.inverse],
  });
}

/** A site that was just made, with the words of everything in it recorded. */
export function worded(site: Site): Site {
  const applied = applyPatch(site, wordPatch(site, wordsOf(site)));
  if (!applied.ok) throw new Error(applied.error[0]?.message);
  return applied.value.document;
}
