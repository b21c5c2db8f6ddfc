import { slotsOf, type OwnerKind } from '../kinds/catalogue.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Level, LevelKey, State } from '../model/states.ts';
import { within, type CompileContext } from './context.ts';

/**
 * State conditions, all written inside `:where()` so that they add no weight: which one wins is decided by order
 * alone, the same order `resolve` uses.
 */
const STATE_CONDITIONS: Readonly<Record<Exclude<State, 'rest' | 'scrolled'>, string>> = {
  current: '[aria-current]',
  open: '[aria-expanded=true]',
  hover: ':hover',
  focus: ':focus-visible',
  pressed: ':active',
};

/** Where a link opens something, the sign stands on the button behind it or on itself. */
const LINK_OPEN = '[aria-expanded=true],:has(+[aria-expanded=true])';

function stateCondition(context: CompileContext, slot: string, kind: SlotKind, state: State): string {
  if (state === 'rest') return '';
  if (state === 'scrolled')
    return `:where([${context.names.scrolledAttribute}]${slot === 'bar' ? '' : ' *'})`;
  const own = STATE_CONDITIONS[state];
  const around = kind.inside === undefined ? null : state === 'open' ? LINK_OPEN : own;
  if (around !== null)
    return `:where(${around
      .split(',')
      .map((condition) => `${condition} *`)
      .join()}${context.pinnable ? `,[data-pin~=${state}],[data-pin~=${state}] *` : ''})`;
  const pin = context.pinnable ? `,[data-pin~=${state}]` : '';
  if (slot === 'marker') {
    const around = state === 'current' ? '[aria-current]+*' : `${own},${own}>*`;
    return `:where(${around}${pin}${pin ? `${pin}>*` : ''})`;
  }
  const condition = slot === 'link' && state === 'open' ? LINK_OPEN : own;
  return `:where(${condition}${pin})`;
}

/** The way from the menu's list down to a link of one level, or to what stands inside it. The third holds all deeper ones. */
function levelCondition(menuClass: string, level: Level, inside: boolean): string {
  if (level === 3) return `:where(.${menuClass}>*>ul>*>ul *)`;
  return `:where(.${menuClass}>*${'>ul>*'.repeat(level - 1)}>${inside ? ':not(ul) ' : ''}*)`;
}

/** A slot's selector for one level and state. */
export function slotSelector(
  context: CompileContext,
  owner: { kind: OwnerKind; id: string },
  slot: string,
  level: LevelKey,
  state: State,
): string {
  const kind = slotsOf(owner.kind)[slot] as SlotKind;
  const condition = stateCondition(context, slot, kind, state);
  if (owner.kind === 'header') return context.root + condition;
  if (slot === 'scrim') return within(context, `.${context.names.slotClass(owner.id, 'panel')}::backdrop`);
  const isNested = kind.levels.length > 1 && level !== 'all';
  const ofLevel = isNested
    ? levelCondition(
        context.names.slotClass(owner.id, 'list'),
        Number(level) as Level,
        kind.inside !== undefined,
      )
    : '';
  return within(context, `.${context.names.slotClass(owner.id, slot)}${ofLevel}${condition}`);
}

/** Conditions a state's rules stand under: hover only where a pointer can hover, so that nothing sticks after a tap. */
export function stateMedia(context: CompileContext, state: State): readonly string[] {
  return state === 'hover' && !context.pinnable ? ['@media (hover: hover)'] : [];
}
