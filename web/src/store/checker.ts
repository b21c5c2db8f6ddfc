/** The checks of whole documents: a piece of its own, as the interface opens without it. */
export { checkRanEdit } from '@hamaca/core';
