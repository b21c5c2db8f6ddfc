import { pathFrom } from '../paths.ts';

const URL_OF = /\burl\(\s*(?:"([^"]*)"|'([^']*)'|([^"')\s]*))\s*\)/gi;

/** The way from the folder of one file to that of another, ending in `/`; nothing where they are the same. */
function wayBetween(from: string, to: string): string {
  const start = from.split('/').slice(0, -1);
  const end = to.split('/').slice(0, -1);
  let shared = 0;
  while (shared < start.length && start[shared] === end[shared]) shared++;
  return [...start.slice(shared).map(() => '..'), ...end.slice(shared), ''].join('/');
}

/** The addresses in a text of CSS. */
export const addressesIn = (text: string): readonly string[] =>
  [...text.matchAll(URL_OF)].map(([, double, single, bare]) => double ?? single ?? bare ?? '');

const holdsAddress = (value: string) => /url\(/i.test(value);

/** Writes every address in a value that depends on where it stands as `write` says. */
function replaceAddresses(value: string, write: (address: string) => string): string {
  return value.replace(URL_OF, (whole, double?: string, single?: string, bare?: string) => {
    const address = double ?? single ?? bare ?? '';
    // Those that begin elsewhere, or name a part of a drawing, mean the same everywhere.
    if (address === '' || /^(?:[a-z][a-z\d+.-]*:|\/|#)/i.test(address)) return whole;
    return `url("${write(address).replaceAll('"', '%22')}")`;
  });
}

/** Writes the addresses in a value that stands in one file as another file would have to. */
export function withAddresses(value: string, file: string, reader: string): string {
  if (!holdsAddress(value)) return value;
  const way = wayBetween(reader, file);
  return way === '' ? value : replaceAddresses(value, (address) => way + address);
}

/** Writes the addresses in a value by their paths from the root of the page's files, so that values of several files can be compared. */
export const withRootAddresses = (value: string, file: string): string =>
  holdsAddress(value)
    ? replaceAddresses(value, (address) => `/${pathFrom(address, file) ?? address}`)
    : value;
