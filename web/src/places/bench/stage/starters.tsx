import { findPiece, type Piece } from '@hamaca/core';
import type { ComponentProps } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { useBench } from '../../../store/bench-store.ts';
import { useSite } from '../../../store/open-site.tsx';
import { later } from '../../../ui/later.tsx';
import type { PanelStartersDialog as PanelDialog } from './panel-starters-dialog.tsx';
import type { PieceStartersDialog as PieceDialog } from './piece-starters-dialog.tsx';
import type { StartersDialog as Dialog } from './starters-dialog.tsx';

const StartersDialog = later<ComponentProps<typeof Dialog>>(
  async () => (await import('./starters-dialog.tsx')).StartersDialog,
);

const PieceStartersDialog = later<ComponentProps<typeof PieceDialog>>(
  async () => (await import('./piece-starters-dialog.tsx')).PieceStartersDialog,
);

const PanelStartersDialog = later<ComponentProps<typeof PanelDialog>>(
  async () => (await import('./panel-starters-dialog.tsx')).PanelStartersDialog,
);

/** The way to the starting designs; they come only when they are asked for. */
export function Starters({ piece }: { readonly piece: Piece }) {
  const shown = useBench((state) => state.starters);
  return (
    <>
      <CommandButton id="bench-starters" label="Designs" />
      {shown && <ShownStarters id={piece.id} />}
    </>
  );
}

function ShownStarters({ id }: { readonly id: string }) {
  const site = useSite();
  const piece = findPiece(site, id);
  if (!piece) return null;
  switch (piece.kind) {
    case 'panel':
      return <PanelStartersDialog site={site} panel={piece} />;
    case 'header':
      return <StartersDialog site={site} header={piece} />;
    default:
      return <PieceStartersDialog site={site} piece={piece} />;
  }
}
