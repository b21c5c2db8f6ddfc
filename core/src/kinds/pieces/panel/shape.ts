import { choice, flag, referenceOrNone, sections, text } from '../../../model/shape/fields.ts';
import type { PieceOf } from '../../kind.ts';
import { refuseSelectors } from '../../../values/selector.ts';
import type { Block } from '../../sections/block/block.ts';

type Fields = Readonly<Record<string, unknown>>;

const hasControl = (panel: Fields) => panel['closeAs'] !== 'none';
const hasWord = (panel: Fields) => panel['closeAs'] === 'word' || panel['closeAs'] === 'both';

export const PANEL_SHAPE = {
  closeAs: choice(
    {
      drawing: 'a drawing',
      word: 'a word',
      both: 'a drawing and a word',
      opener: 'its opener, turned',
      none: 'no control',
    },
    { label: 'closes by', hint: 'what its close control is; without one it closes another way' },
  ),
  closeIcon: referenceOrNone('icon', {
    label: 'drawing',
    when: (panel) => panel['closeAs'] === 'drawing' || panel['closeAs'] === 'both',
  }),
  closeWord: text({ label: 'word', initial: 'Close', when: hasWord }),
  closeLabel: text({
    label: 'control’s name',
    needed: true,
    hint: 'what the close control is called where it is read out',
    initial: 'Close menu',
    when: (panel) => hasControl(panel) && !hasWord(panel),
  }),
  byScrim: flag({ label: 'by the scrim', hint: 'pressing beside the panel closes it', initial: true }),
  byEscape: flag({ label: 'by Escape', hint: 'the key closes it', initial: true }),
  byLink: flag({ label: 'by its links', hint: 'following a link in it closes it', initial: true }),
  byScroll: flag({
    label: 'by scrolling on',
    hint: 'it closes once the page behind is scrolled, where that is not held fast',
    when: (panel) => panel['holdsPage'] === false,
  }),
  bySwipe: flag({ label: 'by swiping', hint: 'a finger sweeps it back to where it came from' }),
  holdsPage: flag({
    label: 'page held fast',
    hint: 'the page behind does not scroll while it is open',
    initial: true,
  }),
  openedBy: text({
    label: 'opened also by',
    hint: 'selectors of elements of the page, such as .open-menu, #contact',
    max: 300,
    refuse: refuseSelectors,
  }),
  blocks: sections<Block>(['block'], { min: 1, max: 8 }),
} as const;

/** Something that lies over the page once it is opened: a modal dialog. What folds away elsewhere arrives at its berths. */
export type Panel = PieceOf<'panel', typeof PANEL_SHAPE>;
