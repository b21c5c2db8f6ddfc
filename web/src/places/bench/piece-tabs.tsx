import {
  countingIds,
  idsOf,
  kindLabel,
  pieceKindById,
  PIECES,
  uniqueName,
  uniqueTitle,
  usesOf,
  type Piece,
  type PieceKindId,
  type Site,
} from '@hamaca/core';
import { useNavigate } from 'react-router';
import { Actions } from '../../ui/actions.tsx';
import { selectMade, selectSlot } from '../../store/bench-store.ts';
import { useEdit, useSiteState } from '../../store/open-site.tsx';

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

/** What goes or is freed along with a piece that is removed. */
function usedWords(site: Site, { id }: Piece): { hint?: string } {
  const uses = usesOf(site, id);
  return uses.length === 0 ? {} : { hint: `used by ${uses.join(', ')}` };
}

/** Of more pieces than there is room for, the one at work is in sight. */
const showTab = (tab: HTMLElement | null) => {
  tab?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
};

/** The pieces of the site: each leads to itself on the bench. */
export function PieceTabs({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const { open, add, duplicate, remove } = usePieces(site);
  return (
    <nav
      aria-label="Pieces"
      className="flex min-w-24 items-center gap-1 overflow-x-auto [scrollbar-width:none]"
    >
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
              ref={current ? showTab : null}
              className={`h-7 shrink-0 rounded-[3px] px-2 ${current ? 'font-semibold' : 'text-ink-soft hover:bg-linen'}`}
            >
              {other.name}
            </button>
            {current && (
              <Actions
                label={`More about ${other.name}`}
                sign="⋯"
                actions={() => [
                  {
                    label: 'Duplicate with all in it',
                    run: () => {
                      duplicate(other);
                    },
                  },
                  {
                    label: 'Remove with all in it',
                    ...usedWords(site, other),
                    run: () => {
                      remove(other);
                    },
                  },
                ]}
              />
            )}
          </span>
        );
      })}
      <Actions
        label="Add a piece"
        sign="+"
        actions={() =>
          PIECES.map((kind) => ({
            label: kind.label,
            hint: kind.hint,
            run: () => {
              add(kind.id);
            },
          }))
        }
      />
    </nav>
  );
}
