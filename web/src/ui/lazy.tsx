import type { ColourEditorProps } from './colour-editor.tsx';
import type { IconPickerProps } from './icon-picker.tsx';
import { later } from './later.tsx';

/** The colour editor, fetched when it is first opened. */
export const ColourEditor = later<ColourEditorProps>(
  async () => (await import('./colour-editor.tsx')).ColourEditor,
  <div className="h-[150px]" />,
);

/** The icon picker, fetched when it is first shown. */
export const IconPicker = later<IconPickerProps>(async () => (await import('./icon-picker.tsx')).IconPicker);
