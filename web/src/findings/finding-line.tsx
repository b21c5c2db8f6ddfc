import type { Finding } from '@hamaca/core';
import { Button } from '../ui/button.tsx';
import { useEdit } from '../store/open-site.tsx';
import { FindingSign } from './finding-sign.tsx';

/** What a check found, with what can be done about it. */
export function FindingLine({
  finding,
  children,
}: {
  readonly finding: Finding;
  readonly children?: React.ReactNode;
}) {
  const edit = useEdit();
  const { fix } = finding;
  return (
    <span className="flex min-w-0 items-center gap-2">
      <span className="w-4 shrink-0 text-center">
        <FindingSign findings={[finding]} />
      </span>
      <span className="min-w-0 truncate" title={finding.reason}>
        {finding.reason}
      </span>
      {children}
      {fix && (
        <Button
          className="!h-6 shrink-0"
          onClick={() => {
            edit(fix.edit, fix.label);
          }}
        >
          {fix.label.length > 44 ? `${fix.label.slice(0, 42)}…` : fix.label}
        </Button>
      )}
    </span>
  );
}
