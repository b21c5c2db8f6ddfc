import { choice, flag, referenceOrNone } from '../../model/shape/fields.ts';
import { OPENER_DRAWINGS, TURNS, type OpenerDrawing, type Turn } from './opener-drawings.ts';

type Fields = Readonly<Record<string, unknown>>;

const isDrawn = (part: Fields) => part['icon'] === null;
const showsDrawing = (part: Fields) => isDrawn(part) && part['drawing'] !== 'none';

/** The fields of a control that opens something: what it is drawn as, how that turns while `what` is open, and its label. */
export const openerFields = (what: string, drawing: OpenerDrawing, turns: Turn) =>
  ({
    drawing: choice(OPENER_DRAWINGS, { label: 'drawn as', initial: drawing, when: isDrawn }),
    turns: choice(TURNS, {
      label: 'turns',
      hint: `into the sign for closing, while ${what} open`,
      initial: turns,
      when: showsDrawing,
    }),
    icon: referenceOrNone('icon', { label: 'icon' }),
    labelShown: flag({
      label: 'with its name',
      hint: 'whether the name stands beside the drawing',
      when: (part) => !isDrawn(part) || part['drawing'] !== 'none',
    }),
  }) as const;

/** A control that opens something, as far as these fields tell. */
interface Opening {
  readonly icon: string | null;
  readonly drawing: OpenerDrawing;
  readonly labelShown: boolean;
}

export const hasDrawing = (part: Opening): boolean => part.icon !== null || part.drawing !== 'none';
export const hasLabel = (part: Opening): boolean => part.labelShown || !hasDrawing(part);
