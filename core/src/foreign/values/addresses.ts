import { isElsewhere, pathFrom, pathOnWeb } from '../paths.ts';

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

/** Those that mean the same in every file: they begin elsewhere or at the root, or name a part of a drawing. */
const SAME_EVERYWHERE = /^(?:[a-z][a-z\d+.-]*:|\/|#)/i;

/** Writes every address in a value that depends on where it stands as `write` says. */
function replaceAddresses(
  value: string,
  write: (address: string) => string,
  kept: RegExp = SAME_EVERYWHERE,
): string {
  return value.replace(URL_OF, (whole, double?: string, single?: string, bare?: string) => {
    const address = double ?? single ?? bare ?? '';
    if (address === '' || kept.test(address)) return whole;
    return `url("${write(address).replaceAll('"', '%22')}")`;
  });
}

/** Writes the addresses in a value of a stylesheet on another host whole. */
const fromElsewhere = (value: string, file: string): string =>
  replaceAddresses(value, (address) => pathOnWeb(address, file, '') ?? address, /^(?:[a-z][a-z\d+.-]*:|#)/i);

/** Writes the addresses in a value that stands in one file as another file would have to. */
export function withAddresses(value: string, file: string, reader: string): string {
  if (!holdsAddress(value)) return value;
  if (isElsewhere(file)) return fromElsewhere(value, file);
  const way = wayBetween(reader, file);
  return way === '' ? value : replaceAddresses(value, (address) => way + address);
}

/** Writes the addresses in a value by their paths from the root of the page's files, so that values of several files can be compared. */
export function withRootAddresses(value: string, file: string): string {
  if (!holdsAddress(value)) return value;
  if (isElsewhere(file)) return fromElsewhere(value, file);
  return replaceAddresses(value, (address) => `/${pathFrom(address, file) ?? address}`);
}
