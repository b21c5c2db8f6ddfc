import { compileHeader, type Compiled, type Header, type Site } from '@hamaca/core';
import { useMemo } from 'react';
import type { Fonts } from '../media/fonts.ts';

/** The header as the stage shows it: the real output, with states that can be pinned. Null until the fonts are known. */
export function useStageOutput(site: Site, header: Header | null, fonts: Fonts | null): Compiled | null {
  return useMemo(
    () =>
      header && fonts
        ? compileHeader(site, header, { fonts: fonts.metrics, fontBase: '/fonts/', pinnable: true })
        : null,
    [site, header, fonts],
  );
}
