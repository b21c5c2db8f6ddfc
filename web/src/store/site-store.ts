import {
  applyPatch,
  EMPTY_HISTORY,
  guardPatch,
  problemInWords,
  recordChange,
  redoChange,
  runEdit,
  undoChange,
  type Edit,
  type History,
  type Problem,
  type Site,
} from '@hamaca/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { WORDS } from '../words/words.ts';
import { checkEdit, loadChecks } from './check-edit.ts';
import { ApiError, fetchChanges, fetchSite, sendChange, type LoggedChange } from './api.ts';
import { takeSite, takeTab } from './early.ts';
import { hearSite, type SiteEvent } from './site-events.ts';
import { ownHistory, overtakenBy, type DoneChange } from './own-history.ts';
import { adoptPending, keepPending, ownTabs, randomId, type PendingChange } from './pending.ts';
import { copyText } from './copy-text.ts';
import { notify } from './notices.ts';
import { whenIdle } from './when-idle.ts';

/** The first thing that was wrong with an edit, as it is told to a person. */
const firstProblem = ([problem]: readonly Problem[], site: Site | null) =>
  problem ? problemInWords(problem, site) : '';

/** `offline`: nothing answers; `failing`: the server fails at it. Both are tried again. */
export type Saving = 'saved' | 'saving' | 'offline' | 'failing';

/** The open site as the interface sees it. */
export interface SiteState {
  readonly id: string;
  readonly status: 'loading' | 'ready' | 'missing' | 'away';
  /** The document with every own change, confirmed or not, and the one under way. Null until loaded. */
  readonly site: Site | null;
  /** Whether `site` shows a change that is still under way: a drag, or typing. */
  readonly previewing: boolean;
  readonly history: History<DoneChange>;
  readonly saving: Saving;
  /** Whether the browser keeps what is not saved yet. */
  readonly kept: boolean;
  /** How many edits are not saved yet. */
  readonly unsent: number;
}

export interface SiteStore extends StoreApi<SiteState> {
  /** Makes one change, which is one step of undo. Answers whether it was possible. */
  readonly edit: (edit: Edit, label: string) => boolean;
  /** Shows an edit without making it: the middle of a drag. Null ends it. */
  readonly preview: (edit: Edit | null) => void;
  /** The site without what is only shown: what an edit is made of. Null until loaded. */
  readonly settled: () => Site | null;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Ends all work on the site. */
  readonly close: () => void;
}

const RETRY = { first: 500, most: 4000 } as const;

/** Longest pause before an edit is sent again that others were quicker than, in ms. */
const STALE_PAUSE = { first: 40, most: 1500 } as const;

/** Undo should reach this far back; older pages of the log are asked for until it does, or so many were. */
const REACH = { steps: 10, pages: 10 } as const;

/** How long a site that was opened has to be drawn before the checks of its edits take their turn, in ms. */
const AFTER_OPENING = 500;

/** How often a change is sent to a server that fails at it before it is set aside. */
const MOST_FAILURES = 3;

/** The confirmed document and what was done since, outside React. */
interface Book {
  base: Site | null;
  revision: number;
  /** What is known of the log, oldest first, without a gap. */
  log: DoneChange[];
  /** The first revision that `log` knows of, and whether there are older ones. */
  from: number;
  older: boolean;
  /** Whose changes are one's own. */
  tabs: ReadonlySet<string>;
  pending: PendingChange[];
  preview: Edit | null;
  tab: string;
  sending: boolean;
  closed: boolean;
}

const pause = (ms: number) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

/** Opens a site: loads it, keeps it saved, follows changes from elsewhere. */
export function openSite(id: string): SiteStore {
  const store = createStore<SiteState>(() => ({
    id,
    status: 'loading',
    site: null,
    previewing: false,
    history: EMPTY_HISTORY,
    saving: 'saved',
    kept: true,
    unsent: 0,
  }));
  const book: Book = {
    base: null,
    revision: 0,
    log: [],
    from: 0,
    older: false,
    tabs: new Set(),
    pending: [],
    preview: null,
    tab: '',
    sending: false,
    closed: false,
  };
  let current: Site | null = null;
  let stopHearing: () => void = () => undefined;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let checks: ReturnType<typeof setTimeout> | undefined;
  let delay: number = RETRY.first;
  /** How often the server has failed at a change, by its id. */
  const failures = new Map<string, number>();
  /** How often others were quicker than a change, by its id. */
  const overtaken = new Map<string, number>();

  const show = () => {
    const shown = current && book.preview ? runEdit(current, book.preview) : null;
    store.setState({ site: shown?.ok ? shown.value.site : current, previewing: shown?.ok === true });
  };

  /** Everything that stands in the site as it is shown, in order. */
  const done = (): DoneChange[] => [...book.log, ...book.pending.map((change) => ({ ...change, own: true }))];

  const showHistory = () => {
    store.setState({ history: ownHistory(done()) });
  };

  const remember = () => {
    const kept = keepPending(id, book.tab, book.pending);
    store.setState({ kept, unsent: book.pending.length });
  };

  /** Takes a change up as made; answers false, and says why, where the server would refuse what it comes to. */
  const push = (change: PendingChange, site: Site): boolean => {
    book.preview = null;
    const checked = checkEdit({ site, patch: change.patch, inverse: change.inverse });
    if (!checked.ok) {
      show();
      notify({ tone: 'error', text: WORDS.lostEdit(change.label, firstProblem(checked.error, site)) });
      return false;
    }
    book.pending = [...book.pending, change];
    current = site;
    store.setState({
      history: recordChange(store.getState().history, { ...change, own: true }),
      saving: store.getState().saving === 'saved' ? 'saving' : store.getState().saving,
    });
    show();
    remember();
    void send();
    return true;
  };

  const edit: SiteStore['edit'] = (wanted, label) => {
    if (!current) return false;
    const ran = runEdit(current, wanted);
    if (!ran.ok) {
      book.preview = null;
      show();
      notify({ tone: 'error', text: WORDS.lostEdit(label, firstProblem(ran.error, current)) });
      return false;
    }
    if (ran.value.inverse.length === 0) {
      book.preview = null;
      show();
      return true;
    }
    const { patch, inverse, site } = ran.value;
    return push({ id: randomId(), kind: 'edit', label, edit: wanted, patch, inverse }, site);
  };

  const step = (kind: 'undo' | 'redo') => {
    const { history } = store.getState();
    const entry = history[kind].at(-1);
    const change = kind === 'undo' ? undoChange(history) : redoChange(history);
    if (!entry || !change || !current) return;
    const since = overtakenBy(done(), entry, change);
    const applied = since.length === 0 ? applyPatch(current, change.patch) : null;
    if (!applied?.ok) {
      const labels = since.map(({ label }) => label);
      notify({ tone: 'error', text: WORDS.cannotUndo(change.label, labels) });
      return;
    }
    push(
      {
        ...change,
        id: randomId(),
        edit: null,
        patch: guardPatch(current, change.patch),
        inverse: applied.value.inverse,
      },
      applied.value.document,
    );
  };

  /** Makes the unconfirmed changes again on a newer document; what cannot be kept is said, never dropped silently. */
  const rebase = () => {
    if (!book.base) return;
    let site = book.base;
    const kept: PendingChange[] = [];
    for (const change of book.pending) {
      const ran = change.edit ? runEdit(site, change.edit) : applyPatch(site, change.patch);
      if (!ran.ok) {
        notify({ tone: 'error', text: WORDS.lostEdit(change.label, firstProblem(ran.error, site)) });
        continue;
      }
      const patch = 'patch' in ran.value ? ran.value.patch : change.patch;
      kept.push({ ...change, patch, inverse: ran.value.inverse });
      site = 'site' in ran.value ? ran.value.site : ran.value.document;
    }
    book.pending = kept;
    current = site;
    showHistory();
    show();
    remember();
  };

  const asDone = (change: LoggedChange): DoneChange => ({
    ...change,
    id: change.changeId,
    own: book.tabs.has(change.clientId),
  });

  /** Takes changes from the log: own ones are confirmed by it, others are laid beneath the unconfirmed ones. */
  const take = (changes: readonly LoggedChange[]) => {
    const foreign: string[] = [];
    for (const change of changes) {
      if (!book.base || change.revision !== book.revision + 1) continue;
      const applied = applyPatch(book.base, change.patch);
      if (!applied.ok) throw new ApiError(500, 'The log does not fit the document; open the site again.');
      book.base = applied.value.document;
      book.revision = change.revision;
      book.log.push(asDone(change));
      book.pending = book.pending.filter((own) => own.id !== change.changeId);
      if (change.clientId !== book.tab) foreign.push(change.label);
    }
    rebase();
    if (foreign.length > 0) notify({ tone: 'info', text: WORDS.otherTab(foreign) });
  };

  /** Asks for older pages of the log until undo reaches back far enough. */
  const reachBack = async () => {
    for (let page = 0; page < REACH.pages && book.older && !book.closed; page++) {
      if (store.getState().history.undo.length >= REACH.steps) return;
      const { changes, more } = await fetchChanges(id, { before: book.from });
      // Meanwhile the site may have been taken anew; then this is no part of its log.
      if (changes.length > 0 && changes.at(-1)?.revision !== book.from - 1) return;
      book.log = [...changes.map(asDone), ...book.log];
      book.from = changes[0]?.revision ?? book.from;
      book.older = more && changes.length > 0;
      showHistory();
    }
  };

  /** Takes the site as it is now, where the log does not tell any more how it came to be so. */
  const takeAnew = async () => {
    const { site, revision } = await fetchSite(id);
    Object.assign(book, { base: site, revision, log: [], from: revision + 1, older: true });
    rebase();
    await reachBack();
  };

  const catchUp = async () => {
    for (let more = true; more && !book.closed;) {
      const page = await fetchChanges(id, { after: book.revision });
      const next = page.changes[0];
      if (next && next.revision !== book.revision + 1) return takeAnew();
      take(page.changes);
      ({ more } = page);
    }
  };

  const sendFirst = async (change: PendingChange) => {
    const revision = await sendChange(id, book.tab, book.revision, change);
    overtaken.delete(change.id);
    if (revision <= book.revision) {
      // It had been saved before, and stands in the site already.
      book.pending = book.pending.filter((own) => own.id !== change.id);
      return rebase();
    }
    if (revision !== book.revision + 1 || book.pending[0]?.id !== change.id || !book.base) return catchUp();
    const applied = applyPatch(book.base, change.patch);
    if (!applied.ok) return catchUp();
    book.base = applied.value.document;
    book.revision = revision;
    book.log.push({ ...change, own: true });
    book.pending = book.pending.slice(1);
    remember();
  };

  /** Sets a change aside that cannot be kept, so that those after it go on: it is named, and can be copied. */
  const setAside = (change: PendingChange, reason: string) => {
    failures.delete(change.id);
    book.pending = book.pending.filter((own) => own.id !== change.id);
    notify({
      tone: 'error',
      text: WORDS.lostEdit(change.label, reason),
      action: {
        label: WORDS.copyEdit,
        run: () => {
          void copyText(JSON.stringify({ label: change.label, patch: change.patch }, null, 2));
        },
      },
    });
    rebase();
  };

  const waitForReturn = () => {
    store.setState({ status: 'missing' });
    clearTimeout(retry);
    retry = setTimeout(() => void load(), RETRY.most);
  };

  const onSendError = async (error: unknown, change: PendingChange) => {
    // What is no answer of the server is a fault of ours, and comes again however often it is tried.
    if (!(error instanceof ApiError)) {
      setAside(change, WORDS.ownFault(String(error)));
      return;
    }
    const { status, passing, message } = error;
    if (status === 412) {
      const times = overtaken.get(change.id) ?? 0;
      overtaken.set(change.id, times + 1);
      // By chance, so that those who collided once do not collide again.
      if (times > 0) await pause(Math.random() * Math.min(STALE_PAUSE.most, STALE_PAUSE.first * 2 ** times));
      const before = book.revision;
      await catchUp();
      if (book.revision === before) await takeAnew();
      return;
    }
    const failed = (failures.get(change.id) ?? 0) + (status === 500 ? 1 : 0);
    failures.set(change.id, failed);
    if (passing && failed < MOST_FAILURES) throw error;
    // What was done in a site that is gone waits here until that comes back, or is told on Sites.
    if (status === 404) waitForReturn();
    else setAside(change, message);
  };

  const later = (error: unknown) => {
    const isFailing = error instanceof ApiError && error.status === 500;
    store.setState({ saving: isFailing ? 'failing' : 'offline' });
    clearTimeout(retry);
    retry = setTimeout(() => void send(), delay);
    delay = Math.min(RETRY.most, delay * 2);
  };

  async function send(): Promise<void> {
    if (book.sending || book.closed) return;
    book.sending = true;
    try {
      for (let change = book.pending[0]; change && !book.closed; change = book.pending[0]) {
        const sent = change;
        await sendFirst(sent).catch((error: unknown) => onSendError(error, sent));
        delay = RETRY.first;
        if (store.getState().status === 'missing') return;
      }
      store.setState({ saving: 'saved' });
    } catch (error) {
      later(error);
    } finally {
      book.sending = false;
    }
  }

  const onEvent = ({ type, data }: SiteEvent) => {
    if (book.closed) return;
    if (type === 'gone') waitForReturn();
    else if (type !== 'revision') store.setState({ saving: 'offline' });
    else if (store.getState().status === 'missing') void load();
    else if (book.pending.length > 0) void send();
    else if (Number(data) > book.revision && !book.sending)
      void catchUp()
        .then(() => {
          store.setState({ saving: 'saved' });
        })
        // The next event, or the next edit, tries again.
        .catch(() => undefined);
    else store.setState({ saving: 'saved' });
  };

  const load = async (): Promise<void> => {
    try {
      const [{ site, revision }, tab] = await Promise.all([
        takeSite(id),
        book.tab === '' ? takeTab() : book.tab,
      ]);
      book.tab = tab;
      const [tabs, adopted] = await Promise.all([ownTabs(tab), adoptPending(id, tab)]);
      if (book.closed) return;
      Object.assign(book, { tabs, base: site, revision, log: [], from: revision + 1, older: true });
      // What was saved without being confirmed stands in the site already.
      const newest =
        adopted.changes.length > 0 ? await fetchChanges(id, { before: revision + 1 }) : { changes: [] };
      const known = new Set(newest.changes.map(({ changeId }) => changeId));
      const kept = new Set(adopted.changes.map((change) => change.id));
      // Where nothing can be kept, what this page itself made is all there is.
      const own = book.pending.filter((change) => !kept.has(change.id));
      book.pending = [...adopted.changes, ...own].filter((change) => !known.has(change.id));
      if (adopted.broken > 0) notify({ tone: 'error', text: WORDS.brokenKept });
      rebase();
      store.setState({ status: 'ready', saving: book.pending.length > 0 ? 'saving' : 'saved' });
      stopHearing();
      stopHearing = hearSite(id, onEvent);
      void send();
      // Without it there is less to undo, and nothing else is missing.
      reachBack().catch(() => undefined);
      clearTimeout(checks);
      checks = setTimeout(() => {
        whenIdle(() => {
          // Where they cannot be fetched, the server alone checks.
          if (!book.closed) loadChecks(site).catch(() => undefined);
        });
      }, AFTER_OPENING);
    } catch (error) {
      if (book.closed) return;
      store.setState({ status: error instanceof ApiError && error.status === 404 ? 'missing' : 'away' });
      // A site that was deleted may be brought back.
      retry = setTimeout(() => void load(), store.getState().status === 'away' ? RETRY.most / 2 : RETRY.most);
    }
  };
  void load();

  return {
    ...store,
    edit,
    preview: (wanted) => {
      book.preview = wanted;
      show();
    },
    settled: () => current,
    undo: () => {
      step('undo');
      reachBack().catch(() => undefined);
    },
    redo: () => {
      step('redo');
    },
    close: () => {
      book.closed = true;
      stopHearing();
      clearTimeout(retry);
      clearTimeout(checks);
    },
  };
}
