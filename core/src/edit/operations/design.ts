import { refuse, succeed } from '../../base/result.ts';
import type { Header } from '../../kinds/pieces/header.ts';
import type { Panel } from '../../kinds/pieces/panel.ts';
import type { Icon, TypeStyle } from '../../model/site.ts';
import { headerParts } from '../../kinds/walk.ts';
import type { EditOperation } from '../draft.ts';
import type { PatchOperation } from '../json-patch.ts';
import { iconsPatch } from './items.ts';
import { unlinkLooks } from './parts.ts';

/** A whole header with its panel, icons it draws and the type it is set in. */
export interface Design {
  readonly header: Header;
  readonly panel: Panel;
  readonly icons: readonly Icon[];
  /** By the id of a type style. */
  readonly typeStyles: Readonly<Record<string, Pick<TypeStyle, 'family' | 'size' | 'weight'>>>;
}

/** Puts a design in the place of a header and its panel. */
export const setDesign: EditOperation<Design> = (site, { header, panel, icons, typeStyles }) => {
  const index = site.pieces.findIndex((piece) => piece.id === header.id && piece.kind === 'header');
  const before = site.pieces[index];
  if (before?.kind !== 'header') return refuse('gone', '/pieces', 'The header is no longer there');
  const stays = new Set([...header.rows.map((row) => row.id), ...headerParts(header).map((part) => part.id)]);
  const gone = new Set(
    [...before.rows.map((row) => row.id), ...headerParts(before).map((part) => part.id)].filter(
      (id) => !stays.has(id),
    ),
  );
  const panelIndex = site.pieces.findIndex((piece) => piece.id === panel.id);
  const styles = site.typeStyles.flatMap((style, place): PatchOperation[] => {
    const type = typeStyles[style.id];
    return type ? [{ op: 'replace', path: `/typeStyles/${place}`, value: { ...style, ...type } }] : [];
  });
  return succeed([
    ...unlinkLooks(site, gone),
    ...iconsPatch(site, icons),
    panelIndex === -1
      ? { op: 'add', path: '/pieces/-', value: panel }
      : { op: 'replace', path: `/pieces/${panelIndex}`, value: panel },
    { op: 'replace', path: `/pieces/${index}`, value: header },
    ...styles,
  ]);
};
