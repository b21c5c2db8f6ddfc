import { describe, expect, test } from '@jest/globals';
import { refuseSelectors } from './selector.ts';

describe('selectors of elements of the page', () => {
  test.each([
    '',
    '.open-menu, #contact',
    'button.call',
    '.page-header button',
    '[data-menu]',
    'a[href="#menu"]',
    '.a:not(.b)',
    '.list > li.first:nth-child(2n + 1)',
    'a:is(.x, .y).z',
  ])('%s may open something', (text) => {
    expect(refuseSelectors(text)).toBeNull();
  });
  test.each([
    '((',
    ':has(',
    '.a,',
    '> .a',
    '.a >',
    '.a::before',
    '.a:hover',
    'svg|a.b',
    '[a!=b]',
    '.a:is()',
    '.a:nth-child(x)',
  ])('%s is none that every browser knows', (text) => {
    expect(refuseSelectors(text)).toMatch(/none that every browser knows$/);
  });
  test.each([
    '*',
    'html',
    'body',
    'body.home',
    'div',
    'main a',
    'a',
    'button',
    '.page *',
    ':not(.x)',
    ':is(*)',
    '[href]',
    '.x, *',
  ])('%s means nearly everything on a page', (text) => {
    expect(refuseSelectors(text)).toMatch(/nearly everything on a page$/);
  });
});
