import { lazy, Suspense, type ComponentProps } from 'react';

const Editor = lazy(async () => ({ default: (await import('./colour-editor.tsx')).ColourEditor }));
const Picker = lazy(async () => ({ default: (await import('./icon-picker.tsx')).IconPicker }));

/** The colour editor, fetched when it is first opened. */
export function ColourEditor(props: ComponentProps<typeof Editor>) {
  return (
    <Suspense fallback={<div className="h-[150px]" />}>
      <Editor {...props} />
    </Suspense>
  );
}

/** The icon picker, fetched when it is first shown. */
export function IconPicker(props: ComponentProps<typeof Picker>) {
  return (
    <Suspense fallback={null}>
      <Picker {...props} />
    </Suspense>
  );
}
