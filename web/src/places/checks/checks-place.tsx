import { CHECKS, itemsOf, mendAll, standingPieces, type Check, type Finding } from '@hamaca/core';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { useFonts } from '../../media/fonts.ts';
import { useEdit, useSite, useSiteState } from '../../store/open-site.tsx';
import { FindingLine } from '../../findings/finding-line.tsx';
import { benchStore, openCell, setWidth } from '../../store/bench-store.ts';
import { enterSite, showLink, useLinks } from '../../store/links-store.ts';
import { FetchBar } from '../../findings/fetch-bar.tsx';
import { Evidence } from './evidence.tsx';
import { Survey } from './survey.tsx';
import { useSurveyed } from '../../findings/sights.ts';
import { useChecking, useFindings } from '../../findings/use-findings.ts';

/** Most findings of one check drawn. */
const MOST = 200;

const NONE: readonly Finding[] = [];

/** The checks in their own order, those that found nothing left out. */
function byCheck(findings: readonly Finding[]): { check: Check; found: readonly Finding[] }[] {
  const groups = new Map<string, Finding[]>();
  for (const finding of findings) groups.set(finding.check, [...(groups.get(finding.check) ?? []), finding]);
  return CHECKS.flatMap((check) => {
    const found = groups.get(check.id);
    return found ? [{ check, found }] : [];
  });
}

/** How far the checks are, where they take long enough for anybody to wait. */
function Checking() {
  const share = useChecking();
  const [isLong, setLong] = useState(false);
  const runs = share !== null;
  useEffect(() => {
    const timer = setTimeout(() => {
      setLong(runs);
    }, WAITING);
    return () => {
      clearTimeout(timer);
    };
  }, [runs]);
  return runs && isLong ? <progress aria-label="Checks" max={1} value={share} className="w-40" /> : null;
}

/** Time after which somebody waits, in ms. */
const WAITING = 200;

/** What tells a finding from others: one at a time is seen. */
const keyOf = ({ check, item, path }: Finding) => `${check} ${item ?? path}`;

/** Every problem of the site with its place, its reason and its way out. */
export function ChecksPlace() {
  const site = useSite();
  const siteId = useSiteState((state) => state.id);
  const edit = useEdit();
  const navigate = useNavigate();
  const fetched = useLinks((state) => state.fetched);
  const findings = useFindings(site, fetched) ?? NONE;
  const groups = useMemo(() => byCheck(findings), [findings]);
  const [seen, setSeen] = useState<string | null>(null);
  // What was never asked has not passed.
  const isAsked = {
    addresses: fetched.size > 0,
    measures: (useFonts(site)?.metrics.length ?? 0) > 0,
    page: useSurveyed(site) !== null,
  };
  const passed = CHECKS.filter(
    (check) =>
      !groups.some((group) => group.check === check) && (check.asks === undefined || isAsked[check.asks]),
  );
  const menuName = (id: string | null) => site.menus.find((menu) => menu.id === id)?.name ?? '';
  const open = (finding: Finding) => {
    enterSite(siteId);
    if (finding.item !== null) showLink(site, finding.item);
    if (finding.at?.cell) openCell(finding.at.cell);
    if (finding.at?.width !== undefined) setWidth(finding.at.width);
    if (finding.at?.scene !== undefined) benchStore.setState({ scene: finding.at.scene });
    const bench = `bench/${finding.at?.piece ?? standingPieces(site)[0]?.id ?? ''}`;
    void navigate(`/sites/${siteId}/${finding.item === null ? bench : 'links'}`);
  };
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto max-w-[980px] px-6 py-5 2xl:max-w-none 2xl:px-8">
        <div className="mb-4 flex items-center gap-4">
          <h1 className="text-[22px] font-semibold">
            {findings.length === 0
              ? 'Nothing found'
              : `${findings.length} ${findings.length === 1 ? 'problem' : 'problems'}`}
          </h1>
          <Checking />
          <Survey site={site} />
          <span className="ml-auto">
            <FetchBar site={site} />
          </span>
        </div>
        {groups.map(({ check, found }) => {
          const fixes = found.filter((finding) => finding.fix);
          const mend = mendAll(fixes);
          return (
            <section
              key={check.id}
              aria-label={check.label}
              className="mb-4 border border-twine bg-white text-bench"
            >
              <h2 className="flex items-baseline gap-3 border-b border-twine px-3 py-1.5">
                <b className="font-semibold">{check.label}</b>
                <span className="text-ink-faint tabular">{found.length}</span>
                <span className="min-w-0 truncate text-ink-soft">{check.why}</span>
                {mend && fixes.length > 1 && (
                  <Button
                    className="ml-auto !h-6 shrink-0"
                    onClick={() => {
                      edit(mend, `Mend all: ${check.label}`);
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
                      className="h-6 truncate text-left hover:underline"
                    >
                      {finding.menu !== null && (
                        <span className="text-ink-faint">{menuName(finding.menu)} › </span>
                      )}
                      {finding.item === null
                        ? finding.evidence
                        : itemsOf(site).get(finding.item)?.item.label || 'without a label'}
                    </button>
                    <FindingLine finding={finding}>
                      {finding.at && (
                        <Button
                          className="!h-6 shrink-0"
                          pressed={seen === keyOf(finding)}
                          aria-label={`See it: ${finding.evidence}`}
                          onClick={() => {
                            setSeen(seen === keyOf(finding) ? null : keyOf(finding));
                          }}
                        >
                          See it
                        </Button>
                      )}
                    </FindingLine>
                    {finding.at && seen === keyOf(finding) && <Evidence site={site} at={finding.at} />}
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
            {passed.map((check) => check.label.toLowerCase()).join(' · ')}
            {fetched.size === 0 ? '. Whether the addresses answer is not known until it is asked.' : ''}
          </p>
        </section>
      </div>
    </main>
  );
}
