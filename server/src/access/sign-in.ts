import { createHash } from 'node:crypto';
import { Hono, type Context } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { html, raw } from 'hono/html';
import { PROBLEMS } from '../problem.ts';
import type { Access } from './access.ts';

/** Where a key is exchanged for a session. */
export const ENTER = '/enter';

const MOST_BYTES = 4096;

/** Takes the key from the address, where the printed link has it: no server and no log gets to see that part. */
const SCRIPT = `const key = decodeURIComponent(location.hash.slice(1));
if (key !== '') {
  history.replaceState(null, '', location.pathname + location.search);
  const form = document.querySelector('form');
  form.elements.key.value = key;
  form.submit();
}`;

const STYLE = `body{margin:0;min-height:100vh;display:grid;place-items:center;background:#f4f1ea;color:#23302b;font:16px/1.5 system-ui,sans-serif}
main{width:min(26rem,88vw)}h1{margin:0 0 .5rem;font-size:1.375rem}p{margin:0 0 1rem}
label{display:block;font-size:.875rem}input{box-sizing:border-box;width:100%;margin:.25rem 0 1rem;padding:.625rem;border:1px solid #6b7a73;border-radius:3px;background:#fff;font:inherit}
button{min-height:2.75rem;padding:0 1.25rem;border:0;border-radius:3px;background:#1d5c4b;color:#fff;font:inherit}
:focus-visible{outline:2px solid #1d5c4b;outline-offset:2px}.wrong{color:#a3201d}`;

const hashOf = (text: string) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`;

const POLICY = `default-src 'none'; script-src ${hashOf(SCRIPT)}; style-src ${hashOf(STYLE)}; form-action 'self'; base-uri 'none'; frame-ancestors 'none'`;

// With no referrer at all, browsers would send the form without saying where it comes from.
const page = (to: string, wrong: string) =>
  html`<!doctype html>
    <html lang="en">
      <head>
        <meta charset="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="referrer" content="same-origin" />
        <meta name="robots" content="noindex" />
        <title>Hamaca: come in</title>
        ${raw(`<style>${STYLE}</style>`)}
      </head>
      <body>
        <main>
          <h1>Hamaca</h1>
          <p>
            This one is reached from elsewhere, so it asks for its key. It was printed where Hamaca was
            started first; <code>npm run key</code> makes a new one.
          </p>
          <form method="post" action="${ENTER}">
            <input type="hidden" name="to" value="${to}" />
            <label for="key">Key</label>
            <input id="key" name="key" type="password" autocomplete="current-password" required autofocus />
            ${wrong === '' ? '' : html`<p class="wrong" role="alert">${wrong}</p>`}
            <button>Come in</button>
          </form>
        </main>
        ${raw(`<script>${SCRIPT}</script>`)}
      </body>
    </html>`;

const HERE = 'http://here.invalid';

/** Where an address leads from here, or null where it leads elsewhere. */
function hereAt(address: string): URL | null {
  const url = URL.canParse(address, HERE) ? new URL(address, HERE) : null;
  return url?.origin === HERE ? url : null;
}

/**
 * An address within Hamaca; anything else leads to the start. What a browser is told is read once more as it will read it: a
 * path may come out of its dots and slashes as the name of another host.
 */
export function ownPath(to: string): string {
  const url = to.startsWith('/') ? hereAt(to) : null;
  const path = url === null ? '/' : url.pathname + url.search;
  return hereAt(path)?.pathname === url?.pathname && !path.startsWith('//') ? path : '/';
}

const answer = (context: Context, to: string, wrong: string, status: 200 | 401 | 429) =>
  context.html(page(ownPath(to), wrong), status, {
    'content-security-policy': POLICY,
    'cache-control': 'no-store',
  });

/** The one page that answers to everybody. */
export function signInRoutes(access: Access): Hono {
  const routes = new Hono();
  routes.get('/', (context) => answer(context, context.req.query('to') ?? '/', '', 200));
  routes.post(
    '/',
    bodyLimit({
      maxSize: MOST_BYTES,
      onError: () => {
        throw PROBLEMS.badRequest('it is too long for a key');
      },
    }),
    async (context) => {
      const { key, to } = await context.req.parseBody();
      const goal = typeof to === 'string' ? to : '/';
      const { entered, later } = await access.enter(context, typeof key === 'string' ? key : '');
      if (entered) return context.redirect(ownPath(goal), 303);
      if (later === undefined) return answer(context, goal, 'That is not the key.', 401);
      context.header('retry-after', String(later));
      return answer(context, goal, `Too many keys were tried. Try again in ${later} seconds.`, 429);
    },
  );
  return routes;
}
