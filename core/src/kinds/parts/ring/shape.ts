import { choice, reference, referenceOrNone, text } from '../../../model/shape/fields.ts';
import { openerFields } from '../../controls/opener-fields.ts';
import type { MenuItem } from '../../../model/menu-item.ts';
import type { SiteContent } from '../../../model/site-content.ts';
import { shownItems } from '../../content.ts';
import type { PartOf } from '../../kind.ts';
import type { Look, SlotLook, Values } from '../../../model/look.ts';

export const RING_SHAPE = {
  label: text({
    label: 'name',
    needed: true,
    hint: 'what opener and links are called where they are read out, and the opener’s label where that is shown',
    initial: 'Quick links',
  }),
  menu: reference('menu', { label: 'menu' }),
  branch: referenceOrNone('item', {
    label: 'from',
    hint: 'the link whose branch is shown instead of the whole menu',
    gone: 'kept',
  }),
  ...openerFields('its links are', 'plus', 'cross'),
  opensOn: choice({ click: 'by click', hover: 'by pointing or click' }, { label: 'opens' }),
} as const;

/** What stands over any page is set off from it. */
const SHADOW = { shadows: [{ x: 0, y: 2, blur: 8, colour: { literal: '#00000040' } }] } as const;

const resting = (values: Values): SlotLook => ({ all: { rest: { all: values } } });

/** How a new one looks; the links have room at their sides for labels in sight. */
export const RING_LOOK: Look = {
  'ring-opener': resting({ shadow: SHADOW }),
  'ring-link': resting({ shadow: SHADOW, paddingInline: 12 }),
};

/** An opener with links of a menu around it. */
export type RingPart = PartOf<'ring', typeof RING_SHAPE>;

/** What it shows of its menu: the first level, */
const ringShows = ({ menu, branch }: RingPart) => ({ menu, branch, levels: 1 }) as const;

/** and of that the links that lead somewhere: what only holds others, or parts them, has no place around an opener. */
export const ringItems = (site: Pick<SiteContent, 'menus'>, part: RingPart): readonly MenuItem[] =>
  shownItems(site, ringShows(part)).filter(
    ({ role, target }) => role !== 'divider' && role !== 'heading' && target.kind !== 'none',
  );
