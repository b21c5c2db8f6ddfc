import { findHeader, type Site } from '@hamaca/core';
import { lazy, Suspense } from 'react';
import { CommandButton } from '../../../app/commands/command-button.tsx';
import { useBench } from '../bench-state.ts';

const StartersDialog = lazy(async () => ({
  default: (await import('./starters-dialog.tsx')).StartersDialog,
}));

/** The way to the starting designs; they come only when they are asked for. */
export function Starters({ site }: { readonly site: Site }) {
  const shown = useBench((state) => state.starters);
  const header = findHeader(site);
  return (
    <>
      <CommandButton id="bench-starters" label="Designs" />
      {shown && header && (
        <Suspense fallback={null}>
          <StartersDialog site={site} header={header} />
        </Suspense>
      )}
    </>
  );
}
