/** What a site's events tell: a newer revision, the database away, the site gone; or that they cannot be heard. */
export interface SiteEvent {
  readonly type: 'revision' | 'away' | 'gone' | 'error';
  readonly data: string;
}

type Tell = (event: SiteEvent) => void;

/** Pauses before events are asked for again after an error, in ms. */
const PAUSE = { first: 1000, most: 30_000 } as const;

/** An event source that tries no more (HTML, section 9.2.2). */
const CLOSED = 2;

/** Hears a site's events from the server. Answers how to end it. */
function hearServer(id: string, tell: Tell): () => void {
  let source: EventSource;
  let again: ReturnType<typeof setTimeout> | undefined;
  let pause: number = PAUSE.first;
  const open = () => {
    source = new EventSource(`/api/sites/${id}/events`);
    for (const type of ['revision', 'away', 'gone'] as const)
      source.addEventListener(type, (event: MessageEvent<string>) => {
        pause = PAUSE.first;
        tell({ type, data: event.data });
      });
    source.addEventListener('error', () => {
      tell({ type: 'error', data: '' });
      // The browser tries again by itself unless it was answered with an error.
      if (source.readyState !== CLOSED) return;
      again = setTimeout(open, pause);
      pause = Math.min(PAUSE.most, pause * 2);
    });
  };
  open();
  return () => {
    clearTimeout(again);
    source.close();
  };
}

/** Asks whoever hears the server what was told last. */
const HELLO = { type: 'hello' } as const;

/**
 * Hears a site's events. Of all tabs that have it open one holds a lock and hears the server; it tells the others, so that
 * they do not take up the few connections a browser makes to a host. When it closes, the next one gets the lock. Answers
 * how to end it.
 */
export function hearSite(id: string, tell: Tell): () => void {
  const { locks } = navigator as { locks?: LockManager };
  if (!locks || typeof BroadcastChannel === 'undefined') return hearServer(id, tell);
  const name = `hamaca-events-${id}`;
  const channel = new BroadcastChannel(name);
  const ended = new AbortController();
  let last: SiteEvent | null = null;
  let isSpeaker = false;
  channel.onmessage = ({ data }: MessageEvent<SiteEvent | typeof HELLO>) => {
    if (data.type !== 'hello') tell(data);
    else if (isSpeaker && last) channel.postMessage(last);
  };
  locks
    .request(
      name,
      { signal: ended.signal },
      async () =>
        new Promise<void>((release) => {
          isSpeaker = true;
          const stop = hearServer(id, (event) => {
            last = event;
            tell(event);
            channel.postMessage(event);
          });
          ended.signal.addEventListener('abort', () => {
            stop();
            release();
          });
        }),
    )
    // Whoever leaves before its turn came waits no more.
    .catch(() => undefined);
  channel.postMessage(HELLO);
  return () => {
    ended.abort();
    channel.close();
  };
}
