import { FOREIGN_STATES, type ForeignState } from '@hamaca/core';
import type { TextPaint } from '../../../stage/frame/protocol.ts';
import { contrastOf, passingInk } from './foreign-contrast.ts';

/** The contrast of the text with what is really behind it, in each state. */
export function ForeignContrastRow({
  paints,
  onMend,
}: {
  readonly paints: readonly TextPaint[];
  /** The text is to have a colour in a state that can be read. */
  readonly onMend: (state: ForeignState, colour: string) => void;
}) {
  return (
    <tr>
      <th
        scope="row"
        title="Contrast with what is really behind, by WCAG 2.2"
        className="sticky left-0 z-10 border-r border-b border-twine bg-linen px-2 text-left font-normal"
      >
        contrast
      </th>
      {FOREIGN_STATES.map((state) => {
        const paint = paints.find((one) => one.state === state);
        const report = contrastOf(paint);
        const better = paint && report?.certain === true && !report.passes ? passingInk(paint) : null;
        const tone =
          !report || !report.certain
            ? 'text-ink-soft'
            : report.passes
              ? 'text-reed'
              : 'bg-brick-wash font-semibold text-brick';
        return (
          <td
            key={state}
            role="gridcell"
            data-contrast={state}
            title={
              report && !report.certain
                ? 'A picture lies behind whose colours are not known; this is the ratio without it'
                : undefined
            }
            className={`h-[27px] border-r border-b border-linen px-2 whitespace-nowrap ${tone}`}
          >
            {report && (
              <>
                <span aria-hidden="true">{report.certain ? (report.passes ? '✓' : '✗') : '?'}</span>{' '}
                {report.ratio}
                <span className="text-small text-ink-faint"> of {report.required}</span>
                {better !== null && (
                  <button
                    type="button"
                    aria-label={`Mend ${state}: ${better}`}
                    title={`Make the text ${better}, the nearest colour that can be read there`}
                    className="ml-1.5 cursor-pointer font-normal underline"
                    onClick={() => {
                      onMend(state, better);
                    }}
                  >
                    mend
                  </button>
                )}
              </>
            )}
          </td>
        );
      })}
    </tr>
  );
}
