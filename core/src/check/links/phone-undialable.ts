import type { LinkCheck } from '../check.ts';

/** A number that cannot be dialled, or only from one country. */
export const phoneUndialable: LinkCheck = {
  of: 'link',
  id: 'phone-undialable',
  label: 'Cannot be dialled',
  why: 'A tap on it calls nobody.',
  check: ({ item }) => {
    if (item.target.kind !== 'phone') return null;
    const { number } = item.target;
    const digits = number.replace(/\D/g, '');
    if (/[a-z]/i.test(number.replace(/(?:ext|x)\.?\s*\d+$/i, '')))
      return { outcome: 'fail', reason: 'The number holds letters.', evidence: number };
    if (digits.length < 3 || digits.length > 15)
      return {
        outcome: 'fail',
        reason: `The number has ${digits.length} digits; 3 to 15 can be dialled (ITU-T E.164).`,
        evidence: number,
      };
    if (number.includes('(0)'))
      return {
        outcome: 'fail',
        reason: 'The (0) is dialled too and leads nowhere from abroad.',
        evidence: number,
        fix: {
          label: 'Drop the (0)',
          edit: {
            name: 'set-item',
            args: {
              id: item.id,
              fields: { target: { kind: 'phone', number: number.replace(/\s*\(0\)\s*/, ' ') } },
            },
          },
        },
      };
    return number.trim().startsWith('+') || digits.length < 7
      ? null
      : {
          outcome: 'look',
          reason: 'Without a country code it can be dialled only at home.',
          evidence: number,
        };
  },
};
