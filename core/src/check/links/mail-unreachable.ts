import type { LinkCheck } from '../check.ts';

/** One `@`, a host with a dot, no white space (a part of RFC 5321 that mistakes break). */
const MAIL = /^[^\s@<>",;:()[\]\\]+@[a-z0-9](?:[a-z0-9-]*[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]*[a-z0-9])?)+$/i;

/** A mail address that no mail reaches. */
export const mailUnreachable: LinkCheck = {
  of: 'link',
  id: 'mail-unreachable',
  label: 'Not a mail address',
  why: 'The mail program opens with an address that does not exist.',
  check: ({ item }) => {
    if (item.target.kind !== 'mail') return null;
    const address = item.target.address.split('?')[0] ?? '';
    return MAIL.test(address) && !address.includes('..')
      ? null
      : { outcome: 'fail', reason: 'This is no mail address.', evidence: item.target.address };
  },
};
