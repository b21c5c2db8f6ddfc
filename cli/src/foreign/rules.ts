import {
  FOREIGN_STATES,
  readForeignPage,
  tellRules,
  type ForeignState,
  type ToldElement,
} from '@hamaca/core';
import type { Output } from '../output.ts';
import { ERRORS } from '../words.ts';
import { bringPage } from './brought-page.ts';

export interface RulesOptions {
  readonly at: string;
  readonly state: ForeignState;
  /** Px. */
  readonly width: number;
  readonly json: boolean;
}

/** Whether a text names one of the states a page can be asked about. */
export const isForeignState = (text: string): text is ForeignState =>
  (FOREIGN_STATES as readonly string[]).includes(text);

const place = ({ file, line, column }: ToldElement['properties'][number]) => `${file}:${line}:${column}`;

/** One element for the terminal: each value with where it stands, and beneath it what it overrides. */
function sentence({ element, properties }: ToldElement): string {
  const lines = properties.flatMap((property) => {
    const of = [property.selector ?? 'style attribute', ...property.conditions].join(' in ');
    const notes = [property.important ? ' !important' : '', property.certain ? '' : '  (not certain)'];
    return [
      `  ${property.name}: ${property.value}${notes.join('')}`,
      `      ${of}, ${place(property)}`,
      ...property.overridden.map(
        (other) =>
          `      over ${other.value}${other.important ? ' !important' : ''}: ${other.selector ?? 'style attribute'}, ${other.file}:${other.line}:${other.column}`,
      ),
    ];
  });
  return `${[element, ...lines].join('\n')}\n`;
}

/** `hamaca rules`: which rules decide how the elements look that a selector finds. */
export async function runRules(
  from: string,
  { at, state, width, json }: RulesOptions,
  output: Output,
): Promise<number> {
  const brought = await bringPage(from, 'stylesheets');
  if (!brought.ok) return output.refuse(brought.error);
  const { files, path, html, missing } = brought.value;
  for (const file of missing) output.warn(ERRORS.fileMissing(file));
  const page = readForeignPage(files, path, html);
  for (const { place: of, text } of page.rules.notes)
    output.warn(of ? `${of.file}:${of.line}: ${text}\n` : `${text}\n`);
  const told = tellRules(page, at, state, { width, height: null });
  if ('reason' in told)
    return output.refuse(told.reason === 'no selector' ? ERRORS.noSelector(at) : ERRORS.noElement(at, from));
  output.print(json ? `${JSON.stringify(told, null, 2)}\n` : told.map(sentence).join('\n'));
  return 0;
}
