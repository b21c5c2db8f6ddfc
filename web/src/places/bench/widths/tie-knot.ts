import { idsOf, uniqueName, type Edit, type Site } from '@hamaca/core';
import { benchStore } from '../../../store/bench-store.ts';

/** Ties a breakpoint at a width in px, and asks for the name of its band: what was just made is what is to be named. */
export function tieKnot(site: Site, edit: (edit: Edit, label: string) => boolean, at: number): void {
  const id = uniqueName('band', idsOf(site));
  const band = { id, name: `From ${Math.round(at)}`, min: at };
  if (edit({ name: 'add-band', args: { band } }, 'Add a breakpoint')) benchStore.setState({ naming: id });
}
