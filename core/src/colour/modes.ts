import {
  useMode,
  modeRgb,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeOklab,
  modeOklch,
  modeLrgb,
  modeP3,
  modeXyz65,
  modeXyz50,
  modeA98,
  modeProphoto,
  modeRec2020,
} from 'culori/fn';

/** Makes the colour library know every space CSS Color 4 names; calling it again changes nothing. */
export function registerModes(): void {
  const modes = [
    modeRgb,
    modeHsl,
    modeHwb,
    modeLab,
    modeLch,
    modeOklab,
    modeOklch,
    modeLrgb,
    modeP3,
    modeXyz65,
    modeXyz50,
    modeA98,
    modeProphoto,
    modeRec2020,
  ];
  for (const mode of modes) useMode(mode);
}
