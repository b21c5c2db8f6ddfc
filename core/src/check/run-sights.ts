import type { Site } from '../kinds/site.ts';
import { slotsOf } from '../kinds/catalogue.ts';
import { hasSlot, ownersOf } from '../kinds/placed.ts';
import type { Sight, SightKind } from './sights/sight.ts';
import type { Finding, SightCheck } from './check.ts';
import { CHECKS } from './checks.ts';
import { weighed } from './sights/weighed.ts';
import { worldOf, NOTHING_FETCHED } from './world.ts';

const SIGHT_CHECKS = CHECKS.filter((check): check is SightCheck => check.of === 'sight');

/** Kinds of which less is worse. */
const LESS_IS_WORSE: ReadonlySet<SightKind> = new Set(['small', 'faint']);

/** Whether one sight is worse than another of its kind. */
const isWorse = (one: Sight, other: Sight): boolean =>
  LESS_IS_WORSE.has(one.kind) ? one.amount < other.amount : one.amount > other.amount;

/** The worst sight of each thing: what is wrong at many widths is told once. */
function worstOf(sights: readonly Sight[]): readonly Sight[] {
  const worst = new Map<string, Sight>();
  for (const sight of sights) {
    const key = `${sight.owner} ${sight.slot} ${sight.words}`;
    const before = worst.get(key);
    if (!before || isWorse(sight, before)) worst.set(key, sight);
  }
  return [...worst.values()];
}

/**
 * What is to be said about what a browser drew of a site, check by check. What `found` already says of the same slot by
 * calculation is not said again, and what is in the site no more is left out.
 */
export function runSightChecks(
  site: Site,
  sights: readonly Sight[],
  found: readonly Finding[],
): readonly Finding[] {
  const owners = ownersOf(site);
  const world = worldOf(site, NOTHING_FETCHED);
  const said = new Set(
    found.map(({ check, at }) => `${check} ${at?.cell?.owner ?? ''} ${at?.cell?.slot ?? ''}`),
  );
  const there = weighed(sights).filter(({ owner: id, slot }) => {
    const owner = owners.get(id);
    return owner !== undefined && Object.hasOwn(slotsOf(owner.kind), slot) && hasSlot(site, owner, slot);
  });
  return SIGHT_CHECKS.flatMap(({ id, sees, yieldsTo = [], check }) =>
    worstOf(there.filter(({ kind }) => kind === sees))
      .filter(({ owner, slot }) => !yieldsTo.some((other) => said.has(`${other} ${owner} ${slot}`)))
      .flatMap((sight): Finding[] => {
        const objection = check(sight, world);
        const path = `${owners.get(sight.owner)?.path ?? ''}/look/${sight.slot}#${sight.words}`;
        return objection ? [{ check: id, menu: null, item: null, path, ...objection }] : [];
      }),
  );
}
