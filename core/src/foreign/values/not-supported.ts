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
