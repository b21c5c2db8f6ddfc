/** The steps of a movement: at which share of its time what is said. */
export type Keyframes = readonly (readonly [
  at: string,
  ...declarations: (readonly [property: string, value: string])[],
])[];

/** How icons move, each from where it rests and back. */
export const ICON_MOTIONS = {
  nudge: [['40%', ['translate', '18% 0']]],
  hop: [
    ['30%', ['translate', '0 -28%']],
    ['55%', ['translate', '0 0']],
    ['72%', ['translate', '0 -10%']],
  ],
  tip: [['45%', ['rotate', '-16deg']]],
  sway: [
    ['25%', ['rotate', '10deg']],
    ['75%', ['rotate', '-10deg']],
  ],
  ring: [
    ['15%', ['rotate', '16deg']],
    ['30%', ['rotate', '-14deg']],
    ['45%', ['rotate', '10deg']],
    ['60%', ['rotate', '-7deg']],
    ['75%', ['rotate', '3deg']],
  ],
  beat: [
    ['20%', ['scale', '1.18']],
    ['40%', ['scale', '1']],
    ['55%', ['scale', '1.1']],
  ],
  spin: [['to', ['rotate', '360deg']]],
  flip: [['to', ['rotate', 'y 360deg']]],
  pop: [
    ['from', ['scale', '.4'], ['opacity', '0']],
    ['70%', ['scale', '1.14'], ['opacity', '1']],
  ],
  draw: [
    ['from', ['stroke-dasharray', '90'], ['stroke-dashoffset', '90']],
    ['to', ['stroke-dasharray', '90'], ['stroke-dashoffset', '0']],
  ],
} as const satisfies Readonly<Record<string, Keyframes>>;

export type IconMotion = keyof typeof ICON_MOTIONS;
