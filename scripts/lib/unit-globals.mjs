/** What every browser has and the pages that unit tests run in have not. */
import { TextDecoder, TextEncoder } from 'node:util';

// The output's behaviours are tested as they can be stopped.
Object.assign(globalThis, { TextDecoder, TextEncoder, STOPPABLE: true });
