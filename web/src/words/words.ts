/** Messages of the interface in one place: what happened, what was kept, what to do. */
export const WORDS = {
  saved: 'saved',
  saving: 'saving…',
  offline: 'not saved yet: no connection; your changes are kept here',
  failing: 'not saved yet: the server fails at it; your changes are kept here and tried again',
  notKept: 'not saved yet, and this browser keeps nothing: leave this page open until it is',
  brokenKept:
    'Changes that an earlier page kept in this browser cannot be read. They were put aside; the site is as the server has it.',
  loading: 'Opening the site…',
  siteMissing: 'There is no such site. It may have been deleted.',
  keptForReturn: (count: number) =>
    `${count === 1 ? 'One edit that was not saved is' : `${count} edits that were not saved are`} kept in this browser and will be saved if the site is brought back.`,
  unsent: (name: string, count: number) =>
    `${count === 1 ? 'One edit' : `${count} edits`} of ${name} ${count === 1 ? 'was' : 'were'} not saved before the page was closed.`,
  someSite: 'a site that is no longer here',
  stillUnsent: 'They could not be saved now. They are still kept in this browser.',
  serverAway: 'The server or its database does not answer. Nothing is lost; this page tries again by itself.',
  lostEdit: (label: string, reason: string) => `“${label}” could not be kept: ${reason}.`,
  otherTab: (labels: readonly string[]) =>
    `Changed in another tab: ${labels.slice(0, 3).join(', ')}${labels.length > 3 ? ` and ${labels.length - 3} more` : ''}.`,
  deleted: (name: string) => `${name} was deleted.`,
  menuRemoved: (name: string, placed: readonly string[]) =>
    `${name} was deleted${placed.length > 0 ? `, and taken out of ${[...new Set(placed)].join(', ')}` : ''}.`,
  hidden: (band: string, label: string) =>
    `${band} has a value of its own for ${label}: the new one shows at other widths.`,
  reachOnly: (band: string) => `Change ${band} alone`,
  notTaken: (label: string, typed: string, reason: string) =>
    `“${typed}” was not taken for ${label}, which is as it was: ${reason}.`,
  pasteNotes: (notes: readonly { readonly text: string; readonly reason: string }[]) => {
    const told = notes.slice(0, 3).map(({ text, reason }) => (text === '' ? reason : `“${text}”: ${reason}`));
    const rest = notes.length - told.length;
    return `The links were pasted, with ${notes.length === 1 ? 'one remark' : `${notes.length} remarks`}. ${told.join(' ')}${rest > 0 ? ` And ${rest} more.` : ''}`;
  },
  restore: 'Bring it back',
  deletedKept: 'Kept for 30 days, with everything that was done in them.',
  cannotUndo: (label: string, since: readonly string[]) =>
    `“${label}” cannot be taken back any more: what it changed was changed since in another tab${since.length > 0 ? ` (${since.slice(0, 3).join(', ')})` : ''}.`,
  notLoaded: (reason: string, connected: boolean) =>
    connected
      ? `A part of the interface could not be loaded (${reason}). Your changes are kept; load the page again.`
      : 'A part of the interface could not be loaded, as there is no connection. Leave this page open and try it again when there is one.',
  copyEdit: 'Copy it',
  ownFault: (reason: string) => `this is a fault of Hamaca’s own (${reason}); please report it`,
  copied: 'Copied.',
  copyFailed: 'The browser did not allow copying. Select the text and copy it by hand.',
} as const;
