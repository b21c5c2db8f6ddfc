import { expect, test } from '@jest/globals';
import type { Declaration } from '../../print/trees.ts';
import { shortened } from './shorthands.ts';

const said = (text: string): Declaration[] =>
  text.split('; ').map((one) => one.split(': ') as unknown as Declaration);
const told = (text: string) =>
  shortened(said(text))
    .map(([name, value]) => `${name}: ${value}`)
    .join('; ');

test.each([
  ['padding-block: 8px; color: red; padding-inline: 8px', 'color: red; padding: 8px'],
  [
    'padding-inline: max(0px, calc(50% - 480px)); padding-block: 4px',
    'padding: 4px max(0px, calc(50% - 480px))',
  ],
  ['inset-block: 0; inset-inline: 0', 'inset: 0'],
  ['flex-direction: column; flex-wrap: wrap', 'flex-flow: column wrap'],
  ['flex-direction: row; flex-wrap: wrap', 'flex-flow: wrap'],
  [
    'border-block-start: 1px solid; border-block-end: 1px solid; border-inline-start: 1px solid; border-inline-end: 1px solid; border-radius: 4px',
    'border: 1px solid; border-radius: 4px',
  ],
])('%s is %s', (long, short) => {
  expect(told(long)).toBe(short);
});

test.each([
  'padding-block: 8px',
  // One for each end.
  'inset-block: 0; inset-inline: auto 0',
  'padding-block: 8px; padding-inline: 8px; padding-block-end: 0',
  'padding-block: 8px !important; padding-inline: 8px',
  'padding: 0; padding-block: 8px; padding-inline: 8px',
  'padding-block: 8px; padding-inline: 8px; padding-block: 9px',
  'border-block-start: 1px solid; border-block-end: 1px solid; border-inline-start: 1px solid',
  'border-block-start: 1px solid; border-block-end: 1px solid; border-inline-start: 1px solid; border-inline-end: 2px solid',
  'border-width: 1px; border-block-start: 1px solid; border-block-end: 1px solid; border-inline-start: 1px solid; border-inline-end: 1px solid',
])('%s stays as it is', (text) => {
  expect(told(text)).toBe(text);
});
