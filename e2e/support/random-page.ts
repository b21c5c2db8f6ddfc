import type { Random } from '../../core/test/random-site.ts';

/** Declarations of every sort: shorthands in their forms, logical and old names, values that hold others, and some that no browser takes. */
const DECLARATIONS: readonly (readonly [property: string, ...values: string[]])[] = [
  [
    'color',
    'red',
    '#036',
    'rgb(0 0 255 / .5)',
    'var(--ink)',
    'var(--none, teal)',
    'var(--round)',
    'no-colour',
    'inherit',
    'currentcolor',
  ],
  [
    'background',
    'none',
    '#fff',
    'url(a.png) no-repeat center / cover, var(--ink)',
    'linear-gradient(red, blue)',
    'left 10px bottom 20px url(b.png) content-box #eee',
    'var(--none)',
    'fixed padding-box border-box',
  ],
  ['background-color', 'white', 'transparent', 'color-mix(in srgb, red 20%, blue)', 'unset'],
  ['background-position', 'center', 'top left', 'right 3px bottom 4px'],
  [
    'margin',
    '0',
    '1px 2px',
    '1px 2px 3px',
    '1px auto 3px 4px',
    '-2px',
    'calc(1px + 1em)',
    'calc(-1 * var(--nought))',
    '1px 2px 3px 4px 5px',
    'var(--gap) 0',
  ],
  ['margin-inline', '3px', '4px 5px', 'auto'],
  ['margin-inline-start', '6px', 'var(--gap)'],
  ['margin-left', '7px', 'initial'],
  ['padding', '2px', '1px 3px', 'var(--gap)', '-1px'],
  ['padding-block', '3px', '1px 2px'],
  ['padding-inline-end', '9px'],
  ['inset', 'auto', '1px 2px', '0 auto auto 3px'],
  ['inset-inline-start', '4px'],
  [
    'border',
    '0',
    'none',
    '1px solid',
    'solid red',
    'thick double #123456',
    '2px solid var(--ink)',
    'var(--line)',
  ],
  ['border-top', '3px dotted green', '0'],
  ['border-inline', '2px solid', 'none'],
  ['border-inline-start', '4px dashed blue'],
  ['border-width', '1px 2px', 'thin'],
  ['border-color', 'red blue', 'var(--ink)'],
  ['border-block-color', 'green', 'red blue'],
  ['border-style', 'solid', 'none dotted'],
  ['border-radius', '3px', '1px 2px 3px 4px', '10px / 20px', '50% 0', 'var(--gap)'],
  ['border-start-end-radius', '6px'],
  ['border-image', 'none', 'url(b.png) 30 / 10px / 2px round', 'linear-gradient(red, blue) 1'],
  ['outline', 'none', '0', '2px solid red', 'auto', '3px dashed'],
  [
    'font',
    'italic 12px/1.5 Arial, sans-serif',
    'bold 1em serif',
    '700 small-caps 14px "A B", monospace',
    '16px/var(--tall) serif',
    '12px',
  ],
  ['font-weight', 'bold', '600', 'lighter'],
  ['font-variant', 'small-caps', 'normal', 'tabular-nums small-caps', 'none'],
  ['line-height', '1.5', '2em', 'normal'],
  ['list-style', 'none', 'square', 'inside circle', 'url(c.png) outside', '"→ "'],
  ['text-decoration', 'none', 'underline', 'underline dotted red 2px', 'line-through underline'],
  ['text-emphasis', 'open circle red', 'none'],
  ['flex', '1', 'none', 'auto', '2 0 10px', '0 1', '1 30%', 'initial', '0 0 0'],
  ['flex-flow', 'row wrap', 'column', 'wrap-reverse'],
  ['gap', '4px', '1px 2px', 'normal'],
  ['grid-gap', '5px', '3px 6px'],
  ['place-items', 'center', 'start end', 'first baseline', 'safe center stretch'],
  ['place-content', 'space-between', 'center start', 'baseline'],
  ['place-self', 'auto', 'end'],
  ['overflow', 'hidden', 'auto scroll', 'visible clip'],
  ['overscroll-behavior', 'contain', 'none auto'],
  [
    'transition',
    'none',
    'color .2s',
    'all 1s ease-in .5s, opacity 2s',
    'color var(--slow) cubic-bezier(.1,.2,.3,.4)',
    'transform 1s allow-discrete',
  ],
  ['animation', 'none', 'turn 2s infinite', '1s ease 2s 3 alternate both paused turn'],
  ['columns', 'auto', '2', '100px 3'],
  ['column-rule', '1px solid red', 'none'],
  ['grid-area', '1 / 2', 'head', 'auto', 'a / b / c / d', '1 / span 2 / 3'],
  ['grid-column', '1 / -1', 'span 2', 'side'],
  ['grid-template', 'none', '1fr / 2fr 1fr', '"a b" 10px "c d" / 1fr 2fr'],
  ['grid', 'auto-flow / 1fr 2fr', '10px / auto-flow dense 1fr', 'none'],
  ['white-space', 'nowrap', 'pre-wrap', 'normal', 'pre-line'],
  ['text-wrap', 'balance', 'nowrap', 'pretty'],
  ['mask', 'none', 'url(m.svg) center / contain no-repeat', 'linear-gradient(#000, transparent) intersect'],
  ['container', 'side / inline-size', 'none'],
  ['scroll-margin', '3px', '1px 2px'],
  ['scroll-padding-block', '3px'],
  ['word-wrap', 'break-word', 'normal'],
  ['-webkit-box-shadow', '0 0 2px red', 'none'],
  ['box-shadow', 'none', '0 1px 2px rgba(0,0,0,.4), inset 0 0 0 1px var(--ink)'],
  ['-webkit-text-stroke', '1px red', '0'],
  ['-webkit-user-select', 'none'],
  ['-moz-appearance', 'none'],
  ['-ms-filter', '"x"'],
  ['filter', 'blur(2px)', 'none', 'progid:DXImageTransform.Microsoft.gradient()'],
  ['display', 'block', 'flex', '-ms-flexbox', 'inline-block', 'grid', 'none', 'block!important'],
  ['width', '10px', '50%', '10', 'calc(100% - 3px)', 'fit-content', 'min(10px, 2em)'],
  ['inline-size', '30px'],
  ['min-block-size', '3px'],
  ['opacity', '.5', '1', '50%'],
  ['transform', 'none', 'translateX(2px) rotate(3deg)'],
  ['z-index', '1', 'auto', '1.5'],
  ['content', '"x"', 'none'],
  ['cursor', 'pointer', 'hand', 'url(d.cur), auto'],
  ['direction', 'rtl', 'ltr'],
  ['text-align', 'start', 'left', 'center'],
  ['*zoom', '1'],
  ['colour', 'red'],
  ['--ink', 'green', '#123', 'var(--other)', 'initial', 'inherit'],
  ['--other', 'orange', 'var(--ink)'],
  ['--round', 'var(--round)'],
  ['--gap', '4px', 'var(--wide, 5px)', '3'],
  ['--wide', '6px', ' '],
  ['--nought', '0', '2px'],
  ['--line', '1px solid', 'solid var(--ink)'],
  ['--tall', '2', 'normal'],
  ['--slow', '3s'],
];

const COMPOUNDS = [
  'a',
  'li',
  'ul',
  'nav',
  'header',
  'button',
  'div',
  '*',
  '.a',
  '.b',
  '.c',
  '.a.b',
  '#one',
  '#two',
  'a.c',
  'li.a',
  '[href]',
  '[data-x="y" i]',
  ':first-child',
  'li:nth-child(2n)',
  ':nth-child(odd of .a)',
  ':is(a, button)',
  ':where(.a, #one)',
  ':not(.b)',
  'a:not(:hover)',
  ':is(a:bogus, .c)',
  ':has(> a)',
  'li:has(:hover)',
  ':root',
  ':any-link',
  ':focus-visible',
  ':focus-within',
  'a:hover',
  'li:hover',
  ':empty',
  ':lang(de)',
  ':dir(rtl)',
  ':last-of-type',
  '::before',
  'a::after',
  ':only-child',
  ':enabled',
] as const;

const MEDIA = [
  'screen',
  'print',
  '(min-width: 600px)',
  '(width < 600px)',
  '(400px <= width <= 1000px)',
  'not all and (hover)',
  '(hover) and (pointer: fine)',
  '(prefers-color-scheme: dark)',
  'screen and (max-width: 40em), print',
  '(bogus)',
  'not (min-width: 50rem)',
  '(orientation: landscape)',
];
const SUPPORTS = [
  '(display: grid)',
  'not (display: grid)',
  '(display: bogus)',
  'selector(:has(a))',
  '(color: red) and (not (gap: no))',
  '(--x: y)',
];

function selector(random: Random): string {
  let made: string = random.pick(COMPOUNDS);
  while (random.chance(0.4) && !made.includes('::'))
    made += `${random.pick([' ', ' > ', ' + ', ' ~ ', ' '])}${random.pick(COMPOUNDS)}`;
  return random.chance(0.2) ? `${made}, ${random.pick(COMPOUNDS)}` : made;
}

function declarations(random: Random, most: number): string {
  let made = '';
  for (let count = 1 + Math.floor(random.next() * most); count > 0; count--) {
    const [property, ...values] = random.pick(DECLARATIONS);
    made += ` ${property}: ${random.pick(values)}${random.chance(0.08) ? ' !important' : ''};`;
  }
  return made;
}

function rule(random: Random, depth: number): string {
  const roll = random.next();
  if (depth > 0 && roll < 0.08) return `@media ${random.pick(MEDIA)} {${rules(random, depth - 1)}}`;
  if (depth > 0 && roll < 0.13) return `@supports ${random.pick(SUPPORTS)} {${rules(random, depth - 1)}}`;
  if (depth > 0 && roll < 0.22)
    return `@layer ${random.pick(['x', 'y', 'x.y', ''])} {${rules(random, depth - 1)}}`;
  if (roll < 0.24) return `@layer ${random.pick(['y, x', 'z', 'x.y'])};`;
  if (depth > 0 && roll < 0.3)
    return `@scope (${random.pick(['nav', '.a', 'li', 'header'])})${random.chance(0.4) ? ` to (${random.pick(['.b', 'ul ul', ':scope > li'])})` : ''} {${rules(random, depth - 1)}${random.chance(0.3) ? `:scope {${declarations(random, 3)}} > a {${declarations(random, 2)}}` : ''}}`;
  if (roll < 0.33)
    return `@container style(--wide: 6px) { ${selector(random)} {${declarations(random, 3)}} }`;
  const nested =
    depth > 0 && random.chance(0.25)
      ? random.pick([
          ` &:hover {${declarations(random, 2)}}`,
          ` > a {${declarations(random, 3)}}${declarations(random, 2)}`,
          ` .c & {${declarations(random, 2)}}`,
          ` li, &.b {${declarations(random, 2)} & a {${declarations(random, 2)}}}`,
          ` @media ${random.pick(MEDIA)} {${declarations(random, 2)} a {${declarations(random, 2)}}}`,
        ])
      : '';
  return `${selector(random)} {${declarations(random, 4)}${nested}}`;
}

const rules = (random: Random, depth: number): string =>
  Array.from({ length: 1 + Math.floor(random.next() * 4) }, () => rule(random, depth)).join('\n');

function sheet(random: Random, count: number): string {
  return Array.from({ length: count }, () => rule(random, 2)).join('\n');
}

function attributes(random: Random): string {
  const classes = ['a', 'b', 'c'].filter(() => random.chance(0.35));
  return [
    classes.length > 0 ? ` class="${classes.join(' ')}"` : '',
    random.chance(0.1) ? ' data-x="Y"' : '',
    random.chance(0.06) ? ' dir="rtl"' : '',
    random.chance(0.06) ? ' lang="de"' : '',
    random.chance(0.12) ? ` style="${declarations(random, 3).replaceAll('"', "'").trim()}"` : '',
  ].join('');
}

function list(random: Random, depth: number): string {
  const items = Array.from(
    { length: 2 + Math.floor(random.next() * 3) },
    () =>
      `<li${attributes(random)}><a href="/x"${attributes(random)}>Boats</a>${depth > 0 && random.chance(0.5) ? list(random, depth - 1) : ''}</li>`,
  );
  return `<ul${attributes(random)}>${items.join('')}</ul>`;
}

/** A page of random rules over a random navigation, in files of which one imports another. */
export function randomPage(random: Random): ReadonlyMap<string, string> {
  const html = `<!DOCTYPE html><html${attributes(random)}><head><link rel="stylesheet" href="css/main.css"${random.chance(0.2) ? ' media="(min-width: 500px)"' : ''}><style>${sheet(random, 12)}</style><style media="${random.pick(['', 'screen', 'print'])}">${sheet(random, 3)}</style></head><body><header id="one"${attributes(random)}><nav id="two"${attributes(random)}>${list(random, 2)}</nav><button${attributes(random)}>Book</button><div${attributes(random)}><a${attributes(random)} href="#">Shop</a></div></header></body></html>`;
  return new Map([
    ['index.html', html],
    [
      'css/main.css',
      `@charset "utf-8";\n${random.chance(0.5) ? '@layer x, y;' : ''}\n@import "more.css" ${random.pick(['', 'layer(x)', 'layer', 'screen', 'supports(display: grid)', 'layer(y) (min-width: 600px)'])};\n@import url(missing.css);\n@property --gap { syntax: "*"; inherits: ${random.pick(['true', 'false'])}; }\n@keyframes turn { to { rotate: 1turn } }\n${sheet(random, 14)}`,
    ],
    ['css/more.css', `${sheet(random, 8)}\n@import "main.css";`],
  ]);
}
