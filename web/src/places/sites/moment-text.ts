const format = new Intl.DateTimeFormat('en', { dateStyle: 'medium', timeStyle: 'short' });

/** A moment, as the server tells it, in words. */
export const momentText = (iso: string): string => format.format(new Date(iso));
