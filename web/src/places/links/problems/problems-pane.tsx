import type { Finding, Site } from '@hamaca/core';
import { itemsOf } from '@hamaca/core';
import { Button } from '../../../ui/button.tsx';
import { FindingLine } from './finding-line.tsx';
import { showLink } from '../links-state.ts';
import { useLinkFetch } from '../pages/use-link-fetch.ts';

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

/** What the checks found in one menu, each with its line and its way out. */
export function ProblemsPane({
  site,
  findings,
}: {
  readonly site: Site;
  readonly findings: readonly Finding[];
}) {
  return (
    <section aria-label="Problems of this menu" className="flex min-h-0 grow flex-col text-bench">
      <div className="pb-2">
        <FetchBar site={site} />
      </div>
      <ul className="min-h-0 grow overflow-auto border border-twine bg-white">
        {findings.length === 0 && (
          <li className="p-4 text-ink-soft">
            <span className="text-reed">✓</span> Nothing is wrong with these links, as far as can be seen
            without asking the web.
          </li>
        )}
        {findings.slice(0, 400).map((finding) => (
          <li
            key={`${finding.item ?? finding.path} ${finding.rule}`}
            className="border-b border-linen px-2 py-1"
          >
            {finding.item !== null && (
              <button
                type="button"
                className="block max-w-full truncate pl-6 text-left font-semibold hover:underline"
                onClick={() => {
                  if (finding.item !== null) showLink(site, finding.item);
                }}
              >
                {itemsOf(site).get(finding.item)?.item.label || 'without a label'}
              </button>
            )}
            <FindingLine finding={finding} />
          </li>
        ))}
        {findings.length > 400 && (
          <li className="px-2 py-1 text-ink-faint">and {findings.length - 400} more; Checks has them all.</li>
        )}
      </ul>
    </section>
  );
}
