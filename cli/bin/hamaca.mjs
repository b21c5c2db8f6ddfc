#!/usr/bin/env node
// The command line runs the TypeScript sources as they are: nothing has to be built first.
import { existsSync } from 'node:fs';
import { register } from 'tsx/esm/api';

register();
// Made by `npm ci`, unless that ran without its scripts.
if (!existsSync(new URL('../../core/src/kinds/behaviours/built-readable.ts', import.meta.url)))
  await import('../../core/build.mjs');
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2));
