import {
  countingIds,
  idsOf,
  kindLabel,
  pieceKindById,
  PIECES,
  uniqueName,
  uniqueTitle,
  type Piece,
  type PieceKindId,
  type Site,
} from '@hamaca/core';
import { DropdownMenu } from 'radix-ui';
import { useNavigate } from 'react-router';
import { leaveFocusToFields } from '../../ui/keep-focus.ts';
import { selectMade, selectSlot } from '../../store/bench-store.ts';
import { useEdit, useSiteState } from '../../store/open-site.tsx';

const item =
  'flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-disabled:opacity-45';
const list = 'z-50 min-w-44 rounded-[3px] border border-rope bg-white p-1';
const trigger = 'grid h-6 min-w-6 place-items-center rounded-[2px] text-small text-ink-soft hover:bg-linen';

/** Makes, copies and removes pieces, and goes from one to another. */
export function usePieces(site: Site) {
  const edit = useEdit();
  const navigate = useNavigate();
  const id = useSiteState((state) => state.id);
  const open = (piece: string) => {
    selectSlot(piece, '', null);
    void navigate(`/sites/${id}/bench/${piece}`);
  };
  const openMade = (made: string, kind: PieceKindId) => {
    selectMade(made, pieceKindById(kind).rootSlot);
    void navigate(`/sites/${id}/bench/${made}`);
  };
  return {
    open,
    add: (kind: PieceKindId) => {
      const taken = new Set(idsOf(site));
      const made = uniqueName(kind, taken);
      taken.add(made);
      const name = uniqueTitle(kindLabel(kind), new Set(site.pieces.map((piece) => piece.name)));
      const piece = pieceKindById(kind).create({
        id: made,
        name,
        freshId: countingIds(`${made}-`, taken),
        site,
      }) as unknown as Piece;
      if (edit({ name: 'add-piece', args: { piece } }, `Add: ${name}`)) openMade(made, kind);
    },
    duplicate: (piece: Piece) => {
      const copy = uniqueName(piece.id, idsOf(site));
      if (edit({ name: 'duplicate-piece', args: { id: piece.id, copy } }, `Duplicate: ${piece.name}`))
        openMade(copy, piece.kind);
    },
    remove: (piece: Piece) => {
      edit({ name: 'remove-piece', args: { id: piece.id } }, `Remove: ${piece.name}`);
    },
  };
}

/** The pieces of the site: each leads to itself on the bench. */
export function PieceTabs({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const { open, add, duplicate, remove } = usePieces(site);
  return (
    <nav aria-label="Pieces" className="flex items-center gap-1">
      {site.pieces.map((other) => {
        const current = other.id === piece.id;
        return (
          <span key={other.id} className="flex items-center">
            <button
              type="button"
              aria-current={current ? 'page' : undefined}
              onClick={() => {
                open(other.id);
              }}
              className={`h-7 rounded-[3px] px-2 ${current ? 'font-semibold' : 'text-ink-soft hover:bg-linen'}`}
            >
              {other.name}
            </button>
            {current && (
              <DropdownMenu.Root>
                <DropdownMenu.Trigger aria-label={`More about ${other.name}`} className={trigger}>
                  ⋯
                </DropdownMenu.Trigger>
                <DropdownMenu.Portal>
                  <DropdownMenu.Content
                    align="start"
                    sideOffset={2}
                    className={list}
                    onCloseAutoFocus={leaveFocusToFields}
                  >
                    <DropdownMenu.Item
                      className={item}
                      onSelect={() => {
                        duplicate(other);
                      }}
                    >
                      Duplicate with all in it
                    </DropdownMenu.Item>
                    <DropdownMenu.Item
                      className={item}
                      onSelect={() => {
                        remove(other);
                      }}
                    >
                      Remove with all in it
                    </DropdownMenu.Item>
                  </DropdownMenu.Content>
                </DropdownMenu.Portal>
              </DropdownMenu.Root>
            )}
          </span>
        );
      })}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger aria-label="Add a piece" title="Add a piece" className={trigger}>
          +
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="start"
            sideOffset={2}
            className={list}
            onCloseAutoFocus={leaveFocusToFields}
          >
            {PIECES.map((kind) => (
              <DropdownMenu.Item
                key={kind.id}
                className={item}
                title={kind.hint}
                onSelect={() => {
                  add(kind.id);
                }}
              >
                {kind.label}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </nav>
  );
}
