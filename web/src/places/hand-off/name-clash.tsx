import { prefixFor, siteWord } from '@hamaca/core';
import useSWR from 'swr';
import { fetchSites } from '../../store/api.ts';
import { keptChoice } from '../../store/hand-off-choices.ts';
import { Button } from '../../ui/button.tsx';

/** Tells of other sites whose output has the same names, and offers names of this site's own. */
export function NameClash({
  id,
  name,
  prefix,
  onChoose,
}: {
  readonly id: string;
  readonly name: string;
  readonly prefix: string;
  readonly onChoose: (prefix: string) => void;
}) {
  const { data: sites = [] } = useSWR('sites', fetchSites);
  const others = sites.filter((site) => site.id !== id && siteWord(site.name) === siteWord(name));
  const same = others.filter((site) => keptChoice('prefix', site.id) === prefix);
  const [first] = same;
  if (!first) return null;
  const own = prefixFor(name, new Set([prefix, ...others.map((site) => keptChoice('prefix', site.id))]));
  const rest = same.length - 1;
  return (
    <p role="status" className="grid gap-1.5 border-l-[3px] border-ochre bg-ochre-wash px-3 py-2">
      <span>
        The output of {first.name}
        {rest === 0 ? '' : ` and ${rest === 1 ? 'another site' : `${rest} other sites`}`} has the same names.
        That is wrong only where both stand on one page.
      </span>
      <span>
        <Button
          onClick={() => {
            onChoose(own);
          }}
        >
          Begin with <code>{own}</code> here
        </Button>
      </span>
    </p>
  );
}
