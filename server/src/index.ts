export { createApp } from './app.ts';
export type { Deps } from './deps.ts';
