import { useEffect } from 'react';
import { Outlet, useLocation, useParams } from 'react-router';
import { fetchAhead } from '../ui/ahead.ts';
import { OpenSite, useSiteState } from '../store/open-site.tsx';
import { WORDS } from '../words/words.ts';
import { readAddress } from './places.ts';
import { PlainBar, SiteBar } from './top-bar.tsx';

const MESSAGES = { loading: WORDS.loading, missing: WORDS.siteMissing, away: WORDS.serverAway } as const;

function Opened() {
  const status = useSiteState((state) => state.status);
  const unsent = useSiteState((state) => (state.status === 'missing' ? state.unsent : 0));
  // A page that is tried has nothing of the interface around it.
  const isTried = readAddress(useLocation().pathname).place === 'try';
  useEffect(() => (status === 'ready' ? fetchAhead() : undefined), [status]);
  if (status === 'ready') {
    return (
      <div className="flex h-full flex-col">
        {!isTried && <SiteBar />}
        <div className="min-h-0 grow">
          <Outlet />
        </div>
      </div>
    );
  }
  return (
    <>
      <PlainBar />
      <p role="status" className="m-10 text-ink-soft">
        {MESSAGES[status]} {status === 'missing' && unsent > 0 && WORDS.keptForReturn(unsent)}
      </p>
    </>
  );
}

/** Every place of one site. */
export function SiteFrame() {
  const { id = '' } = useParams();
  return (
    <OpenSite id={id}>
      <Opened />
    </OpenSite>
  );
}
