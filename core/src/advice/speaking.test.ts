import { describe, expect, test } from '@jest/globals';
import { compilePage } from '../../test/demo.ts';
import { after } from '../../test/pieces.ts';
import { partKindsFor } from '../../test/random-site.ts';
import { createPart, newPartWorld } from '../kinds/create.ts';
import { PIECES } from '../kinds/pieces/pieces.ts';
import { pieceKindById } from '../kinds/catalogue.ts';
import { countingIds } from '../base/ids.ts';
import { idsOf, regionsOf } from '../kinds/placed.ts';
import type { Piece, Site } from '../kinds/site.ts';
import { createPlainSite } from '../starters/plain.ts';
import { BUILT_IN, LANGUAGES } from '../text/languages/languages.ts';
import { addAtHome } from './at-home.ts';
import { languageEdits } from './speaking.ts';

const MENU = { items: [{ id: 'one', label: 'Aves', target: { kind: 'none' as const }, children: [] }] };

/** A site in a language with a piece of every kind and every part that a first region of it takes. */
function make(language: string): Site {
  let site = createPlainSite({ name: 'Orilla', url: '', menu: MENU, pages: [], language });
  for (const { id: kind } of PIECES) {
    const id = `new-${kind}`;
    const piece = pieceKindById(kind).create({
      id,
      name: `${kind} x`,
      freshId: countingIds(`${id}-`, idsOf(site)),
      site,
    }) as unknown as Piece;
    site = after(site, addAtHome(site, { name: 'add-piece', args: { piece } }));
    const region = [...regionsOf(site).values()].find((one) => one.piece.id === id);
    if (!region) throw new Error('the piece holds nothing');
    for (const { id: part } of partKindsFor(piece)) {
      const made = createPart(part, `${id}-${part}`, newPartWorld(site, region.form));
      const place = { region: region.id, index: 0 };
      site = after(site, addAtHome(site, { name: 'add-part', args: { place, part: made } }));
    }
  }
  return site;
}

const known = new Map<string, Site>();

function everything(language: string): Site {
  const site = known.get(language) ?? make(language);
  known.set(language, site);
  return site;
}

/** The built-in words of English that the output says where another language is asked for. */
const englishIn = (site: Site) => {
  const markup = [...compilePage(site).pieces.values()].join('');
  return BUILT_IN.filter((word) => markup.includes(`"${word}"`) || markup.includes(`>${word}<`));
};

describe('built-in words', () => {
  test.each(['es', 'ar'])('of all that is made are said in the site’s language: %s', (language) => {
    const site = everything(language);
    const own = LANGUAGES.find(({ tag }) => tag === language)?.words ?? [];
    expect(englishIn(site).filter((word) => !own.includes(word))).toEqual([]);
    expect(englishIn(everything('en')).length).toBeGreaterThan(5);
  });
  test('go along with the language and come back with it; what was changed stays', () => {
    const site = after(everything('en'), {
      name: 'set-owner',
      args: { id: 'opener', fields: { label: 'Everything' } },
    });
    const to = (from: Site, language: string) =>
      after(from, {
        name: 'several',
        args: {
          edits: [{ name: 'set-site', args: { language } }, ...languageEdits(from, language)],
        },
      });
    const spanish = to(site, 'es');
    expect(englishIn(spanish)).toEqual([]);
    expect(JSON.stringify(spanish.pieces)).toContain('Everything');
    expect(to(spanish, 'en')).toEqual(site);
    expect(languageEdits(site, 'tlh')).toEqual([]);
  });
});
