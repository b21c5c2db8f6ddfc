import type { Finding } from '@hamaca/core';

const OUTCOME_SIGNS: Readonly<Record<Finding['outcome'], readonly [sign: string, tone: string]>> = {
  fail: ['▲', 'text-brick'],
  look: ['△', 'text-ochre'],
  unknown: ['?', 'text-ink-faint'],
};

/** A finding's sign, the gravest one of several, with all reasons as its name. */
export function FindingSign({ findings }: { readonly findings: readonly Finding[] }) {
  const worst =
    findings.find((finding) => finding.outcome === 'fail') ??
    findings.find((finding) => finding.outcome === 'look') ??
    findings[0];
  if (!worst) return null;
  const [sign, tone] = OUTCOME_SIGNS[worst.outcome];
  return (
    <span
      role="img"
      aria-label={findings.map((finding) => finding.reason).join(' ')}
      title={findings.map((finding) => finding.reason).join('\n')}
      className={`text-small ${tone}`}
    >
      {sign}
      {findings.length > 1 ? <span className="tabular">{findings.length}</span> : null}
    </span>
  );
}
