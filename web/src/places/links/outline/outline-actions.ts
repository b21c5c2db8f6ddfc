import {
  findMenu,
  itemsOf,
  NO_TARGET,
  runEdit,
  type Edit,
  type ItemPlace,
  type MenuItem,
  type NewItems,
  type Site,
  type Step,
} from '@hamaca/core';
import type { SiteStore } from '../../../store/site-store.ts';
import { newLinkId } from '../../../store/pending.ts';
import { goToLine, linksStore, selectTo, setFolded, type Column } from '../../../store/links-store.ts';
import { outlineRows, placeAfter } from './outline-rows.ts';

const plural = (count: number) => (count === 1 ? 'a link' : `${count} links`);

/** Everything that can be done to the lines of the outline, for keys, buttons and commands alike. */
export interface OutlineActions {
  readonly addAfterCaret: () => void;
  readonly addAtEnd: () => void;
  readonly step: (step: Step, column: Column) => void;
  readonly remove: () => void;
  readonly duplicate: () => void;
  readonly insert: (links: NewItems, label: string) => void;
  readonly insertAt: (place: ItemPlace, links: NewItems, label: string) => void;
  readonly toggleFold: (id: string) => void;
  readonly foldAll: (fold: boolean) => void;
  readonly toggleDetails: () => void;
  readonly selectAll: () => void;
  readonly visibleIds: () => string[];
  readonly selectedIds: () => string[];
}

/** Whether a line is as it was made: no words, no target, nothing else. */
const isUnfilled = ({ id: _, label, target, children, ...more }: MenuItem): boolean =>
  label === '' && target.kind === 'none' && children.length === 0 && Object.keys(more).length === 0;

export function createOutlineActions(store: SiteStore, menuId: string): OutlineActions {
  const site = () => store.getState().site as Site;
  const menu = () => findMenu(site(), menuId) ?? { id: menuId, name: '', items: [] };
  const rows = () => outlineRows(menu(), linksStore.getState().folded);
  const visibleIds = () => rows().map((row) => row.item.id);
  const selectedIds = () => {
    const { selected, caret } = linksStore.getState();
    const inside = [...selected].filter((id) => itemsOf(site()).get(id)?.menu.id === menuId);
    return inside.length > 0
      ? visibleIds().filter((id) => inside.includes(id))
      : caret === null
        ? []
        : [caret];
  };
  const edit = (wanted: Edit, label: string) => store.edit(wanted, label);

  const insertAt = (place: ItemPlace, links: NewItems, label: string, instead: MenuItem | null = null) => {
    const before = new Set(itemsOf(site()).keys());
    const adding = { name: 'add-items', args: { place, ...links } } as const;
    const wanted: Edit = instead
      ? {
          name: 'several',
          args: { edits: [adding, { name: 'remove-items', args: { ids: [instead.id] } }] },
        }
      : adding;
    if (!edit(wanted, label)) return;
    const added = visibleIds().filter((id) => !before.has(id));
    const [first] = added;
    if (first === undefined) return;
    goToLine(first);
    selectTo(
      added.filter((id) => itemsOf(site()).get(id)?.parent?.id === place.parent).at(-1) ?? first,
      visibleIds(),
    );
  };
  const addAt = (place: ItemPlace) => {
    const id = newLinkId();
    if (
      edit(
        { name: 'add-items', args: { place, items: [{ id, label: '', target: NO_TARGET, children: [] }] } },
        'Add a link',
      )
    )
      goToLine(id);
  };

  return {
    visibleIds,
    selectedIds,
    insertAt,
    addAfterCaret: () => {
      const { caret, folded } = linksStore.getState();
      addAt(placeAfter(site(), menu(), caret, folded));
    },
    addAtEnd: () => {
      addAt({ menu: menuId, parent: null, index: menu().items.length });
    },
    insert: (links, label) => {
      const { caret, folded } = linksStore.getState();
      const line = caret === null ? undefined : itemsOf(site()).get(caret)?.item;
      // A line that was only made to be filled gives its place to what is pasted there.
      const instead = line && isUnfilled(line) ? line : null;
      insertAt(placeAfter(site(), menu(), caret, folded), links, label, instead);
    },
    step: (step, column) => {
      const ids = selectedIds();
      const wanted: Edit = { name: 'step-items', args: { ids, step } };
      const ran = runEdit(site(), wanted);
      if (ids.length === 0 || (ran.ok && ran.value.patch.length === 0)) return;
      const { caret, selected, anchor } = linksStore.getState();
      if (!edit(wanted, `Move ${plural(ids.length)}`)) return;
      // What was nested must be seen.
      if (step === 'in')
        setFolded((folded) => {
          for (const id of ids) folded.delete(itemsOf(site()).get(id)?.parent?.id ?? '');
        });
      linksStore.setState({ wanted: caret === null ? null : { id: caret, column }, selected, anchor });
    },
    remove: () => {
      const ids = selectedIds();
      const order = visibleIds();
      const gone = new Set(ids);
      const first = order.findIndex((id) => gone.has(id));
      const isGone = (id: string | undefined) => {
        for (
          let at = id === undefined ? undefined : itemsOf(site()).get(id);
          at;
          at = at.parent ? itemsOf(site()).get(at.parent.id) : undefined
        )
          if (gone.has(at.item.id)) return true;
        return false;
      };
      const next = order.slice(0, first).at(-1) ?? order.find((id) => !isGone(id));
      const [only] = ids;
      const name =
        ids.length === 1 && only !== undefined
          ? `“${itemsOf(site()).get(only)?.item.label ?? ''}”`
          : plural(ids.length);
      if (ids.length === 0 || !edit({ name: 'remove-items', args: { ids } }, `Remove ${name}`)) return;
      if (next === undefined) linksStore.setState({ caret: null, selected: new Set(), anchor: null });
      else goToLine(next);
    },
    duplicate: () => {
      const ids = selectedIds();
      const before = new Set(itemsOf(site()).keys());
      if (
        ids.length === 0 ||
        !edit({ name: 'duplicate-items', args: { ids } }, `Duplicate ${plural(ids.length)}`)
      )
        return;
      const first = visibleIds().find((id) => !before.has(id));
      if (first !== undefined) goToLine(first);
    },
    toggleFold: (id) => {
      setFolded((folded) => {
        if (!folded.delete(id)) folded.add(id);
      });
    },
    foldAll: (fold) => {
      linksStore.setState({
        folded: new Set(
          fold
            ? outlineRows(menu(), new Set())
                .filter((row) => row.hasChildren)
                .map((row) => row.item.id)
            : [],
        ),
      });
    },
    toggleDetails: () => {
      linksStore.setState(({ open, caret }) => ({ open: open === caret ? null : caret }));
    },
    selectAll: () => {
      const order = visibleIds();
      linksStore.setState({ selected: new Set(order), anchor: order[0] ?? null });
    },
  };
}
