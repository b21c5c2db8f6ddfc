import {
  addAtHome,
  countingIds,
  findPiece,
  idsOf,
  kindLabel,
  pageNeighbours,
  pieceKindById,
  PIECES,
  uniqueName,
  uniqueTitle,
  usesOf,
  type Piece,
  type PieceKindId,
  type Site,
} from '@hamaca/core';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Actions } from '../../ui/actions.tsx';
import { Choice } from '../../ui/choice.tsx';
import { DraftMark } from '../../ui/draft-mark.tsx';
import { bringPage, selectMade, showDesigns } from '../../store/bench-store.ts';
import { foreignPageOf } from '../../stage/foreign-pages.ts';
import { useEdit, useSiteState } from '../../store/open-site.tsx';
import { selectFirst } from './stage/use-selection.ts';

/** Makes, copies and removes pieces, and goes from one to another. */
export function usePieces(site: Site) {
  const edit = useEdit();
  const navigate = useNavigate();
  const id = useSiteState((state) => state.id);
  const open = (piece: string) => {
    const opened = findPiece(site, piece);
    if (opened) selectFirst(site, opened);
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
      if (edit(addAtHome(site, { name: 'add-piece', args: { piece } }), `Add: ${name}`)) {
        openMade(made, kind);
        showDesigns('of a new piece');
      }
    },
    duplicate: (piece: Piece) => {
      const copy = uniqueName(piece.id, idsOf(site));
      if (edit({ name: 'duplicate-piece', args: { id: piece.id, copy } }, `Duplicate: ${piece.name}`))
        openMade(copy, piece.kind);
    },
    move: (piece: Piece, past: Piece) => {
      edit({ name: 'move-piece', args: { id: piece.id, past: past.id } }, `Move: ${piece.name}`);
    },
    remove: (piece: Piece) => {
      if (edit({ name: 'remove-piece', args: { id: piece.id } }, `Remove: ${piece.name}`))
        void navigate(`/sites/${id}/bench`);
    },
  };
}

/** What goes or is freed along with a piece that is removed. */
function usedWords(site: Site, { id }: Piece): { hint?: string } {
  const uses = usesOf(site, id);
  return uses.length === 0 ? {} : { hint: `used by ${uses.join(', ')}` };
}

/** What can be done with a piece as a whole. */
function MoreAbout({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const { duplicate, move, remove } = usePieces(site);
  const { before, behind } = pageNeighbours(site, piece);
  const moves = [
    { past: before, label: `Move before ${before?.name ?? ''}` },
    { past: behind, label: `Move after ${behind?.name ?? ''}` },
  ].flatMap(({ past, label }) =>
    past
      ? [
          {
            label,
            hint: 'on pages that have both',
            run: () => {
              move(piece, past);
            },
          },
        ]
      : [],
  );
  return (
    <Actions
      label={`More about ${piece.name}`}
      sign="⋯"
      actions={() => [
        {
          label: 'Duplicate with all in it',
          run: () => {
            duplicate(piece);
          },
        },
        ...moves,
        {
          label: 'Remove with all in it',
          ...usedWords(site, piece),
          run: () => {
            remove(piece);
          },
        },
      ]}
    />
  );
}

/** Takes foreign pages out of the site. */
function useForeignPages(site: Site) {
  const edit = useEdit();
  const navigate = useNavigate();
  const id = useSiteState((state) => state.id);
  return {
    remove: (page: string) => {
      const name = foreignPageOf(site, page)?.name ?? '';
      if (edit({ name: 'remove-foreign-page', args: { id: page } }, `Remove: ${name}`))
        void navigate(`/sites/${id}/bench`);
    },
  };
}

function Tab({
  isCurrent,
  title,
  onOpen,
  children,
}: {
  readonly isCurrent: boolean;
  readonly title?: string;
  readonly onOpen: () => void;
  readonly children: ReactNode;
}) {
  return (
    <button
      type="button"
      title={title}
      aria-current={isCurrent ? 'page' : undefined}
      onClick={onOpen}
      className={`h-7 rounded-[3px] px-2 ${isCurrent ? 'font-semibold' : 'text-ink-soft hover:bg-linen'}`}
    >
      {children}
    </button>
  );
}

/** So many pieces stand beside one another; more are a list. */
const MOST_TABS = 4;

/** The pieces of the site, and the pages that were brought along: each leads to itself on the bench. */
export function PieceTabs({ site, current }: { readonly site: Site; readonly current: string }) {
  const { open, add } = usePieces(site);
  const pages = useForeignPages(site);
  const piece = findPiece(site, current);
  const isListed = site.pieces.length + site.foreignPages.length <= MOST_TABS;
  return (
    <nav aria-label="Pieces" className="flex items-center gap-1">
      {!isListed && (
        <>
          <Choice
            label="Piece"
            value={current}
            options={[
              ...site.pieces.map((other) => ({
                value: other.id,
                label: other.draft === true ? `${other.name} (draft)` : other.name,
              })),
              ...site.foreignPages.map(({ id, name }) => ({ value: id, label: `${name} (existing page)` })),
            ]}
            onChange={open}
          />
          {piece && <MoreAbout piece={piece} site={site} />}
        </>
      )}
      {(isListed ? site.pieces : []).map((other) => {
        const isCurrent = other.id === current;
        return (
          <span key={other.id} className="flex items-center">
            <Tab
              isCurrent={isCurrent}
              onOpen={() => {
                open(other.id);
              }}
            >
              {other.name}
              {other.draft === true && <DraftMark />}
            </Tab>
            {isCurrent && <MoreAbout piece={other} site={site} />}
          </span>
        );
      })}
      {isListed && site.foreignPages.length > 0 && <span className="mx-1 h-4 border-l border-twine" />}
      {(isListed ? site.foreignPages : []).map(({ id, name }) => (
        <Tab
          key={id}
          isCurrent={id === current}
          title="A page that exists already"
          onOpen={() => {
            open(id);
          }}
        >
          <span className="inline-block max-w-40 truncate align-bottom">{name}</span>
        </Tab>
      ))}
      {foreignPageOf(site, current) && (
        <Actions
          label="More about this page"
          sign="⋯"
          actions={() => [
            {
              label: 'Remove from this site',
              run: () => {
                pages.remove(current);
              },
            },
          ]}
        />
      )}
      <Actions
        label="Add a piece"
        sign="+"
        actions={() => [
          ...PIECES.map((kind) => ({
            label: kind.label,
            hint: kind.hint,
            run: () => {
              add(kind.id);
            },
          })),
          {
            label: 'A page that exists already…',
            hint: 'see whose rules it has, and your pieces on it',
            run: bringPage,
          },
        ]}
      />
    </nav>
  );
}
