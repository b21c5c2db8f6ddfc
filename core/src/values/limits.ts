/** Bounds a site document keeps to, so that no input can make Hamaca slow or fill the store. */
export const LIMITS = {
  /** Longest label, name or title, in characters. */
  label: 500,
  url: 2048,
  svg: 200_000,
  /** Longest picture kept as data in the document, in characters. */
  image: 60_000,
  icons: 500,
  /** Links in all menus of a site. */
  links: 20_000,
  menus: 200,
  pages: 60_000,
  swatches: 500,
  /** Pages that exist already and are brought along, files of each, bytes of one file and of all of one page. */
  foreignPages: 20,
  pageFiles: 400,
  pageFile: 8 * 1024 * 1024,
  pageBytes: 64 * 1024 * 1024,
  /** Deepest nesting of links. */
  depth: 32,
  /** Deepest nesting of any JSON that is read. */
  json: 128,
  /** Operations of one edit. */
  operations: 20_000,
  /** Size of a site file in bytes. */
  file: 32 * 1024 * 1024,
} as const;

/** Schemes a link may have; everything else is refused (scripts foremost). */
export const ALLOWED_SCHEMES = ['https', 'http', 'mailto', 'tel', 'sms', 'ftp'] as const;
