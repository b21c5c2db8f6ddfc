import type { SiteContent } from './site-content.ts';

/** The width in px below which a band begins, Infinity for the widest. */
export const belowBand = ({ bands }: Pick<SiteContent, 'bands'>, band: number): number =>
  bands[band - 1]?.min ?? Infinity;
