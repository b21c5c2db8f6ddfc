import type { Page } from '@playwright/test';

/** Loads every face of a page, and takes all motion from it. */
export async function loadFaces(page: Page): Promise<void> {
  await page.addStyleTag({ content: '*{transition:none!important}' });
  await facesLoaded(page);
}

/**
 * Loads every face of a page and waits until it is drawn in them; `document.fonts.ready` alone is true as well before the first one is
 * asked for, and words move only with the picture after the last has come.
 */
export async function facesLoaded(page: Page): Promise<void> {
  await page.evaluate(async () => {
    await Promise.all([...document.fonts].map((face) => face.load().catch(() => null)));
    await document.fonts.ready;
    // Where scripting is switched off no picture is ever told of.
    if (matchMedia('(scripting: none)').matches) return;
    for (let picture = 0; picture < 2; picture++)
      await new Promise((resolve) => requestAnimationFrame(resolve));
  });
}
