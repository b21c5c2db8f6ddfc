import {
  ownersOf,
  pieceKind,
  readableEdits,
  sectionKind,
  type SectionKindId,
  type Site,
  type SingleEdit,
  type SlotRef,
} from '@hamaca/core';
import { useEffect, useState } from 'react';
import { useEdit } from '../../../store/open-site.tsx';
import { Button } from '../../../ui/button.tsx';
import type { SheetCell } from './sheet-model.ts';

/** A colour that is being dragged is judged once it rests, after so long in ms. */
const REST = 250;

/** Whether a slot lies behind what stands in its piece, or in a section of that. */
export function isGround(site: Site, { owner: id, slot }: SlotRef): boolean {
  const owner = ownersOf(site).get(id);
  if (!owner) return false;
  if (owner.sort === 'piece') return pieceKind(owner.piece).grounds.includes(slot);
  return owner.sort === 'section' && sectionKind(owner.kind as SectionKindId).ground === slot;
}

/** Where a ground leaves texts of its piece that cannot be read, turns them all by one press. */
export function Unreadable({ site, cell }: { readonly site: Site; readonly cell: SheetCell }) {
  const edit = useEdit();
  const [edits, setEdits] = useState<readonly SingleEdit[]>([]);
  const piece = ownersOf(site).get(cell.cell.owner)?.piece;
  const id = piece?.id;
  useEffect(() => {
    const timer = setTimeout(() => {
      setEdits(id === undefined ? [] : readableEdits(site, id));
    }, REST);
    return () => {
      clearTimeout(timer);
    };
  }, [site, id]);
  if (!piece || edits.length === 0) return null;
  const count = edits.length === 1 ? 'One sort of text or icon' : `${edits.length} sorts of text or icon`;
  return (
    <p className="flex items-center gap-2 bg-ochre-wash px-2 py-0.5" role="status">
      <span className="min-w-0 truncate">
        {count} in {piece.name} cannot be read well.
      </span>
      <Button
        className="!h-6 shrink-0 !text-small"
        onClick={() => {
          edit({ name: 'several', args: { edits } }, `Colours that pass in ${piece.name}`);
        }}
      >
        Take colours that pass
      </Button>
    </p>
  );
}
