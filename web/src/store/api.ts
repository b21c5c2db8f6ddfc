import { cutText, type Change, type JsonPatch, type Problem, type Site, type Typeface } from '@hamaca/core';

/** An answer of the server that is an error (problem details, RFC 9457). Status 0: no answer at all. */
export class ApiError extends Error {
  readonly status: number;
  readonly problems: readonly Problem[];

  constructor(status: number, detail: string, problems: readonly Problem[] = []) {
    super(detail);
    this.status = status;
    this.problems = problems;
  }

  /** Whether trying again later may help. */
  get passing(): boolean {
    return this.status === 0 || this.status === 401 || this.status === 429 || this.status >= 500;
  }
}

export interface SiteSummary {
  readonly id: string;
  readonly name: string;
  readonly revision: number;
  readonly updatedAt: string;
}

/** A change as the server's log has it. */
export interface LoggedChange extends Change {
  readonly revision: number;
  readonly changeId: string;
  readonly clientId: string;
}

/** Leads to where the key is asked for; what is not saved yet is kept and sent afterwards. */
function comeInAgain(): void {
  const { pathname, search } = location;
  location.assign(`/enter?to=${encodeURIComponent(pathname + search)}`);
}

/** Milliseconds an answer may take; one that has to be worked out may take longer. */
const LIMIT = { answer: 15_000, work: 90_000 } as const;

async function request(
  path: string,
  options: RequestInit = {},
  limit: number = LIMIT.answer,
): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { ...options, signal: AbortSignal.timeout(limit) });
  } catch {
    // The browser does not tell why: no network, no server, or too long a wait.
    throw new ApiError(0, 'The server does not answer.');
  }
  if (response.ok) return response;
  if (response.status === 401) comeInAgain();
  const body = (await response.json().catch(() => ({}))) as { detail?: string; problems?: Problem[] };
  throw new ApiError(
    response.status,
    body.detail ?? `The server answered ${response.status}.`,
    body.problems,
  );
}

const revisionOf = (response: Response) => Number(/\d+/.exec(response.headers.get('etag') ?? '')?.[0] ?? 0);

export async function fetchSites(): Promise<SiteSummary[]> {
  return ((await (await request('/api/sites')).json()) as { sites: SiteSummary[] }).sites;
}

export interface DeletedSite extends SiteSummary {
  readonly deletedAt: string;
}

/** The sites in the bin, the last deleted first. */
export async function fetchDeletedSites(): Promise<DeletedSite[]> {
  return ((await (await request('/api/sites/deleted')).json()) as { sites: DeletedSite[] }).sites;
}

export async function fetchSite(id: string): Promise<{ site: Site; revision: number }> {
  const response = await request(`/api/sites/${id}`);
  return { site: (await response.json()) as Site, revision: revisionOf(response) };
}

/** One page of a site's log, oldest first, and whether there are more in the direction they were asked for. */
export interface ChangePage {
  readonly changes: readonly LoggedChange[];
  readonly more: boolean;
}

/** Changes after a revision, or the newest ones before one. */
export async function fetchChanges(
  id: string,
  range: { readonly after: number } | { readonly before: number },
): Promise<ChangePage> {
  const [[name, revision] = ['after', 0]] = Object.entries(range);
  return (await (await request(`/api/sites/${id}/changes?${name}=${revision}`)).json()) as ChangePage;
}

/** Creates a site and answers its id. */
export async function createSite(site: Site): Promise<string> {
  const headers = { 'content-type': 'application/json' };
  const body = JSON.stringify(site);
  const response = await request('/api/sites', { method: 'POST', headers, body }, LIMIT.work);
  return ((await response.json()) as { id: string }).id;
}

/** Brings a font file along: the server checks, names and measures it. */
export async function uploadFont(file: Blob): Promise<Typeface> {
  const headers = { 'content-type': 'application/octet-stream' };
  const response = await request('/api/fonts', { method: 'POST', headers, body: file }, LIMIT.work);
  return (await response.json()) as Typeface;
}

export async function deleteSite(id: string): Promise<void> {
  await request(`/api/sites/${id}`, { method: 'DELETE' });
}

export async function restoreSite(id: string): Promise<void> {
  await request(`/api/sites/${id}/restore`, { method: 'POST' });
}

export interface SentChange {
  readonly id: string;
  readonly kind: Change['kind'];
  readonly label: string;
  readonly patch: JsonPatch;
}

/** Sends one change made on `revision`; answers the revision it became. */
export async function sendChange(
  siteId: string,
  clientId: string,
  revision: number,
  change: SentChange,
): Promise<number> {
  const response = await request(`/api/sites/${siteId}`, {
    method: 'PATCH',
    headers: {
      'content-type': 'application/json-patch+json',
      'if-match': `"${revision}"`,
      'edit-id': change.id,
      'edit-client': clientId,
      'edit-kind': change.kind,
      'edit-label': encodeURIComponent(cutText(change.label, 60)),
    },
    body: JSON.stringify(change.patch),
  });
  return revisionOf(response);
}
