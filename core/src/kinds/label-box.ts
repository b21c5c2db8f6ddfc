/** The class of what stands around an icon of a slot and its label, as a slot of the same thing. */
export const boxAround = (slot: string): string => `${slot}-box`;
