import { LANDSCAPE, type Scene } from '@hamaca/core';

/** A wide picture drawn for the stage: water, reeds and a low sun. */
const PICTURE = `<svg viewBox="0 0 1200 520" preserveAspectRatio="xMidYMid slice" style="display:block;width:100%;height:300px">
<rect width="1200" height="520" fill="${LANDSCAPE.sky}"/><circle cx="840" cy="190" r="64" fill="${LANDSCAPE.sun}"/>
<path d="M0 260q150-70 320-40t300-20 280 30 300-20v310H0z" fill="${LANDSCAPE.hills}"/><path d="M0 320q200-40 420-10t400-10 380 20v200H0z" fill="${LANDSCAPE.water}"/>
<path d="M0 380q200-20 500 0t700-10v150H0z" fill="${LANDSCAPE.shore}"/>
<g stroke="${LANDSCAPE.reeds}" stroke-width="5" stroke-linecap="round"><path d="M90 520V330M120 520V300M150 520V345M1040 520V310M1075 520V280M1110 520V335"/></g>
<g fill="${LANDSCAPE.reeds}"><ellipse cx="90" cy="318" rx="7" ry="26"/><ellipse cx="120" cy="286" rx="7" ry="28"/><ellipse cx="1075" cy="266" rx="7" ry="28"/><ellipse cx="1110" cy="322" rx="7" ry="26"/></g></svg>`;

const paragraph = (width: number) =>
  `<p style="height:12px;width:${width}%;margin:0 0 14px;background:currentColor;opacity:.13;border-radius:2px"></p>`;

const BODY = `<div style="max-width:720px;margin:0 auto;padding:48px 24px;color:#222">
<p style="height:30px;width:62%;margin:0 0 28px;background:currentColor;opacity:.22;border-radius:2px"></p>
${[100, 96, 98, 72, 99, 94, 100, 55, 97, 100, 91, 64, 98, 96, 40].map(paragraph).join('')}</div>`;

/** The page behind the piece, as markup of our own: bars for text, so that nothing on it competes with the header. */
export function sceneMarkup(scene: Scene): string {
  const ground = `<div style="background:${scene.ground};min-height:100vh">`;
  switch (scene.kind) {
    case 'blank':
      return `${ground}</div>`;
    case 'article':
      return `${ground}${BODY}</div>`;
    case 'picture':
      return `${ground}${PICTURE}${BODY}</div>`;
  }
}
