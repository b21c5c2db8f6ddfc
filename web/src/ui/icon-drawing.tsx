import type { Icon } from '@hamaca/core';
import type { CSSProperties } from 'react';
import type { IconTone } from '../media/icon-tone.ts';

/** The sizes at which icons can still be told apart and fit a cell, in px. */
const clampSize = (size: number) => Math.round(Math.min(26, Math.max(14, size)));

/** An SVG source in a colour, as an address. */
function addressOf(svg: string, colour: string): string {
  const source = svg.includes('xmlns=')
    ? svg
    : svg.replace(/^\s*<svg/i, '<svg xmlns="http://www.w3.org/2000/svg"');
  return `data:image/svg+xml,${encodeURIComponent(source.replace(/<svg/i, `<svg color="${colour}"`))}`;
}

/** An icon in the interface: drawings are shown as pictures, in which nothing can run. */
export function IconDrawing({
  icon: { svg, image, character },
  tone,
}: {
  readonly icon: Pick<Icon, 'svg' | 'image' | 'character'>;
  readonly tone?: IconTone | undefined;
}) {
  const size = clampSize(tone?.size ?? 20);
  const colour = tone?.colour ?? '#1d2a2e';
  const box: CSSProperties = { width: size, height: size };
  if (character !== undefined)
    return (
      <span
        aria-hidden="true"
        className="inline-grid place-items-center leading-none"
        style={{ ...box, color: colour, fontSize: (size * 20) / 24 }}
      >
        {character}
      </span>
    );
  return <img alt="" style={box} src={svg === null ? image : addressOf(svg, colour)} />;
}
