import { checkLinks, itemsOf, LINK_RULES, RULE_LABELS, type Finding } from '@hamaca/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { useEdit, useSite, useSiteState } from '../../store/open-site.tsx';
import { FindingLine } from '../links/problems/finding-line.tsx';
import { enterSite, showLink, useLinks } from '../links/links-state.ts';
import { FetchBar } from '../links/problems/problems-pane.tsx';

/** Most findings of one check drawn. */
const MOST = 200;

const WHY: Readonly<Record<string, string>> = {
  ...Object.fromEntries(LINK_RULES.map((rule) => [rule.id, rule.why])),
  'placement-empty': 'Visitors see an empty place.',
  'panel-empty': 'Visitors open it and find nothing.',
};

/** The checks in their own order, those that found nothing left out. */
function byRule(findings: readonly Finding[]): [rule: string, findings: readonly Finding[]][] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) groups.set(finding.rule, [...(groups.get(finding.rule) ?? []), finding]);
  return Object.keys(RULE_LABELS).flatMap((rule): [string, Finding[]][] => {
    const found = groups.get(rule);
    return found ? [[rule, found]] : [];
  });
}

/** Every problem of the site with its place, its reason and its way out. */
export function ChecksPlace() {
  const site = useSite();
  const siteId = useSiteState((state) => state.id);
  const edit = useEdit();
  const navigate = useNavigate();
  const fetched = useLinks((state) => state.fetched);
  const findings = useMemo(() => checkLinks(site, fetched), [site, fetched]);
  const groups = useMemo(() => byRule(findings), [findings]);
  const passed = LINK_RULES.filter(
    (rule) =>
      !groups.some(([id]) => id === rule.id) &&
      (fetched.size > 0 || !['redirected', 'unanswered'].includes(rule.id)),
  );
  const menuName = (id: string | null) => site.menus.find((menu) => menu.id === id)?.name ?? '';
  const open = (finding: Finding) => {
    enterSite(siteId);
    if (finding.item !== null) showLink(site, finding.item);
    void navigate(`/sites/${siteId}/${finding.item === null ? 'bench/header' : 'links'}`);
  };
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-[980px] px-6 py-5">
        <div className="mb-4 flex items-center gap-4">
          <h1 className="text-[22px] font-semibold">
            {findings.length === 0
              ? 'Nothing found'
              : `${findings.length} ${findings.length === 1 ? 'problem' : 'problems'} in the links`}
          </h1>
          <span className="ml-auto">
            <FetchBar site={site} />
          </span>
        </div>
        {groups.map(([rule, found]) => {
          const fixes = found.flatMap((finding) => finding.fix ?? []);
          return (
            <section
              key={rule}
              aria-label={RULE_LABELS[rule]}
              className="mb-4 border border-twine bg-white text-bench"
            >
              <h2 className="flex items-baseline gap-3 border-b border-twine px-3 py-1.5">
                <b className="font-semibold">{RULE_LABELS[rule]}</b>
                <span className="text-ink-faint tabular">{found.length}</span>
                <span className="min-w-0 truncate text-ink-soft">{WHY[rule]}</span>
                {fixes.length > 1 && (
                  <Button
                    className="ml-auto !h-6 shrink-0"
                    onClick={() => {
                      for (const fix of fixes) edit(fix.edit, fix.label);
                    }}
                  >
                    Mend all {fixes.length}
                  </Button>
                )}
              </h2>
              <ul>
                {found.slice(0, MOST).map((finding) => (
                  <li
                    key={finding.item ?? finding.path}
                    className="grid grid-cols-[240px_1fr] items-center gap-3 border-b border-linen px-3 py-1 last:border-b-0"
                  >
                    <button
                      type="button"
                      onClick={() => {
                        open(finding);
                      }}
                      className="truncate text-left hover:underline"
                    >
                      {finding.menu !== null && (
                        <span className="text-ink-faint">{menuName(finding.menu)} › </span>
                      )}
                      {finding.item === null
                        ? finding.evidence
                        : itemsOf(site).get(finding.item)?.item.label || 'without a label'}
                    </button>
                    <FindingLine finding={finding} />
                  </li>
                ))}
                {found.length > MOST && (
                  <li className="px-3 py-1 text-ink-faint">and {found.length - MOST} more</li>
                )}
              </ul>
            </section>
          );
        })}
        <section aria-label="Passed" className="border border-twine bg-reed-wash/50 px-3 py-2 text-bench">
          <h2 className="font-semibold">
            <span className="text-reed">✓</span> {passed.length} checks passed
          </h2>
          <p className="text-ink-soft">
            {passed.map((rule) => rule.label.toLowerCase()).join(' · ')}
            {fetched.size === 0 ? '. Whether the addresses answer is not known until it is asked.' : ''}
          </p>
        </section>
      </div>
    </main>
  );
}
