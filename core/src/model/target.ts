/** Where a link leads. `panel` opens a panel of this site, `none` is a parent that only opens. */
export type Target =
  | { readonly kind: 'page'; readonly page: string; readonly section?: string }
  | { readonly kind: 'section'; readonly section: string }
  | { readonly kind: 'url'; readonly url: string }
  | { readonly kind: 'mail'; readonly address: string }
  | { readonly kind: 'phone'; readonly number: string }
  | { readonly kind: 'panel'; readonly panel: string }
  | { readonly kind: 'none' };

/** A link that leads nowhere: one shared value. */
export const NO_TARGET: Target = { kind: 'none' };
