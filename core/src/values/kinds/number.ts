import { fail, succeed } from '../../base/result.ts';
import { isWithin, type ValueKind } from '../value-kind.ts';
import { stepAmount, withPoint } from './length.ts';

const UNIT_CSS = {
  ms: (value: number) => `${value}ms`,
  '%': (value: number) => String(value / 100),
} as const;

/** A number without a unit, or with the one its property has. */
export const NUMBER: ValueKind<'number', number> = {
  id: 'number',
  accepts: ({ min, max }, value) => isWithin(value, min, max),
  allowed: ({ min, max }) => `a number from ${min} to ${max}`,
  schema: ({ min, max }) => ({ type: 'number', minimum: min, maximum: max }),
  parse: ({ min, max, unit = '' }, text) => {
    const match = /^(-?\d*\.?\d+)\s*(ms|%)?$/.exec(withPoint(text));
    if (!match || (match[2] !== undefined && match[2] !== unit))
      return fail(`“${text}” is no number${unit === '' ? '' : ` of ${unit}`} from ${min} to ${max}`);
    const value = Number(match[1]);
    return isWithin(value, min, max) ? succeed(value) : fail(`${text} is outside ${min} to ${max}`);
  },
  step: (entry, value, steps) =>
    typeof value === 'number' ? stepAmount(entry, { amount: value, unit: 'px' }, steps) : null,
  css: (value, _out, { unit }) =>
    unit === undefined ? String(Number(value)) : UNIT_CSS[unit](Number(value)),
};
