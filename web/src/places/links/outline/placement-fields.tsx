import {
  itemsOf,
  shownItems,
  SHOWN_LEVELS,
  walkMenu,
  type MenuPart,
  type ShownLevels,
  type Site,
} from '@hamaca/core';
import { Choice } from '../../../ui/choice.tsx';

const LEVEL_WORDS: Readonly<Record<string, string>> = {
  1: '1 level',
  2: '2 levels',
  3: '3 levels',
  all: 'all levels',
};

export const levelWords = (levels: ShownLevels) => LEVEL_WORDS[levels] ?? '';

const WHOLE = '(whole)';
/** Most branches offered: a list to choose from is no outline. */
const MOST = 200;

/** Links of a placement's menu that it could start from: those with something nested. */
function branchOptions(site: Site, part: MenuPart) {
  const options = [{ value: WHOLE, label: 'the whole menu' }];
  const menu = site.menus.find((entry) => entry.id === part.menu);
  if (menu)
    walkMenu(menu, '', ({ item, depth }) => {
      if (item.children.length > 0 && options.length < MOST)
        options.push({
          value: item.id,
          label: `${'· '.repeat(depth - 1)}${item.label || 'without a label'}`,
        });
    });
  if (part.branch !== null && !options.some((option) => option.value === part.branch)) {
    options.push({
      value: part.branch,
      label: itemsOf(site).get(part.branch)?.item.label ?? 'a link that is gone',
    });
  }
  return options;
}

interface Props {
  readonly site: Site;
  readonly part: MenuPart;
  readonly set: (fields: Record<string, unknown>, label: string) => void;
}

/** How much of a menu one placement shows: from which link on, and how many levels. */
export function PlacementFields({ site, part, set }: Props) {
  return (
    <>
      <label className="flex items-center gap-1.5">
        <span className="text-small text-ink-faint">starts from</span>
        <Choice
          label="Starts from"
          value={part.branch ?? WHOLE}
          options={branchOptions(site, part)}
          onChange={(branch) => {
            set({ branch: branch === WHOLE ? null : branch }, 'Start of a placement');
          }}
        />
      </label>
      <label className="flex items-center gap-1.5">
        <span className="text-small text-ink-faint">shows</span>
        <Choice
          label="Levels shown"
          value={String(part.levels)}
          options={SHOWN_LEVELS.map((value) => ({ value: String(value), label: levelWords(value) }))}
          onChange={(levels) => {
            set({ levels: levels === 'all' ? 'all' : Number(levels) }, 'Levels shown');
          }}
        />
      </label>
      {shownItems(site, part).length === 0 && <span className="text-small text-brick">▲ shows no links</span>}
    </>
  );
}
