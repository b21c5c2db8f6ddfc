/** A place where people keep profiles: what its addresses are like, the library's icon for it and its own colour. */
export interface Network {
  readonly name: string;
  readonly hosts: readonly string[];
  /** Name in the bundled icon library. */
  readonly icon: string;
  readonly colour: string;
}

/** Widespread networks; names and colours are those they give themselves. */
export const NETWORKS: readonly Network[] = [
  { name: 'Bluesky', hosts: ['bsky.app'], icon: 'brand-bluesky', colour: '#0085ff' },
  { name: 'Facebook', hosts: ['facebook.com', 'fb.com'], icon: 'brand-facebook', colour: '#0866ff' },
  { name: 'Flickr', hosts: ['flickr.com'], icon: 'brand-flickr', colour: '#0063dc' },
  { name: 'GitHub', hosts: ['github.com'], icon: 'brand-github', colour: '#181717' },
  { name: 'Instagram', hosts: ['instagram.com'], icon: 'brand-instagram', colour: '#e4405f' },
  { name: 'LinkedIn', hosts: ['linkedin.com'], icon: 'brand-linkedin', colour: '#0a66c2' },
  {
    name: 'Mastodon',
    hosts: ['mastodon.social', 'mastodon.online'],
    icon: 'brand-mastodon',
    colour: '#6364ff',
  },
  { name: 'Pinterest', hosts: ['pinterest.com'], icon: 'brand-pinterest', colour: '#bd081c' },
  { name: 'SoundCloud', hosts: ['soundcloud.com'], icon: 'brand-soundcloud', colour: '#ff5500' },
  { name: 'Spotify', hosts: ['spotify.com'], icon: 'brand-spotify', colour: '#1db954' },
  { name: 'Telegram', hosts: ['t.me', 'telegram.me'], icon: 'brand-telegram', colour: '#26a5e4' },
  { name: 'Threads', hosts: ['threads.net', 'threads.com'], icon: 'brand-threads', colour: '#000000' },
  { name: 'TikTok', hosts: ['tiktok.com'], icon: 'brand-tiktok', colour: '#000000' },
  { name: 'Vimeo', hosts: ['vimeo.com'], icon: 'brand-vimeo', colour: '#1ab7ea' },
  { name: 'WhatsApp', hosts: ['wa.me', 'whatsapp.com'], icon: 'brand-whatsapp', colour: '#25d366' },
  { name: 'X', hosts: ['x.com', 'twitter.com'], icon: 'brand-x', colour: '#000000' },
  { name: 'Xing', hosts: ['xing.com'], icon: 'brand-xing', colour: '#006567' },
  { name: 'YouTube', hosts: ['youtube.com', 'youtu.be'], icon: 'brand-youtube', colour: '#ff0000' },
];

/** The network an address belongs to, subdomains included; null for any other. */
export function networkOf(address: string): Network | null {
  const host = /^https?:\/\/(?:[^@/]*@)?([^/:?#]+)/i.exec(address.trim())?.[1]?.toLowerCase();
  if (host === undefined) return null;
  return (
    NETWORKS.find((network) => network.hosts.some((known) => host === known || host.endsWith(`.${known}`))) ??
    null
  );
}
