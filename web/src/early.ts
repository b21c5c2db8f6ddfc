/** What can begin before anything is drawn: fetching the site and its fonts, and loading the place that is asked for. */
import { PLACES, readAddress } from './app/places.ts';
import { loadFontsOf } from './media/fonts.ts';
import { fetchEarly } from './store/early.ts';

const { site, place } = readAddress(location.pathname);
// Whoever draws it is told why it cannot be.
PLACES[place].load().catch(() => undefined);
if (site !== null)
  fetchEarly(site)
    .then((fetched) => {
      loadFontsOf(fetched.site);
    })
    // Whoever opens the site is told why it cannot be.
    .catch(() => undefined);
