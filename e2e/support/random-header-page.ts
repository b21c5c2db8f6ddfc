import type { Random } from '../../core/test/random-site.ts';

/** What can stand in the way of a header, in the forms in which pages have it. */
const ROOTS = [
  '',
  'html, body { height: 100% }',
  'html, body { overflow-x: hidden }',
  'html, body { height: 100%; overflow-x: hidden }',
  'body { height: 100vh }',
  'html { height: 100% } body { height: 100%; max-height: 100% }',
  'body { display: grid; grid-template-rows: auto 1fr }',
  'body { display: flex; flex-direction: column; min-height: 100vh }',
] as const;
const WRAPPERS = [
  '',
  '.page { overflow: hidden }',
  '.page { overflow-x: hidden; position: relative; z-index: 0 }',
  '.page { height: 100%; overflow-y: auto }',
  '.page { transform: translateZ(0) }',
  '.page { overflow: auto }',
] as const;
const TOPS = [
  '',
  '.top { padding: 0 10px }',
  '.top { position: relative; z-index: 1 }',
  '.top { overflow: hidden }',
  '.top { background: plum; opacity: .99 }',
] as const;
const HEADERS = [
  'header { height: 64px }',
  'header { height: 64px; background: #fff }',
  'header { height: 64px; position: relative !important; background: linear-gradient(#fff, #eee) }',
  'header { position: absolute; left: 0; right: 0; top: 0; height: 64px }',
  'header { position: fixed; inset: 0 0 auto; height: 64px; background: #fff } main { padding-top: 64px }',
  '#head { height: 64px; position: static; z-index: auto }',
  'header { min-height: 64px; transition: color 1s }',
] as const;
const CONTENTS = [
  '',
  '.hero { position: relative; z-index: 10 }',
  '.hero { transform: rotate(0deg) } .card { position: relative; z-index: 2000 }',
  'main { position: relative } .card { position: absolute; z-index: 3; top: 900px }',
] as const;

/** Where the header lies: by itself, in a box of its own, beside other things, or with the first section. */
const PLACES = [
  (header: string, hero: string) => `${header}<main>${hero}`,
  (header: string, hero: string) => `<div class="top">${header}</div><main>${hero}`,
  (header: string, hero: string) => `<div class="top"><div>${header}</div></div><main>${hero}`,
  (header: string, hero: string) => `<div class="top"><p>Open today</p>${header}</div><main>${hero}`,
  (header: string, hero: string) => `<section class="start">${header}${hero}</section><main>`,
] as const;

/** A page with a header that may be kept from staying in many ways. */
export function randomHeaderPage(random: Random): string {
  const isWrapped = random.chance(0.5);
  const header =
    '<header id="head"><a href="/">Reed</a><nav><ul><li><a href="#late">Late</a></li><li><a href="/b">Boats</a></li></ul></nav></header>';
  const hero = '<div class="hero">Lagoon</div>';
  const place = random.pick(PLACES);
  const sections = Array.from({ length: 12 }, (_, at) => `<section><p class="card">Part ${at}</p></section>`);
  const body = `${place(header, hero)}${sections.join('')}<h2 id="late">Late</h2><section></section></main>`;
  const css = [
    '* { box-sizing: border-box } html, body { margin: 0 } section { min-height: 400px } .start { min-height: 0 } .hero { height: 300px; background: teal } ul { margin: 0 } .card { height: 60px; background: #eee }',
    random.pick(ROOTS),
    isWrapped ? random.pick(WRAPPERS) : '',
    random.pick(TOPS),
    random.pick(HEADERS),
    random.pick(CONTENTS),
  ];
  return `<!doctype html><title>Boats</title><style>${css.join('\n')}</style>${
    isWrapped ? `<div class="page">${body}</div>` : body
  }`;
}
