import { BlockList, isIP } from 'node:net';

/**
 * Networks that a page on the web never lives in: private use, loopback, link-local, shared, documentation, multicast
 * and reserved ones (IANA special-purpose address registries, RFC 6890).
 */
const PRIVATE = new BlockList();
const V4 = [
  '0.0.0.0/8',
  '10.0.0.0/8',
  '100.64.0.0/10',
  '127.0.0.0/8',
  '169.254.0.0/16',
  '172.16.0.0/12',
  '192.0.0.0/24',
  '192.0.2.0/24',
  '192.88.99.0/24',
  '192.168.0.0/16',
  '198.18.0.0/15',
  '198.51.100.0/24',
  '203.0.113.0/24',
  '224.0.0.0/4',
  '240.0.0.0/4',
];
const V6 = [
  '::/128',
  '::1/128',
  '64:ff9b::/96',
  '64:ff9b:1::/48',
  '100::/64',
  '2001::/23',
  '2001:db8::/32',
  '2002::/16',
  '3fff::/20',
  'fc00::/7',
  'fe80::/10',
  'fec0::/10',
  'ff00::/8',
];
for (const [list, family] of [
  [V4, 'ipv4'],
  [V6, 'ipv6'],
] as const) {
  for (const network of list) {
    const [address = '', bits = ''] = network.split('/');
    PRIVATE.addSubnet(address, Number(bits), family);
  }
}

/** The IPv4 address inside an IPv6 one that stands for it (`::ffff:10.0.0.1`), or null. */
function mappedV4(address: string): string | null {
  const dotted = /^::(?:ffff:)?(\d+\.\d+\.\d+\.\d+)$/i.exec(address)?.[1];
  if (dotted !== undefined) return dotted;
  const match = /^::ffff:([0-9a-f]{1,4}):([0-9a-f]{1,4})$/i.exec(address);
  if (!match) return null;
  const [high, low] = [Number.parseInt(match[1] ?? '', 16), Number.parseInt(match[2] ?? '', 16)];
  return [high >> 8, high & 255, low >> 8, low & 255].join('.');
}

/** Whether an IP address belongs to no public network; what is no IP address counts as private. */
export function isPrivateAddress(address: string): boolean {
  const plain = address.replace(/^\[|\]$/g, '').replace(/%.*$/, '');
  const mapped = mappedV4(plain);
  if (mapped !== null) return isPrivateAddress(mapped);
  const version = isIP(plain);
  return version === 0 || PRIVATE.check(plain, version === 4 ? 'ipv4' : 'ipv6');
}
