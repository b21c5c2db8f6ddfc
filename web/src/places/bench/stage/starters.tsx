import { findPiece, type Piece } from '@hamaca/core';
import type { ComponentProps } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { useBench } from '../../../store/bench-store.ts';
import { useSite } from '../../../store/open-site.tsx';
import { later } from '../../../ui/later.tsx';
import type { DesignsDialog as Dialog } from './designs-dialog.tsx';

const DesignsDialog = later<ComponentProps<typeof Dialog>>(
  async () => (await import('./designs-dialog.tsx')).DesignsDialog,
);

/** The way to the starting designs; they come only when they are asked for. */
export function Starters({ piece }: { readonly piece: Piece }) {
  const shown = useBench((state) => state.designs);
  return (
    <>
      <CommandButton id="bench-starters" className="snug:!px-2 slim:!px-1.5" label="Designs" />
      {shown !== 'none' && <Shown id={piece.id} isNew={shown === 'of a new piece'} />}
    </>
  );
}

function Shown({ id, isNew }: { readonly id: string; readonly isNew: boolean }) {
  const site = useSite();
  const piece = findPiece(site, id);
  return piece && <DesignsDialog site={site} piece={piece} isNew={isNew} />;
}
