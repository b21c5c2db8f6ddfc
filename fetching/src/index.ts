export { fetchPage, FETCH_LIMITS, FetchRefused, type FetchWorld } from './fetch-page.ts';
export { fetchWithFiles, FILE_LIMITS, type FetchedFiles, type Fetching } from './fetch-with-files.ts';
export { readHosts, worldFrom } from './hosts.ts';
export { isPrivateAddress } from './private-addresses.ts';
