/* eslint-disable @typescript-eslint/no-explicit-any -- a raw document is changed */
import { makePart } from '../src/kinds/create.ts';
import { createRow } from '../src/kinds/sections/row/shape.ts';

export const REED =
  '<svg viewBox="0 0 24 24"><path fill="none" stroke="currentColor" stroke-width="2" d="M6 20V6m6 14V3m6 17V9"/></svg>';

/** A row with one part of every kind that the demo has not. */
export function partsRow() {
  const target = { kind: 'phone', number: '+34 955 010 203' } as const;
  const profile = (id: string, name: string, colour: string | null) => ({
    id,
    name,
    url: `https://${id}.example/marisma`,
    icon: 'icon-reed',
    colour,
  });
  return {
    ...createRow('row-extra', 'Extra'),
    zones: {
      start: [
        makePart('text', 'words', {
          entries: [
            { id: 'call', text: 'Call us', target, icon: 'icon-reed' },
            { id: 'hours', text: '9 to 17', target: { kind: 'none' }, icon: null },
          ],
        }),
        makePart('rule', 'rule'),
      ],
      middle: [makePart('search', 'search')],
      end: [
        makePart('social', 'profiles', {
          links: [profile('heronet', 'Heronet', '#0a5c8f'), profile('pondcast', 'Pondcast', null)],
        }),
        makePart('shortcut', 'account', { label: 'Account', icon: 'icon-reed', labelShown: true }),
        makePart('image', 'seal', { svg: REED, alternative: 'Wetland of the year' }),
      ],
    },
  };
}

/** Gives the raw demo a second row with a part of every kind, and looks of every group: marks, lines, shadows, gradients, motion. */
export function furnish(raw: any): any {
  const [header] = raw.pieces;
  raw.icons = [{ id: 'icon-reed', name: 'reed', svg: REED, set: null }];
  const row = partsRow();
  row.zones.end.unshift(makePart('search', 'search-2', { open: false }) as any);
  row.zones.end[1] = { ...row.zones.end[1], colours: 'network' } as any;
  header.rows.push({ ...row, contained: 1100, bands: ['wide'] });
  const [logo] = header.rows[0].zones.start;
  logo.second = REED;
  const [menu] = header.rows[0].zones.middle;
  const all = (values: object) => ({ all: values });
  Object.assign(menu.look.link.all, {
    rest: {
      all: { ...menu.look.link.all.rest?.all, markThickness: 2, markFrom: 'from the start', motionTime: 120 },
      ...(menu.look.link.all.rest?.phone ? { phone: menu.look.link.all.rest.phone } : {}),
    },
    hover: all({
      mark: 'line under',
      textShadow: { shadows: [{ x: 0, y: 1, blur: 2, colour: { role: 'paper' } }] },
    }),
    current: all({ mark: 'box', markColour: { role: 'soft' } }),
  });
  menu.look.list = {
    all: {
      rest: all({ gap: 4, separator: { line: { width: 1, style: 'solid', colour: { role: 'line' } } } }),
    },
  };
  header.look = {
    bar: {
      all: {
        rest: all({
          sticks: 'stays on top',
          lineBottom: { line: { width: 2, style: 'solid', colour: { role: 'accent' } } },
        }),
        scrolled: all({
          shadow: { shadows: [{ x: 0, y: 2, blur: 8, colour: { role: 'ink', alpha: 0.3 } }] },
        }),
      },
    },
  };
  header.rows[1].look = {
    row: {
      all: {
        rest: all({
          height: 44,
          paint: {
            paint: {
              gradient: {
                angle: 90,
                stops: [
                  { colour: { role: 'soft' }, at: 0 },
                  { colour: { role: 'paper' }, at: 100 },
                ],
              },
            },
          },
        }),
      },
    },
  };
  return raw;
}
