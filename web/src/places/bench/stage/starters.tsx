import { findPiece, isHeader, type Piece } from '@hamaca/core';
import { lazy, Suspense } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { useBench } from '../../../store/bench-store.ts';
import { useSite } from '../../../store/open-site.tsx';

const StartersDialog = lazy(async () => ({
  default: (await import('./starters-dialog.tsx')).StartersDialog,
}));

/** The way to the starting designs; they come only when they are asked for. */
export function Starters({ piece }: { readonly piece: Piece }) {
  const shown = useBench((state) => state.starters);
  return (
    <>
      {isHeader(piece) && <CommandButton id="bench-starters" label="Designs" />}
      {shown && <ShownStarters id={piece.id} />}
    </>
  );
}

function ShownStarters({ id }: { readonly id: string }) {
  const site = useSite();
  const piece = findPiece(site, id);
  return piece && isHeader(piece) ? (
    <Suspense fallback={null}>
      <StartersDialog site={site} header={piece} />
    </Suspense>
  ) : null;
}
