import { parseArgs } from 'node:util';
import { runExport } from './export.ts';
import { runFit } from './fit.ts';
import {
  FOREIGN_STATES,
  PICTURES_AT,
  PICTURES_AT_ALLOWED,
  PREFIX,
  PREFIX_ALLOWED,
  siteJsonSchema,
  type LinkFormatName,
} from '@hamaca/core';
import { isForeignState, runRules } from './foreign/rules.ts';
import { runRecolour } from './foreign/recolour.ts';
import { runRestyle } from './foreign/restyle.ts';
import { isComing, runStay } from './foreign/stay.ts';
import { READABLE, runLinks } from './links.ts';
import { terminalOutput, type Output } from './output.ts';
import { ERRORS, HELP } from './words.ts';

const OPTIONS = {
  help: { type: 'boolean', short: 'h' },
  out: { type: 'string' },
  from: { type: 'string' },
  json: { type: 'boolean' },
  all: { type: 'boolean' },
  prefix: { type: 'string' },
  pictures: { type: 'string' },
  flat: { type: 'boolean' },
  at: { type: 'string' },
  state: { type: 'string' },
  width: { type: 'string' },
  to: { type: 'string' },
  within: { type: 'string' },
  media: { type: 'string' },
  set: { type: 'string' },
  'in-place': { type: 'boolean' },
  hides: { type: 'boolean' },
  hangs: { type: 'boolean' },
  'appears-after': { type: 'string' },
  scrolled: { type: 'string' },
  'scrolled-logo': { type: 'string' },
  comes: { type: 'string' },
  above: { type: 'string' },
  below: { type: 'string' },
  height: { type: 'string' },
} as const;

/** A length in px that can be given, such as a window's width. */
const PX = /^[1-9]\d{0,4}$/;

/** A length in px; null where none was given. */
const pxOf = (text: string | undefined) => (text === undefined ? null : Number(text));

function readArguments(args: readonly string[]) {
  try {
    return parseArgs({ args: [...args], options: OPTIONS, allowPositionals: true });
  } catch (error) {
    return (error as Error).message;
  }
}

/** Runs the command line; answers the exit code (0 done, 1 unusable input, 2 not understood). */
export async function main(args: readonly string[], output: Output = terminalOutput()): Promise<number> {
  const misuse = (reason: string) => {
    output.warn(ERRORS.usage(reason));
    return 2;
  };
  const read = readArguments(args);
  if (typeof read === 'string') return misuse(read);
  const {
    values,
    positionals: [command, file, ...rest],
  } = read;
  if (values.help || command === undefined) {
    output.print(HELP);
    return values.help ? 0 : 2;
  }
  if (rest.length > 0) return misuse(`"${rest[0] ?? ''}" is one argument too many`);
  if (command === 'export') {
    if (file === undefined || values.out === undefined)
      return misuse('export needs a site file and --out DIR');
    if (values.prefix !== undefined && !PREFIX.test(values.prefix))
      return misuse(`--prefix is ${PREFIX_ALLOWED}`);
    if (values.pictures !== undefined && !PICTURES_AT.test(values.pictures))
      return misuse(`--pictures is ${PICTURES_AT_ALLOWED}`);
    const { prefix, pictures, flat = false } = values;
    return runExport(
      file,
      values.out,
      {
        flat,
        ...(prefix === undefined ? {} : { prefix }),
        ...(pictures === undefined ? {} : { pictures }),
      },
      output,
    );
  }
  if (command === 'schema') {
    if (file !== undefined) return misuse('schema takes no file');
    output.print(`${JSON.stringify(siteJsonSchema(), null, 1)}\n`);
    return 0;
  }
  if (command === 'fit') {
    if (file === undefined) return misuse('fit needs a site file');
    return runFit(file, values.json === true, output);
  }
  if (command === 'rules') {
    const { at, state = 'rest', width = '1280' } = values;
    if (file === undefined || at === undefined) return misuse('rules needs a page and --at SELECTOR');
    if (!isForeignState(state)) return misuse(`--state is one of ${FOREIGN_STATES.join(', ')}`);
    if (!PX.test(width)) return misuse('--width is a number of px');
    return runRules(file, { at, state, width: Number(width), json: values.json === true }, output);
  }
  if (command === 'restyle') {
    const { at, state = 'rest', set, out } = values;
    if (file === undefined || at === undefined || set === undefined || out === undefined)
      return misuse('restyle needs a page, --at SELECTOR, --set DECLARATIONS and --out DIR');
    if (!isForeignState(state)) return misuse(`--state is one of ${FOREIGN_STATES.join(', ')}`);
    const inPlace = values['in-place'] === true;
    const media = values.media === undefined ? [] : [values.media];
    return runRestyle(file, { at, state, set, media, inPlace }, { out, json: values.json === true }, output);
  }
  if (command === 'recolour') {
    const { from, to, within = null, out } = values;
    if (file === undefined || from === undefined || to === undefined || out === undefined)
      return misuse('recolour needs a page, --from COLOUR, --to COLOUR and --out DIR');
    const inPlace = values['in-place'] === true;
    return runRecolour(file, { from, to, within, inPlace }, { out, json: values.json === true }, output);
  }
  if (command === 'stay') {
    const { at, out, hides = false, hangs = false, comes = 'slides', scrolled = null } = values;
    if (file === undefined || at === undefined || out === undefined)
      return misuse('stay needs a page, --at SELECTOR and --out DIR');
    for (const name of ['appears-after', 'above', 'below', 'height'] as const)
      if (values[name] !== undefined && !PX.test(values[name])) return misuse(`--${name} is a number of px`);
    const after = pxOf(values['appears-after']);
    if (hides && after !== null) return misuse('--hides and --appears-after cannot both be');
    const coming = comes.replace('-', ' ');
    if (!isComing(coming)) return misuse('--comes is one of slides, fades, at-once');
    const staying = hides ? ({ kind: 'hides' } as const) : ({ kind: 'on top' } as const);
    const options = {
      at,
      sticking: after === null ? staying : ({ kind: 'appears', after } as const),
      coming,
      widths: { from: pxOf(values.above), below: pxOf(values.below) },
      scrolled,
      scrolledLogo: values['scrolled-logo'] ?? null,
      height: pxOf(values.height),
      hangs,
      ways: {},
    };
    return runStay(file, options, { out, json: values.json === true }, output);
  }
  if (command === 'links') {
    if (file === undefined) return misuse('links needs a file');
    if (values.from !== undefined && !(READABLE as readonly string[]).includes(values.from))
      return misuse(`--from is one of ${READABLE.join(', ')}`);
    return runLinks(
      file,
      {
        from: values.from as LinkFormatName | undefined,
        json: values.json === true,
        all: values.all === true,
      },
      output,
    );
  }
  return misuse(`there is no command "${command}"`);
}
