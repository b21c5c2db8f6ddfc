import { initialOf, type Shape } from '../model/shape/field.ts';
import type { PartBase } from './kind.ts';

/** A part with the initial values of its shape, and what is told besides: for kinds that make parts of another one. */
export const newPart = <P extends PartBase>(
  shape: Shape,
  told: Pick<P, 'kind' | 'id' | 'look'> & Partial<P>,
): P => ({ ...initialOf(shape), ...told }) as unknown as P;
