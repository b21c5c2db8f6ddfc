import type { RanEdit, Result, Site } from '@hamaca/core';

let check: ((ran: RanEdit) => Result<RanEdit>) | null = null;

/** Fetches the checks, and lets them look at the whole of a site once, so that each edit is checked by what it touches. */
export async function loadChecks(site: Site): Promise<void> {
  const { checkRanEdit } = await import('./checker.ts');
  checkRanEdit({ site, patch: [], inverse: [] });
  check = checkRanEdit;
}

/** Checks what an edit came to as the server will. Until the checks are there, the server's word alone counts. */
export const checkEdit = (ran: RanEdit): Result<RanEdit> => check?.(ran) ?? { ok: true, value: ran };
