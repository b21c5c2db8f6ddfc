import { partKind, pieceKind, slotsOf } from '../kinds/catalogue.ts';
import { levelsOf, type Owner } from '../kinds/placed.ts';
import type { Part, Piece } from '../kinds/site.ts';
import type { SlotKind } from '../model/slot.ts';
import { itemOf, levelOf, type Level, type LevelKey, type State } from '../model/states.ts';
import { levelByClass } from './levels.ts';
import { ownRoot, within, type CompileContext } from './context.ts';
import { bandsWhere } from './shown.ts';

/**
 * Which of two values wins is decided by their order alone, the same that `resolve` uses. So all states of a slot weigh the
 * same: as much as one class where each can be said so, and nothing, inside `:where()`, where one of them cannot.
 */
const STATE_CONDITIONS: Readonly<Record<ControlState, string>> = {
  current: '[aria-current]',
  open: '[aria-expanded=true]',
  hover: ':hover',
  focus: ':focus-visible',
  pressed: ':active',
};

/** The states a control tells: all but those that are always there or come from the page. */
type ControlState = Exclude<State, 'rest' | 'scrolled'>;

/** How a box around a link and the button of its sign tells the states it does not have itself. */
const STATE_WITHIN: { readonly [S in ControlState]?: string } = {
  current: ':has(>[aria-current])',
  open: ':has(>[aria-expanded=true])',
  focus: ':has(>:where(:first-child):focus-visible)',
};

/** The control around a slot in a state: pointing at anything else around it does not count. */
function aroundConditions(state: ControlState, box: string | null): string[] {
  const own = STATE_CONDITIONS[state];
  if (!own.startsWith(':'))
    return [`${own} *`, ...(box !== null && state === 'open' ? [`:has(+${own}) *`] : [])];
  return ['a', 'button', ...(box !== null && STATE_WITHIN[state] === undefined ? [box] : [])].map(
    (control) => `${control}${own} *`,
  );
}

/** Where the sign of a parent stands to what tells its state: it itself, the control or box around it, the link before it. */
const SIGN_PLACES: Readonly<Record<ControlState, readonly string[]>> = {
  current: ['>*', '+*'],
  open: ['', '>*'],
  hover: ['>*'],
  focus: ['', '>*', '+*'],
  pressed: ['>*'],
};

const signConditions = (state: ControlState, box: string | null): string[] =>
  SIGN_PLACES[state]
    .filter((place) => place !== '+*' || box !== null)
    .map((place) => STATE_CONDITIONS[state] + place);

/** What frozen states match besides: the slot itself, and what stands in it where its look follows. */
function pinConditions({ inside }: SlotKind, state: ControlState): string[] {
  const pin = `[data-pin~=${state}]`;
  return inside === undefined ? [pin] : [pin, `${pin} *`];
}

/** The page while a panel is open; null where that is not in the output. */
export function openedPage({ pieces, names }: CompileContext, panel: string): string | null {
  const found = pieces.find(({ id }) => id === panel);
  return found ? `html:has(.${names.root}.${names.slotClass(found.id, found.kind)}:modal)` : null;
}

/** Whether the states of a slot are told by its own element or one in it, so that each weighs as much as a class. */
const isWeighed = ({ sign, inside, opens }: SlotKind): boolean =>
  sign !== true && inside === undefined && opens !== true;

/** What tells that a page is scrolled: of a root by itself, of what stands in one before it or by no weight. */
function scrolledSelector(context: CompileContext, kind: SlotKind, own: string): string {
  const scrolled = `[${context.names.attribute('scrolled')}]`;
  return isWeighed(kind)
    ? `${context.root}${scrolled} ${own}`
    : within(context, `${own}:where(${scrolled} *)`);
}

function stateCondition(
  context: CompileContext,
  owner: Owner,
  kind: SlotKind,
  state: Exclude<State, 'scrolled'>,
  box: string | null,
): string {
  if (state === 'rest') return '';
  const within = box !== null && kind.boxed ? STATE_WITHIN[state] : undefined;
  const opened =
    kind.opens && state === 'open'
      ? openedPage(context, (owner.thing as { panel?: string }).panel ?? '')
      : null;
  const conditions =
    opened !== null
      ? [`${opened} *`]
      : kind.sign
        ? signConditions(state, box)
        : kind.inside !== undefined
          ? aroundConditions(state, box)
          : [STATE_CONDITIONS[state], ...(within === undefined ? [] : [within])];
  const pinned = context.pinnable ? pinConditions(kind, state) : [];
  const all = [...conditions, ...pinned];
  if (!isWeighed(kind)) return `:where(${all.join()})`;
  const [one = ''] = all;
  return all.length === 1 ? one : `:is(${all.join()})`;
}

/** The slots of an owner that boxes around its controls wear. */
export const boxedSlots = ({ site }: CompileContext, { sort, thing }: Owner): readonly string[] =>
  (sort === 'part' ? partKind(thing as Part).boxes?.(thing as never, site) : undefined) ?? [];

/** The selector of the boxes that some controls of an owner stand in; null where none does. */
const boxOf = (context: CompileContext, owner: Owner): string | null =>
  boxedSlots(context, owner).length > 0 ? `.${context.names.slotClass(owner.id, 'parent')}` : null;

/**
 * The way from the menu's list down to a link of one level, to what stands inside it, or to the box that holds it. The third
 * level's is that of all deeper ones.
 */
function levelByPlace(menuClass: string, level: Level, kind: SlotKind): string {
  if (kind.holdsLevel) return `:where(.${menuClass}>*${'>ul>*'.repeat(level - 2)}>*)`;
  if (level === 3) return `:where(.${menuClass}>*>ul>*>ul *)`;
  return `:where(.${menuClass}>*${'>ul>*'.repeat(level - 1)}>${kind.inside === undefined ? '' : ':not(ul) '}*)`;
}

/** What tells the elements of a slot at one level from those at others; nothing where there are no others. */
export function ofLevel(context: CompileContext, owner: Owner, slot: string, level: LevelKey): string {
  const { site, names } = context;
  const kind = slotsOf(owner.kind)[slot] as SlotKind;
  const item = itemOf(level);
  if (item !== null)
    return `:where(.${names.linkClass(owner.id, item)}>${kind.inside === undefined ? '' : ':not(ul) '}*)`;
  const one = levelOf(level);
  if (one === null || kind.levels.length < 2 || levelsOf(site, owner, slot).length < 2) return '';
  if (!context.levelsByPlace) return levelByClass(names, one);
  return levelByPlace(names.slotClass(owner.id, 'list'), one, kind);
}

/** A slot's selector for one level and state; `word` is the class of another element that has them, such as what is around it. */
export function slotSelector(
  context: CompileContext,
  owner: Owner,
  slot: string,
  level: LevelKey,
  state: State,
  word = slot,
): string {
  const kind = slotsOf(owner.kind)[slot] as SlotKind;
  if (owner.sort === 'piece') {
    const { rootSlot, backdropSlot } = pieceKind(owner.piece);
    if (slot === rootSlot) {
      const own = ownRoot(context, owner.piece);
      return state === 'scrolled'
        ? `${own}[${context.names.attribute('scrolled')}]`
        : own + stateCondition(context, owner, kind, state, null);
    }
    if (slot === backdropSlot) return `${ownRoot(context, owner.piece)}::backdrop`;
  }
  const own = `.${context.names.slotClass(owner.id, word)}${ofLevel(context, owner, slot, level)}`;
  return state === 'scrolled'
    ? scrolledSelector(context, kind, own)
    : within(context, own + stateCondition(context, owner, kind, state, boxOf(context, owner)));
}

/**
 * Conditions a state's rules stand under: hover only where a pointer can hover, so that nothing sticks after a tap; scrolled
 * only at the widths at which the piece stays in the window.
 */
export function stateMedia(context: CompileContext, state: State, piece: Piece): readonly string[] {
  if (state === 'hover') return context.pinnable ? [] : ['@media (hover: hover)'];
  const { staysIn } = pieceKind(piece);
  if (state !== 'scrolled' || !staysIn) return [];
  const widths = bandsWhere(context.site, (band) => staysIn(piece as never, context.site, band));
  return widths.some((width) => width === '') ? [] : [`@media ${widths.join(', ')}`];
}
