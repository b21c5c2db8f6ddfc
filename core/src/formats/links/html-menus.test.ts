import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { readHtmlLinks, readHtmlMenus } from './html-menus.ts';

const PAGES = new URL('../../../test/pages/', import.meta.url);
const read = (name: string) => readFileSync(new URL(name, PAGES), 'utf8');
const outline = (links: readonly { depth: number; label: string; href: string | null }[]) =>
  links.map(
    ({ depth, label, href }) => `${'  '.repeat(depth - 1)}${label}${href === null ? '' : ` -> ${href}`}`,
  );

describe('the main menu of pages nobody here wrote', () => {
  const pages = readdirSync(PAGES).filter((name) => name.endsWith('.html'));
  test('there are enough of them', () => {
    expect(pages.length).toBeGreaterThanOrEqual(15);
  });
  test.each(pages)('%s', (name) => {
    expect(outline(readHtmlLinks(read(name)).links)).toEqual(
      read(name.replace('.html', '.txt')).split('\n').slice(0, -1),
    );
  });
});

describe('ways to write a menu', () => {
  const MAIN = ['Visit -> /visit', '  Hours -> /hours', '  Trails -> /trails', 'Birds -> /birds'];
  test.each([
    [
      'lists in divs',
      '<div id="nav"><ul><li><a href="/visit">Visit</a><div class="sub"><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></div></li><li><a href="/birds">Birds</a></li></ul></div>',
    ],
    [
      'no lists at all',
      '<nav><div class="item"><a href="/visit">Visit</a><div class="drop"><a href="/hours">Hours</a><a href="/trails">Trails</a></div></div><div class="item"><a href="/birds">Birds</a></div></nav>',
    ],
    [
      'a submenu behind its link',
      '<nav><a href="/visit">Visit</a><div class="submenu"><a href="/hours">Hours</a><a href="/trails">Trails</a></div><a href="/birds">Birds</a></nav>',
    ],
    [
      'a submenu named by its button',
      '<nav><a class="logo" href="/">M</a><ul><li><a href="/visit">Visit</a><button aria-controls="s" aria-expanded="false" aria-label="Visit submenu"></button><ul id="s"><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></li><li><a href="/birds">Birds</a></li></ul></nav>',
    ],
    [
      'hidden check boxes',
      '<nav><input type="checkbox" id="open"><label for="open">Menu</label><ul><li><input type="checkbox" id="v"><label for="v"><a href="/visit">Visit</a></label><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></li><li><a href="/birds">Birds</a></li></ul></nav>',
    ],
    [
      'a definition list',
      '<div class="menu"><dl><dt><a href="/visit">Visit</a></dt><dd><a href="/hours">Hours</a></dd><dd><a href="/trails">Trails</a></dd><dt><a href="/birds">Birds</a></dt></dl></div>',
    ],
    [
      'items without end tags in capitals',
      '<UL CLASS=menu><LI><A HREF=/visit>Visit</A><UL><LI><A HREF=/hours>Hours</A><LI><A HREF=/trails>Trails</A></UL><LI><A HREF=/birds>Birds</A></UL>',
    ],
    [
      'spans, icons and badges around labels',
      '<nav><ul><li><span><a href="/visit"><i class="icon">\ue001</i><span>Visit</span> <svg><title>opens</title></svg></a></span><ul><li><a href="/hours"><span>Hours</span></a></li><li><a href="/trails">Trails ▸</a></li></ul></li><li><a href="/birds"><img alt="Birds" src="b.png"></a></li></ul></nav>',
    ],
    [
      'a list inside a list',
      '<ul id="menu"><li><a href="/visit">Visit</a></li><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul><li><a href="/birds">Birds</a></li></ul>',
    ],
    [
      'a heading over each submenu',
      '<nav><ul><li><a href="/visit">Visit</a><div class="mega"><h3>Visit</h3><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></div></li><li><a href="/birds">Birds</a></li></ul></nav>',
    ],
    [
      'the bar once more for phones',
      '<header><nav class="desktop"><ul><li><a href="/visit">Visit</a><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></li><li><a href="/birds">Birds</a></li></ul></nav><div class="mobile-menu"><ul><li><a href="/visit">Visit</a></li><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li><li><a href="/birds">Birds</a></li></ul></div></header>',
    ],
    [
      'both copies in one landmark',
      '<nav><ul><li><a href="/visit">Visit</a><ul><li><a href="/hours">Hours</a></li><li><a href="/trails">Trails</a></li></ul></li><li><a href="/birds">Birds</a></li></ul><ul class="phone"><li><a href="/visit">Visit</a></li><li><a href="/birds">Birds</a></li></ul></nav>',
    ],
  ])('%s', (_name, page) => {
    expect(outline(readHtmlLinks(page).links)).toEqual(MAIN);
  });
  test('columns under headings of their own are a level', () => {
    const page =
      '<nav><ul><li><button>Shop</button><div><div><h3>Field</h3><ul><li><a href="/scopes">Scopes</a></li></ul></div><div><h3><a href="/books">Books</a></h3><ul><li><a href="/guides">Guides</a></li></ul></div></div></li><li><a href="/news">News</a></li></ul></nav>';
    expect(outline(readHtmlLinks(page).links)).toEqual([
      'Shop',
      '  Field',
      '    Scopes -> /scopes',
      '  Books -> /books',
      '    Guides -> /guides',
      'News -> /news',
    ]);
  });
  test('captions that are links, marks, bold headings and the open page', () => {
    const read = (page: string) => outline(readHtmlLinks(page).links);
    expect(
      read(
        '<nav><ul><li><a href="/shop">Shop</a><div class="mega"><div><p><a href="/books">Books</a></p><ul><li><a href="/guides">Guides</a></li></ul></div><div><p>Field</p><ul><li><a href="/scopes">Scopes</a></li></ul></div></div></li></ul></nav>',
      ),
    ).toEqual([
      'Shop -> /shop',
      '  Books -> /books',
      '    Guides -> /guides',
      '  Field',
      '    Scopes -> /scopes',
    ]);
    expect(
      read(
        '<nav><div><a href="/"><span>Marisma</span><img src="m.svg" alt=""></a></div><div><a href="/visit">Visit</a><a href="/birds">Birds</a></div></nav>',
      ),
    ).toEqual(['Visit -> /visit', 'Birds -> /birds']);
    expect(
      read(
        '<p class="menu"><a href="/visit">Visit</a> · <a href="/birds">Birds</a> · <strong>News</strong> · <a href="/contact">Contact</a></p><h1>News</h1><p>Words about what is <a href="/new">new</a> at the lagoon today.</p>',
      ),
    ).toEqual(['Visit -> /visit', 'Birds -> /birds', 'News', 'Contact -> /contact']);
    expect(
      read(
        '<table><tr><td><b>Visit</b><br><a href="/hours">Hours</a><br><a href="/trails">Trails</a><br><b>Birds</b><br><a href="/log">Log</a></td><td><p>A long text that mentions <a href="/x">one link</a> and goes on about other things.</p></td></tr></table>',
      ),
    ).toEqual(['Visit', '  Hours -> /hours', '  Trails -> /trails', 'Birds', '  Log -> /log']);
  });
  test('a picture map, links in cells and bare links with separators', () => {
    expect(
      outline(
        readHtmlLinks(
          '<h1>My page</h1><table><tr><td width=150><b>Contents</b><br><a href="a.html">First steps</a><br><a href="b.html">Second steps</a><br><a href="c.html">Links</a></td><td><p>A long text here that goes on and on about other things, with <a href="z.html">one link</a>.</p></td></tr></table>',
        ).links,
      ),
    ).toEqual(['First steps -> a.html', 'Second steps -> b.html', 'Links -> c.html']);
    expect(
      outline(
        readHtmlLinks(
          '<map name="bar"><area href="/visit" alt="Visit"><area href="/birds" alt="Birds"></map><p>Text of the page that says more than its links do.</p>',
        ).links,
      ),
    ).toEqual(['Visit -> /visit', 'Birds -> /birds']);
    expect(
      outline(
        readHtmlLinks(
          '<table><tr><td><a href="/visit">Visit</a><td><a href="/birds">Birds</a><td><a href="/contact">Contact</a></table><h1>Marisma</h1><p>We count <a href="/ibis">ibises</a> in the reeds every day.',
        ).links,
      ),
    ).toEqual(['Visit -> /visit', 'Birds -> /birds', 'Contact -> /contact']);
    expect(
      outline(
        readHtmlLinks(
          '<p>[ <a href="/visit">Visit</a> | <a href="/birds">Birds</a> ]</p><h1>Marisma</h1><p>We count <a href="/ibis">ibises</a> in the reeds every day.</p>',
        ).links,
      ),
    ).toEqual(['Visit -> /visit', 'Birds -> /birds']);
  });
});

describe('every menu of a page', () => {
  const PAGE = `<a href="#main">Skip to content</a>
    <header><div class="top"><ul class="languages"><li><a href="/es">Español</a></li><li><a href="/fr">Français</a></li></ul></div>
      <nav aria-label="Main"><ul><li><a href="/visit">Visit</a></li><li><a href="/birds">Birds</a></li></ul></nav></header>
    <nav aria-label="Breadcrumb"><ol><li><a href="/">Home</a></li><li><a href="/birds">Birds</a></li></ol></nav>
    <aside><h2>Birds</h2><ul><li><a href="/ibis">Ibis</a></li><li><a href="/stilt">Stilt</a></li></ul></aside>
    <main><h1>Ibis</h1><div class="toc"><ul><li><a href="#voice">Voice</a></li><li><a href="#food">Food</a></li></ul></div>
      <p>It walks the mud at low water and probes for snails.</p><ul class="pages"><li><a href="?1">1</a></li><li><a href="?2">2</a></li><li><a href="?2">Next</a></li></ul></main>
    <footer><ul><li><a href="/privacy">Privacy</a></li><li><a href="/imprint">Imprint</a></li></ul><ul class="social"><li><a href="https://pond.example/m">Pond</a></li><li><a href="https://nest.example/m">Nest</a></li></ul></footer>`;
  test('is found with its place and what it is for; one is the main one', () => {
    expect(
      readHtmlMenus(PAGE).map(({ place, kind, name, main, links }) => [
        place,
        kind,
        name,
        main,
        links.map((link) => link.label).join(' '),
      ]),
    ).toEqual([
      ['header', 'languages', '', false, 'Español Français'],
      ['header', 'menu', 'Main', true, 'Visit Birds'],
      ['header', 'breadcrumb', 'Breadcrumb', false, 'Home Birds'],
      ['side', 'menu', '', false, 'Ibis Stilt'],
      ['page', 'contents', '', false, 'Voice Food'],
      ['page', 'pagination', '', false, '1 2 Next'],
      ['footer', 'menu', '', false, 'Privacy Imprint'],
      ['footer', 'social', '', false, 'Pond Nest'],
    ]);
  });
  test('a page with only steps and contents has no main menu, and says what it has', () => {
    const read = readHtmlLinks(
      '<div class="toc"><ul><li><a href="#a">One</a></li><li><a href="#b">Two</a></li></ul></div><p>Text, and much more of it than links.</p><nav class="pager"><a href="1">Previous</a> <a href="3">Next</a></nav>',
    );
    expect(read.links).toEqual([]);
    expect(read.notes[0]?.reason).toContain('steps between pages');
  });
  test('scripts that open what is nested are no targets; those that open nothing are left out', () => {
    const page =
      '<nav><ul><li><a href="javascript:void(0)">Join in</a><ul><li><a href="/give">Give</a></li></ul></li><li><a href="javascript:toggle()">Search</a></li></ul></nav>';
    expect(outline(readHtmlLinks(page).links)).toEqual(['Join in', '  Give -> /give']);
    expect(readHtmlLinks(page).notes).toEqual([]);
  });
});
