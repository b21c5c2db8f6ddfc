import type { Header } from './pieces/header.ts';
import type { Panel } from './pieces/panel.ts';

export type Piece = Header | Panel;
export type PieceKindName = Piece['kind'];
