/** What the address of the folder of pictures may be: a path or an address that ends in a slash. */
export const PICTURES_AT = /^(?:https?:\/\/[\w.-]+(?::\d{1,5})?)?\/?(?:[\w.~-]+\/)*$/;
export const PICTURES_AT_ALLOWED = 'a path or an https address that ends in “/”, such as /pictures/';

/** Where pictures lie beside the stylesheet in the hand-off. */
const FOLDER = 'pictures/';

/** A picture that was kept in the site, as a file of the hand-off. */
export interface PictureFile {
  readonly name: string;
  readonly base64: string;
}

const DATA = /data:image\/(png|jpeg|webp|gif|avif);base64,([A-Za-z0-9+/]+=*)/g;

/** Whether a text holds pictures written out, which a strict content security policy refuses. */
export const holdsPictures = (text: string): boolean => text.search(DATA) !== -1;

/** Takes the pictures out of markup and stylesheet: each becomes a file once, in the order they are met. */
export function createPictures(at: string): {
  readonly fromMarkup: (markup: string) => string;
  readonly fromStylesheet: (stylesheet: string) => string;
  readonly files: () => PictureFile[];
} {
  const files = new Map<string, PictureFile>();
  const take = (text: string, folder: string) =>
    text.replace(DATA, (data, kind: string, base64: string) => {
      const known = files.get(data);
      const name = known?.name ?? `picture-${files.size + 1}.${kind === 'jpeg' ? 'jpg' : kind}`;
      if (!known) files.set(data, { name, base64 });
      return folder + name;
    });
  return {
    // A page may lie in any folder, so it is told where pictures are; a stylesheet finds them beside itself.
    fromMarkup: (markup) => take(markup, at),
    fromStylesheet: (stylesheet) => take(stylesheet, FOLDER),
    files: () => [...files.values()].map((file) => ({ ...file, name: FOLDER + file.name })),
  };
}
