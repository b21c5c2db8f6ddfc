import { FORMAT_VERSION, loadSite, type Site } from '@hamaca/core';

/** What the store holds was validated on its way in; only an older format has to be brought up to date. */
export function loadStored(document: string): Site {
  const stored = JSON.parse(document) as Site;
  if (stored.formatVersion === FORMAT_VERSION) return stored;
  const loaded = loadSite(stored);
  if (!loaded.ok) throw new Error(`A stored site does not load: ${loaded.error[0]?.message ?? ''}`);
  return loaded.value;
}

const CURRENT = new RegExp(`"formatVersion":\\s?${FORMAT_VERSION}\\b`);

/** Whether a stored document is in today's format, told without reading it. */
export const isCurrent = (document: string): boolean => CURRENT.test(document.slice(0, 200));
