/** A drawing as a tree: only what drawings may hold. Attribute values and text are plain. */
export interface DrawingElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly (DrawingElement | string)[];
}
