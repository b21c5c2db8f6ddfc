import type { ColourEditorProps } from './colour-editor.tsx';
import type { IconPickerBodyProps } from './icon-picker-body.tsx';
import type { PropertyDrawingProps } from './property-drawings.tsx';
import { later } from './later.tsx';

/** The colour editor, fetched when it is first opened. */
export const ColourEditor = later<ColourEditorProps>(
  async () => (await import('./colour-editor.tsx')).ColourEditor,
  <div className="h-[150px]" />,
);

/** The icons to choose from, fetched when a picker is first opened. */
export const IconPickerBody = later<IconPickerBodyProps>(
  async () => (await import('./icon-picker-body.tsx')).IconPickerBody,
  <div className="h-[290px]" />,
);

/** Drawings of named values, fetched with the first cell that shows some. */
export const PropertyDrawing = later<PropertyDrawingProps>(
  async () => (await import('./property-drawings.tsx')).PropertyDrawing,
  <span className="h-5 w-11" />,
);
