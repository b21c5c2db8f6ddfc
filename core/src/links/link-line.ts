import type { ItemFields } from '../model/menu-item.ts';

/** What a format may say of a link besides label and target. */
export type LineFields = Pick<
  ItemFields,
  'role' | 'description' | 'name' | 'title' | 'newTab' | 'rel' | 'className' | 'data'
>;

/** One link as an import understood it: the label, the target as it was written (null for none), 1 at the top. */
export interface LinkLine {
  readonly label: string;
  readonly href: string | null;
  readonly depth: number;
  /** Id of the panel it opens instead of leading anywhere. */
  readonly panel?: string;
  readonly fields?: LineFields;
}

/** Something an import could not read, with the line it stands in (1 is the first; 0 where lines mean nothing). */
export interface ImportNote {
  readonly line: number;
  readonly text: string;
  readonly reason: string;
}

/** What an import understood: the links in source order, and what it could not read. */
export interface ReadLinks {
  readonly links: readonly LinkLine[];
  readonly notes: readonly ImportNote[];
}
