import { BOX_STATES, type SlotKind } from '../../model/slot.ts';
import type { PartBase } from '../part-base.ts';

/** An upright line between neighbours. */
export interface Rule extends PartBase {
  readonly kind: 'rule';
}

export const RULE_SLOTS = {
  rule: {
    label: 'Rule',
    levels: [],
    states: BOX_STATES,
    text: 'none',
    properties: ['fill', 'thickness', 'drawnHeight', 'marginInline', 'opacity'],
    defaults: { fill: { role: 'line' }, drawnHeight: 24, thickness: 1 },
  },
} as const satisfies Record<string, SlotKind>;

export function createRule(id: string): Rule {
  return { kind: 'rule', id, look: {} };
}
