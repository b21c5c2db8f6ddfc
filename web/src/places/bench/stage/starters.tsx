import { isHeader, type Piece, type Site } from '@hamaca/core';
import { lazy, Suspense } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { useBench } from '../../../store/bench-store.ts';

const StartersDialog = lazy(async () => ({
  default: (await import('./starters-dialog.tsx')).StartersDialog,
}));

/** The way to the starting designs; they come only when they are asked for. */
export function Starters({ site, piece }: { readonly site: Site; readonly piece: Piece }) {
  const shown = useBench((state) => state.starters);
  return (
    <>
      {isHeader(piece) && <CommandButton id="bench-starters" label="Designs" />}
      {shown && isHeader(piece) && (
        <Suspense fallback={null}>
          <StartersDialog site={site} header={piece} />
        </Suspense>
      )}
    </>
  );
}
