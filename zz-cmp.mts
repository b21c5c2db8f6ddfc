import { readFileSync, existsSync } from 'node:fs';
import { dirname, join, basename } from 'node:path';
import { pathToFileURL } from 'node:url';
import { chromium } from 'playwright-core';
import { readForeignPage } from './core/src/foreign/page.ts';
import { Cascade } from './core/src/foreign/cascade/cascade.ts';
import { situationOf } from './core/src/foreign/cascade/situation.ts';
import { toldProperties } from './core/src/foreign/told-rules.ts';
import { createElementSelectors } from './core/src/foreign/element-selector.ts';
const MOST = Number(process.env.MOST ?? 40);
const browser = await chromium.launch({ executablePath: '/usr/lib/chromium/chromium-headless-shell' });
const context = await browser.newContext({ javaScriptEnabled: true });
let total = 0, right = 0; const wrong = new Map<string, number>(); const missing = new Map<string, number>();
for (const file of process.argv.slice(2)) {
  const root = process.env.ROOT ?? '/';
  const html = readFileSync(file, 'utf8');
  const rel = file.slice(1);
  const t0 = performance.now();
  const page = readForeignPage({ text: (p) => existsSync('/' + p) ? readFileSync('/' + p, 'utf8') : null }, rel, html);
  const t1 = performance.now();
  const found = page.matcher.select('nav, nav *, [class*=nav], [class*=nav] *, [class*=menu], [class*=menu] *, header, header *, [role=navigation] *, .navbar *, .nav *', page.elements)!.elements.filter(e => !/^(script|style|br|option)$/.test(e.name)).slice(0, MOST);
  const selectorOf = createElementSelectors(page.elements);
  const tab = await context.newPage();
  await tab.route('**/*', (r) => r.request().url().startsWith('file:') && r.request().resourceType() !== 'script' ? r.continue() : r.abort());
  const cdp = await context.newCDPSession(tab);
  let pTotal = 0, pRight = 0;
  for (const width of [390, 820, 1280]) {
    await tab.setViewportSize({ width, height: 800 });
    await tab.goto(pathToFileURL(file).href, { waitUntil: 'load' });
    await cdp.send('DOM.enable'); await cdp.send('CSS.enable');
    const { root: docRoot } = await cdp.send('DOM.getDocument', { depth: 0 });
    for (const state of ['rest', 'hover', 'focus'] as const) {
      const rest = state === 'rest' ? new Cascade(page, situationOf(null, 'rest', { width, height: 800 })) : null;
      for (const element of found) {
        if (state !== 'rest' && !/^(a|button|li|summary|input)$/.test(element.name)) continue;
        const cascade = rest ?? new Cascade(page, situationOf(element, state, { width, height: 800 }));
        const told = toldProperties(page, cascade, element, null);
        const selector = selectorOf(element);
        const forced: number[] = [];
        let nodeId = 0;
        try { ({ nodeId } = await cdp.send('DOM.querySelector', { nodeId: docRoot.nodeId, selector })); } catch {}
        if (!nodeId) { console.log('NOT FOUND', selector); continue; }
        if (state !== 'rest') {
          let at: any = element; let first = true;
          while (at && 'attribs' in at) {
            const { nodeId: id } = await cdp.send('DOM.querySelector', { nodeId: docRoot.nodeId, selector: selectorOf(at) });
            if (id) { forced.push(id); await cdp.send('CSS.forcePseudoState', { nodeId: id, forcedPseudoClasses: state === 'hover' ? ['hover'] : first ? ['focus', 'focus-visible', 'focus-within'] : ['focus-within'] }); }
            first = false; at = at.parent;
          }
        }
        const results = await tab.evaluate(([sel, list]) => {
          const el = document.querySelector(sel as string) as HTMLElement; const out: any[] = [];
          const style = getComputedStyle(el); const original = el.getAttribute('style');
          document.getAnimations().forEach((a) => { try { a.finish(); } catch { a.cancel(); } });
          for (const { name, value } of list as any[]) {
            const before = style.getPropertyValue(name);
            el.style.setProperty(name, value, 'important');
            const isSet = el.style.getPropertyValue(name) !== '';
            el.getAnimations({ subtree: true }).forEach((a) => { try { a.finish(); } catch { a.cancel(); } });
            const after = style.getPropertyValue(name);
            if (original === null) el.removeAttribute('style'); else el.setAttribute('style', original);
            el.getAnimations({ subtree: true }).forEach((a) => { try { a.finish(); } catch { a.cancel(); } });
            out.push({ name, before, after, isSet });
          }
          return out;
        }, [selector, told.map(({ name, value }) => ({ name, value }))] as const);
        results.forEach((r: any, i: number) => { pTotal++; const t = told[i]!; if (r.before === r.after && r.isSet) pRight++; else { const k = `${r.isSet ? '' : 'UNSET '}${r.name}: ${t.value} (${t.certain}) [${r.before} → ${r.after}] ${t.selector}`; wrong.set(k, (wrong.get(k) ?? 0) + 1); if (process.env.V) console.log(basename(dirname(dirname(file))), basename(file), width, state, selector.slice(-60), k); } });
        // completeness
        const { matchedCSSRules = [], inlineStyle } = await cdp.send('CSS.getMatchedStylesForNode', { nodeId });
        const names = new Set<string>();
        for (const { rule } of matchedCSSRules) if (rule.origin === 'regular') for (const p of rule.style.cssProperties) if (p.range && p.parsedOk !== false && !p.disabled && !p.name.startsWith('--')) names.add(p.name + ': ' + p.value + '  ' + rule.selectorList.text);
        const mine = new Set(cascade.candidates(element).map((c) => `${c.declaration.property}`));
        for (const n of names) if (!mine.has(n.split(':')[0]!)) missing.set(n, (missing.get(n) ?? 0) + 1);
        const theirs = new Set([...names].map((n) => n.split(':')[0]!)); for (const p of inlineStyle?.cssProperties ?? []) theirs.add(p.name);
        for (const c of cascade.candidates(element)) { const p = c.declaration.property; if (!p.startsWith('--') && !theirs.has(p) && told.some((t) => t.line === c.declaration.place.line && t.file === c.declaration.place.file)) missing.set('EXTRA ' + p + ': ' + c.declaration.value + ' ' + c.rule?.selector, 1); }
        for (const id of forced) await cdp.send('CSS.forcePseudoState', { nodeId: id, forcedPseudoClasses: [] });
      }
    }
  }
  await tab.close();
  total += pTotal; right += pRight;
  console.log(file.replace('/tmp/pk/x/', ''), `${pRight}/${pTotal} = ${(100 * pRight / Math.max(1, pTotal)).toFixed(2)} %  rules ${page.rules.styles.length} read ${(t1 - t0).toFixed(0)} ms notes ${page.rules.notes.length} refused ${page.matcher.refused.length} elements ${found.length}`);
  for (const n of page.rules.notes.slice(0, 3)) console.log('   ', n.text);
}
console.log('ALL', right, total, (100 * right / total).toFixed(3));
for (const [k, n] of [...wrong].sort((a, b) => b[1] - a[1]).slice(0, 40)) console.log(n, k);
console.log('--- rules they have and we do not / the other way');
for (const [k, n] of [...missing].sort((a, b) => b[1] - a[1]).slice(0, 30)) console.log(n, k);
await browser.close();
