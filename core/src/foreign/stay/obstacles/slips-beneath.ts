import { parentOf } from '../../tree.ts';
import { declare, type FindObstacles } from '../obstacle.ts';

/** What hangs in the window takes no room any more: what follows would slip beneath it. */
export const slipsBeneath: FindObstacles = ({ target, isFixed, wasOver, height, reader, selectorOf }) => {
  const element = parentOf(target);
  if (!isFixed || wasOver || !element) return [];
  const text = `${selectorOf(element)} would move up beneath the header, which takes no room once it hangs in the window`;
  const padding = /^(\d+(?:\.\d+)?)px$/.exec(reader.value(element, 'padding-top'))?.[1] ?? '0';
  const canPad = /^0$|px$/.test(reader.value(element, 'padding-top'));
  return [
    {
      kind: 'slips beneath',
      element,
      said: null,
      text:
        height === null
          ? `${text}; how high it is only layout can tell, so say it (--height)`
          : canPad
            ? text
            : `${text}, and has a padding of its own that cannot be added to`,
      ways:
        height === null || !canPad
          ? []
          : [
              {
                id: 'room',
                text: `${selectorOf(element)} keeps ${height} px free at its top`,
                rules: [{ element, declarations: [declare('padding-top', `${Number(padding) + height}px`)] }],
              },
            ],
    },
  ];
};
