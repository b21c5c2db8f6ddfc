import type { Site } from '@hamaca/core';
import { Button } from '../ui/button.tsx';
import { useLinkFetch } from './use-link-fetch.ts';

/** Asks whether the links answer, with progress and a way to stop. */
export function FetchBar({ site }: { readonly site: Site }) {
  const { running, failure, of, start, stop } = useLinkFetch(site);
  return (
    <div className="flex items-center gap-2 text-bench">
      {running ? (
        <>
          <progress
            aria-label="Links asked"
            className="h-2 w-28 accent-reed"
            value={running.done}
            max={running.of}
          />
          <span role="status" className="text-ink-faint tabular">
            {running.done} of {running.of}
          </span>
          <Button className="!h-6" onClick={stop}>
            Stop
          </Button>
        </>
      ) : (
        <Button
          className="!h-6"
          disabled={of === 0}
          onClick={start}
          title="The server asks each address once; private addresses are left alone"
        >
          Ask {of} addresses whether they answer
        </Button>
      )}
      {failure !== null && (
        <span role="alert" className="truncate text-brick">
          {failure}
        </span>
      )}
    </div>
  );
}
