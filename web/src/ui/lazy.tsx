import { lazy, Suspense, type ComponentProps } from 'react';

const Editor = lazy(async () => ({ default: (await import('./colour-editor.tsx')).ColourEditor }));
const Chooser = lazy(async () => ({ default: (await import('./icon-chooser.tsx')).IconChooser }));

/** The colour editor, fetched when it is first opened. */
export function ColourEditor(props: ComponentProps<typeof Editor>) {
  return (
    <Suspense fallback={<div className="h-[150px]" />}>
      <Editor {...props} />
    </Suspense>
  );
}

/** The icon chooser, fetched when it is first shown. */
export function IconChooser(props: ComponentProps<typeof Chooser>) {
  return (
    <Suspense fallback={null}>
      <Chooser {...props} />
    </Suspense>
  );
}
