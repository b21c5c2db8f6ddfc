import type { Finding, Site } from '@hamaca/core';
import { itemsOf } from '@hamaca/core';
import { FindingLine } from '../../../findings/finding-line.tsx';
import { showLink } from '../../../store/links-store.ts';
import { FetchBar } from '../../../findings/fetch-bar.tsx';

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
            key={`${finding.item ?? finding.path} ${finding.check}`}
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
