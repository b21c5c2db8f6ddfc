/** How addresses begin that the stage and tried pages read from: their frames send no cookies, so that the server may tell a way of its own. */
export const stageBase = (): string =>
  document.querySelector<HTMLMetaElement>('meta[name="hamaca-stage-base"]')?.content ?? '';
