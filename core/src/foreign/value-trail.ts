import type { Element } from 'domhandler';
import { Cascade, type Candidate } from './cascade/cascade.ts';
import { situationOf, type ForeignState } from './cascade/situation.ts';
import type { Viewport } from './conditions/media.ts';
import type { ForeignPage } from './page.ts';
import { conditionText, fullSelector } from './rule-text.ts';
import { lineage } from './tree.ts';

/** Where a custom property that a value names is written. */
export interface TrailStep {
  readonly name: string;
  /** As it is written there. */
  readonly value: string;
  readonly file: string;
  readonly line: number;
  /** Null for a style attribute. */
  readonly selector: string | null;
  readonly conditions: readonly string[];
}

const VARIABLE = /var\(\s*(--[^\s,)]+)/gi;

/** Most steps that are told of one value. */
const MOST = 20;

const stepOf = (name: string, { declaration, rule }: Candidate): TrailStep => ({
  name,
  value: declaration.value,
  file: declaration.place.file,
  line: declaration.place.line,
  selector: rule ? fullSelector(rule) : null,
  conditions: rule ? rule.conditions.map(conditionText) : [],
});

/** The custom properties that the value of a longhand names, and those that they name, each with where it is written. */
export function valueTrail(
  page: ForeignPage,
  element: Element,
  longhand: string,
  state: ForeignState,
  viewport: Viewport,
  pseudo: string | null = null,
): readonly TrailStep[] {
  const cascade = new Cascade(page, situationOf(page, element, state, viewport));
  const first = cascade
    .values(element, pseudo)
    .get(longhand)
    ?.find(({ candidate }) => candidate.certain);
  const steps: TrailStep[] = [];
  const seen = new Set<string>();
  const follow = (value: string): void => {
    for (const [, name = ''] of value.matchAll(VARIABLE)) {
      if (seen.has(name) || steps.length >= MOST) continue;
      seen.add(name);
      const own = pseudo === null ? [] : [cascade.candidates(element, pseudo)];
      for (const candidates of [
        ...own,
        ...[...lineage(element)].map((around) => cascade.candidates(around)),
      ]) {
        const said = candidates.find(({ declaration }) => declaration.property === name);
        if (!said || /^(?:inherit|unset)$/i.test(said.declaration.value)) continue;
        steps.push(stepOf(name, said));
        follow(said.declaration.value);
        break;
      }
    }
  };
  if (first) follow(first.candidate.declaration.value);
  return steps;
}
