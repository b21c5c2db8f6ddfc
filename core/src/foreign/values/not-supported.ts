/** Properties that the library's grammar knows and no browser of today takes (asked of Chromium 156 by `CSS.supports`). */
export const NOT_SUPPORTED: ReadonlySet<string> = new Set(
  `align-tracks behavior box-align box-direction box-flex box-flex-group box-lines box-ordinal-group box-orient box-pack cue cue-after
  cue-before font-smooth font-synthesis-position glyph-orientation-horizontal glyph-orientation-vertical hanging-punctuation
  image-resolution ime-mode initial-letter-align justify-tracks kerning line-height-step mask-border mask-border-mode
  mask-border-outset mask-border-repeat mask-border-slice mask-border-source mask-border-width masonry-auto-flow max-lines
  overflow-clip-box overflow-scrolling pause pause-after pause-before position-try-options rest rest-after rest-before ruby-merge
  scroll-snap-coordinate scroll-snap-destination scroll-snap-points-x scroll-snap-points-y scroll-snap-type-x scroll-snap-type-y
  speak-as text-decoration-skip touch-callout voice-balance voice-duration voice-family voice-pitch voice-range voice-rate voice-stress
  voice-volume`.split(/\s+/),
);

/** Words that only old drafts or other browsers knew, by the properties that the grammar still takes them for (asked likewise). */
const WORDS: readonly (readonly [properties: RegExp, words: string])[] = [
  [/^(?:(?:min|max)-)?(?:width|height|block-size|inline-size)$|^flex(?:-basis)?$/, 'intrinsic min-intrinsic'],
  [/^break-(?:before|after|inside)$/, 'always all avoid-region region'],
  [/^page-break-(?:before|after)$/, 'recto verso'],
  [/^cursor$/, 'hand'],
  [/^display$/, 'run-in ruby-base ruby-base-container ruby-text-container inline-list-item'],
  [/^image-rendering$/, 'smooth optimizespeed optimizequality optimize-contrast'],
  [/^image-orientation$/, 'flip'],
  [/^outline-color$/, 'auto'],
  [/^text-align$/, 'match-parent'],
  [/^text-transform$/, 'full-width full-size-kana'],
  [/^white-space(?:-collapse)?$/, 'preserve-spaces'],
  [/^zoom$/, 'reset'],
  [/^content$/, 'contents'],
];

/** Whether a value is a word that no browser of today takes for a property. */
export const isUnsupportedWord = (property: string, value: string): boolean =>
  WORDS.some(
    ([properties, words]) => properties.test(property) && words.split(' ').includes(value.toLowerCase()),
  );
