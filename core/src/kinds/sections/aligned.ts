import { choice } from '../../model/shape/fields.ts';

const ALIGNMENTS = {
  wide: 'over the whole width',
  start: 'at the start',
  centre: 'in the centre',
  end: 'at the end',
} as const;

export type Alignment = keyof typeof ALIGNMENTS;

/** Where the parts of a section stand that are beneath one another. */
export const alignment = (inside: string) =>
  choice(ALIGNMENTS, { label: 'aligned', hint: `where the parts stand in ${inside}` });

/** The same as CSS, across the way they follow one another. */
export const ACROSS: Readonly<Record<Alignment, string>> = {
  wide: 'stretch',
  start: 'flex-start',
  centre: 'center',
  end: 'flex-end',
};
