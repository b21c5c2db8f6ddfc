import { itemsOf } from '@hamaca/core';
import { Button } from '../ui/button.tsx';
import type { EditorProps } from './editors.tsx';

/** The link of a menu that a button draws; without one it says words of its own. */
export function DrawnLink({ site, thing, name, set }: EditorProps) {
  const id = thing[name];
  const found = typeof id === 'string' ? itemsOf(site).get(id) : undefined;
  if (!found) return null;
  return (
    <span className="flex items-center gap-2">
      <span>
        draws the link <b className="font-semibold">{found.item.label}</b> of {found.menu.name}
      </span>
      <Button
        className="!h-6"
        title="It says the same words from now on, but does not follow the link any more"
        onClick={() => {
          const { label, icon, target } = found.item;
          set({ [name]: null, label, icon: icon ?? null, target });
        }}
      >
        Words of its own
      </Button>
    </span>
  );
}
