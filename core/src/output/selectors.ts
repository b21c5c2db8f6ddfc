import { pieceKind, slotsOf } from '../kinds/catalogue.ts';
import type { Owner } from '../kinds/placed.ts';
import type { SlotKind } from '../model/slot.ts';
import type { Level, LevelKey, State } from '../model/states.ts';
import { ownRoot, within, type CompileContext } from './context.ts';

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

/** The control around a slot in a state: pointing at anything else around it does not count. */
function aroundCondition(state: Exclude<State, 'rest' | 'scrolled'>): string {
  const own = state === 'open' ? LINK_OPEN : STATE_CONDITIONS[state];
  return own
    .split(',')
    .map((condition) =>
      condition.startsWith(':') && !condition.startsWith(':has')
        ? `a${condition} *,button${condition} *`
        : `${condition} *`,
    )
    .join();
}

function scrolledCondition(context: CompileContext, isRoot: boolean): string {
  return `:where([${context.names.attribute('scrolled')}]${isRoot ? '' : ' *'})`;
}

function stateCondition(context: CompileContext, kind: SlotKind, state: State, isRoot: boolean): string {
  if (state === 'rest') return '';
  if (state === 'scrolled') return scrolledCondition(context, isRoot);
  const own = STATE_CONDITIONS[state];
  const pinned = context.pinnable ? `,[data-pin~=${state}]` : '';
  if (kind.inside !== undefined)
    return `:where(${aroundCondition(state)}${pinned}${pinned && `${pinned} *`})`;
  if (kind.sign) {
    const around = state === 'current' ? '[aria-current]+*' : `${own},${own}>*`;
    return `:where(${around}${pinned}${pinned && `${pinned}>*`})`;
  }
  const condition = kind.opens && state === 'open' ? LINK_OPEN : own;
  return `:where(${condition}${pinned})`;
}

/** The way from the menu's list down to a link of one level, or to what stands inside it. The third holds all deeper ones. */
function levelCondition(menuClass: string, level: Level, inside: boolean): string {
  if (level === 3) return `:where(.${menuClass}>*>ul>*>ul *)`;
  return `:where(.${menuClass}>*${'>ul>*'.repeat(level - 1)}>${inside ? ':not(ul) ' : ''}*)`;
}

/** A slot's selector for one level and state. */
export function slotSelector(
  context: CompileContext,
  owner: Owner,
  slot: string,
  level: LevelKey,
  state: State,
): string {
  const kind = slotsOf(owner.kind)[slot] as SlotKind;
  if (owner.sort === 'piece') {
    const { rootSlot, backdropSlot } = pieceKind(owner.piece);
    if (slot === rootSlot) return ownRoot(context, owner.piece) + stateCondition(context, kind, state, true);
    if (slot === backdropSlot) return `${ownRoot(context, owner.piece)}::backdrop`;
  }
  const isNested = kind.levels.length > 1 && level !== 'all';
  const ofLevel = isNested
    ? levelCondition(
        context.names.slotClass(owner.id, 'list'),
        Number(level) as Level,
        kind.inside !== undefined,
      )
    : '';
  return within(
    context,
    `.${context.names.slotClass(owner.id, slot)}${ofLevel}${stateCondition(context, kind, state, false)}`,
  );
}

/** Conditions a state's rules stand under: hover only where a pointer can hover, so that nothing sticks after a tap. */
export function stateMedia(context: CompileContext, state: State): readonly string[] {
  return state === 'hover' && !context.pinnable ? ['@media (hover: hover)'] : [];
}
