import { DEFAULT_PREFIX, PICTURES_AT, PREFIX } from '@hamaca/core';

/** What is chosen for a site's hand-off, as it was last in this browser. */
const CHOICES = {
  /** What all names begin with. */
  prefix: { fallback: DEFAULT_PREFIX, allowed: PREFIX },
  /** Where pages find the pictures as files; empty where they stay in the markup. */
  pictures: { fallback: '', allowed: PICTURES_AT },
  /** How the stylesheet is written. */
  rules: { fallback: 'nested', allowed: /^(?:nested|flat)$/ },
  /** Ids of what was a draft when it was last taken, with blanks between. */
  drafts: { fallback: '', allowed: /^[\w-]+(?: [\w-]+)*$/ },
} as const;

type Choice = keyof typeof CHOICES;

const keyOf = (choice: Choice, site: string) => `hamaca.${choice}.${site}`;

export function keptChoice(choice: Choice, site: string): string {
  const { fallback, allowed } = CHOICES[choice];
  try {
    const kept = localStorage.getItem(keyOf(choice, site)) ?? fallback;
    return allowed.test(kept) ? kept : fallback;
  } catch {
    // Forbidden storage remembers nothing.
    return fallback;
  }
}

export function keepChoice(choice: Choice, site: string, value: string): void {
  try {
    localStorage.setItem(keyOf(choice, site), value);
  } catch {
    // It holds as long as the page is open.
  }
}
