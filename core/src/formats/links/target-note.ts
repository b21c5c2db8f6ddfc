/** What a reader says of a link whose target is not allowed. */
export const targetLeftOut = (reason: string): string => `The target was left out: ${reason}.`;
