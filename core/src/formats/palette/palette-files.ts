import { cutText } from '../../base/well-formed.ts';
import { isRecord, jsonDepth } from '../../base/json.ts';
import { slugify, uniqueName } from '../../base/ids.ts';
import { formatColour, parseColour, type Rgba } from '../../colour/colour.ts';
import { LIMITS } from '../../values/limits.ts';
import type { Site } from '../../kinds/site.ts';
import type { Swatch } from '../../model/swatch.ts';
import { isDerived } from '../../model/swatch.ts';
import { colourOf, swatchColour } from '../../resolve/colours.ts';
import { ROLES, type ColourValue, type Role } from '../../values/values.ts';
import type { SingleEdit } from '../../edit/operations.ts';
import { idsOf } from '../../kinds/placed.ts';

/** A colour as a file names it. */
export interface NamedColour {
  readonly name: string;
  /** A CSS colour. */
  readonly value: string;
  /** The role it is the colour of, where the file says so; otherwise it is a swatch. */
  readonly role?: Role;
  /** Name of the swatch a role leads to. */
  readonly follows?: string;
}

export interface ReadPalette {
  readonly format: 'design tokens' | 'CSS custom properties' | 'GIMP palette' | 'SVG' | 'list of colours';
  readonly colours: readonly NamedColour[];
  /** What was left out, in words. */
  readonly notes: readonly string[];
}

/** `--brand-reed` or `brandReed` as a designer would write it: Brand reed. */
function titled(name: string): string {
  const words = name
    .replace(/^-+/, '')
    .replace(/([a-z\d])([A-Z])/g, '$1 $2')
    .replace(/[-_./\s]+/g, ' ')
    .trim()
    .toLowerCase();
  return words === '' ? 'Colour' : words.charAt(0).toUpperCase() + words.slice(1, 80);
}

// --- design tokens -----------------------------------------------------------------------------------------------------

/** Deepest nesting of groups that is followed. */
const MOST_DEPTH = 40;

/** A token's colour: a colour string, or the object form (W3C Design Tokens, color module). */
function tokenColour(value: unknown): string | null {
  if (typeof value === 'string') return parseColour(value) ? value : null;
  if (!isRecord(value) || !Array.isArray(value['components'])) return null;
  const numbers = value['components'].map((part: unknown) => (part === 'none' ? 0 : part));
  if (
    numbers.length !== 3 ||
    !numbers.every((part): part is number => typeof part === 'number' && Number.isFinite(part))
  )
    return null;
  const alpha = typeof value['alpha'] === 'number' ? ` / ${value['alpha']}` : '';
  const space = value['colorSpace'];
  const percent = space === 'hsl' || space === 'hwb' ? '%' : '';
  const functions = ['lab', 'lch', 'oklab', 'oklch', 'hsl', 'hwb'];
  const inside = `${numbers[0]} ${numbers[1]}${percent} ${numbers[2]}${percent}${alpha}`;
  const css =
    typeof space === 'string' && functions.includes(space)
      ? `${space}(${inside})`
      : `color(${typeof space === 'string' ? space : 'srgb'} ${inside})`;
  const parsed = parseColour(css);
  return parsed && formatColour(parsed);
}

interface Token {
  readonly path: readonly string[];
  readonly value: unknown;
  readonly description: string;
}

/** Every colour token; a group's type holds for those in it. */
function collectTokens(
  node: Record<string, unknown>,
  path: readonly string[],
  type: unknown,
  found: Token[],
): void {
  if (path.length > MOST_DEPTH) return;
  const own = node['$type'] ?? type;
  if ('$value' in node) {
    const description = node['$description'];
    if (own === 'color')
      found.push({
        path,
        value: node['$value'],
        description: typeof description === 'string' ? description.trim() : '',
      });
    return;
  }
  for (const [key, child] of Object.entries(node))
    if (!key.startsWith('$') && isRecord(child)) collectTokens(child, [...path, key], own, found);
}

/** The token that a value only names, or null. */
const aliasOf = (value: unknown): string | null =>
  (typeof value === 'string' ? /^\{([^}]+)\}$/.exec(value)?.[1] : undefined) ?? null;

function readTokens(root: Record<string, unknown>): ReadPalette {
  const tokens: Token[] = [];
  collectTokens(root, [], undefined, tokens);
  const byPath = new Map(tokens.map((token) => [token.path.join('.'), token]));
  const notes: string[] = [];
  /** What names lead to in the end, each followed once. */
  const ends = new Map<string, unknown>();
  const follow = (value: unknown): unknown => {
    const way = new Set<string>();
    let at = value;
    for (let alias = aliasOf(at); alias !== null; alias = aliasOf(at)) {
      if (ends.has(alias) || way.has(alias)) {
        at = ends.get(alias) ?? null;
        break;
      }
      way.add(alias);
      at = byPath.get(alias)?.value ?? null;
    }
    for (const alias of way) ends.set(alias, at);
    return at;
  };
  // In a file of ours swatches are called what their description says, and roles are roles.
  const isOwn = isRecord(root['swatch']) && isRecord(root['role']);
  const nameOf = ({ path: [group], path, description }: Token) =>
    isOwn && group === 'swatch' && description !== '' ? description : titled(path.at(-1) ?? '');
  const colours = tokens.flatMap((token): NamedColour[] => {
    const { path, value } = token;
    const colour = tokenColour(follow(value));
    const role = isOwn && path[0] === 'role' ? ROLES.find((one) => one === path[1]) : undefined;
    if (colour !== null && role !== undefined) {
      const led = byPath.get(aliasOf(value) ?? '');
      return [{ name: `role ${role}`, value: colour, role, ...(led ? { follows: nameOf(led) } : {}) }];
    }
    if (colour !== null) return [{ name: nameOf(token), value: colour }];
    notes.push(`${path.join('.')} is no colour that can be read`);
    return [];
  });
  return { format: 'design tokens', colours, notes };
}

// --- CSS, GIMP and plain text ------------------------------------------------------------------------------------------

function readCss(text: string): ReadPalette {
  const notes: string[] = [];
  const values = new Map<string, string>();
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, ' ');
  for (const match of plain.matchAll(/(--[\w-]+)\s*:\s*([^;{}]+)/g))
    values.set(match[1] ?? '', (match[2] ?? '').trim());
  const follow = (value: string, depth = 0): string => {
    const name = /^var\(\s*(--[\w-]+)\s*(?:,[^)]*)?\)$/.exec(value)?.[1];
    return name === undefined || depth > 20 ? value : follow(values.get(name) ?? '', depth + 1);
  };
  const colours = [...values].flatMap(([name, value]): NamedColour[] => {
    const colour = follow(value);
    if (parseColour(colour)) return [{ name: titled(name), value: colour.toLowerCase() }];
    notes.push(`${name} is no colour`);
    return [];
  });
  return { format: 'CSS custom properties', colours, notes };
}

/** The palette format of GIMP: a heading, then lines of red, green, blue and a name. */
function readGpl(text: string): ReadPalette {
  const notes: string[] = [];
  const colours = text
    .split(/\r\n?|\n/)
    .slice(1)
    .flatMap((line, index): NamedColour[] => {
      if (/^\s*(#|$|Name:|Columns:|Channels:)/i.test(line)) return [];
      const match = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line);
      const channels = match ? [match[1], match[2], match[3]].map(Number) : [];
      if (!match || channels.some((channel) => channel > 255)) {
        notes.push(`line ${index + 2} is no colour`);
        return [];
      }
      const [r = 0, g = 0, b = 0] = channels.map((channel) => channel / 255);
      const value = formatColour({ r, g, b, a: 1 });
      return [
        {
          name:
            match[4] === undefined || /^untitled$/i.test(match[4].trim())
              ? value
              : cutText(match[4].trim(), 80),
          value,
        },
      ];
    });
  return { format: 'GIMP palette', colours, notes };
}

/** Every colour written in a drawing, the commonest first. */
function readSvg(text: string): ReadPalette {
  const counts = new Map<string, number>();
  for (const match of text.matchAll(
    /(?:fill|stroke|stop-color|color)\s*[=:]\s*["']?\s*(#[\da-f]{3,8}\b|[a-z]+\([^)"';]*\)|[a-z]+)/gi,
  )) {
    const parsed = parseColour(match[1] ?? '');
    if (!parsed || parsed.a === 0) continue;
    const value = formatColour(parsed);
    counts.set(value, (counts.get(value) ?? 0) + 1);
  }
  const colours = [...counts]
    .sort((one, two) => two[1] - one[1])
    .map(([value]): NamedColour => ({ name: value, value }));
  return { format: 'SVG', colours, notes: [] };
}

function readList(text: string): ReadPalette {
  const notes: string[] = [];
  const colours = text.split(/[\n;]+/).flatMap((line): NamedColour[] => {
    const trimmed = line.trim();
    if (trimmed === '') return [];
    if (parseColour(trimmed)) return [{ name: cutText(trimmed, 80), value: trimmed.toLowerCase() }];
    const match = /^(.*?)[\s:=,]+(#[\da-f]{3,8}|[a-z]+\(.*\))$/i.exec(trimmed);
    if (match && parseColour(match[2] ?? ''))
      return [{ name: titled(match[1] ?? ''), value: (match[2] ?? '').toLowerCase() }];
    notes.push(`“${cutText(trimmed, 40)}” is no colour`);
    return [];
  });
  return { format: 'list of colours', colours, notes };
}

/** Most notes that are told; more would not be read. */
const MOST_NOTES = 20;

/** Reads colours from design tokens, CSS custom properties, a GIMP palette, an SVG or a plain list, whichever it is. */
export function readPalette(text: string): ReadPalette {
  const read = readAny(text);
  const seen = new Set<string>();
  const colours = read.colours.filter(({ name, value }) => {
    const key = `${name} ${value}`;
    return seen.has(key) ? false : seen.add(key);
  });
  const over = colours.length - LIMITS.swatches;
  const notes =
    over > 0 ? [`${over} more colours than a palette holds were left out`, ...read.notes] : read.notes;
  return { ...read, colours: colours.slice(0, LIMITS.swatches), notes: notes.slice(0, MOST_NOTES) };
}

function readAny(text: string): ReadPalette {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('{')) {
    try {
      const parsed: unknown = JSON.parse(start);
      if (isRecord(parsed) && jsonDepth(parsed, LIMITS.json) <= LIMITS.json) return readTokens(parsed);
    } catch (reason) {
      return {
        format: 'design tokens',
        colours: [],
        notes: [`This looks like design tokens, but it is no JSON: ${(reason as Error).message}`],
      };
    }
  }
  if (/^GIMP Palette/i.test(start)) return readGpl(start);
  if (/<svg[\s>]/i.test(start)) return readSvg(start);
  return /--[\w-]+\s*:/.test(start) ? readCss(start) : readList(start);
}

/** Colours from elsewhere as swatches of a site, with ids and names of their own. */
export function asSwatches(colours: readonly NamedColour[], used: ReadonlySet<string>): Swatch[] {
  const taken = new Set(used);
  return colours.map(({ name, value }) => {
    const id = uniqueName(slugify(name, 'colour'), taken);
    taken.add(id);
    return { id, name: cutText(name, 80), value };
  });
}

const sameColour = (site: Site, value: ColourValue, colour: string) =>
  formatColour(colourOf(site, value)) === formatColour(parseColour(colour) ?? NO_COLOUR);

const NO_COLOUR: Rgba = { r: 0, g: 0, b: 0, a: 0 };

/** What a role is set to, to have a colour: a link to a swatch where one has it, whatever its opacity. */
function roleValue(palette: readonly Swatch[], site: Site, { value, follows }: NamedColour): ColourValue {
  const named = palette.find(({ name }) => name === follows);
  if (named) return { swatch: named.id };
  const colour = parseColour(value) ?? NO_COLOUR;
  const opaque = formatColour({ ...colour, a: 1 });
  const alike = site.palette.find(({ id }) => sameColour(site, { swatch: id }, opaque));
  return alike ? { swatch: alike.id, alpha: colour.a } : { literal: value };
}

/**
 * Brings colours along: one with the name of a swatch changes that one, others are new, and roles a file tells lead where it
 * says. What is the same already stays as it is, so that a file of our own changes nothing.
 */
export function bringColours(site: Site, colours: readonly NamedColour[]): readonly SingleEdit[] {
  const known = new Map(site.palette.map((swatch) => [swatch.name.toLowerCase(), swatch]));
  const changed = colours.filter(({ name, value, role }) => {
    const swatch = known.get(name.toLowerCase());
    return role === undefined && !(swatch && sameColour(site, { swatch: swatch.id }, value));
  });
  const swatches = asSwatches(changed, idsOf(site));
  // A swatch that is changed keeps its id.
  const palette = [...site.palette, ...swatches.filter(({ name }) => !known.has(name.toLowerCase()))];
  const roles = colours.flatMap((colour): SingleEdit[] => {
    const { role, value } = colour;
    if (role === undefined || sameColour(site, site.roles[role], value)) return [];
    return [{ name: 'set-role', args: { role, value: roleValue(palette, site, colour) } }];
  });
  return [
    ...(swatches.length > 0 ? [{ name: 'import-swatches', args: { swatches } } as const] : []),
    ...roles,
  ];
}

const byte = (channel: number) => Math.round(channel * 255);
const asWritten = (site: Site, swatch: Swatch) =>
  isDerived(swatch) ? formatColour(swatchColour(site, swatch.id)) : swatch.value;

/** The palette as CSS custom properties on the root element. */
export function printPaletteCss(site: Site): string {
  return `:root {\n${site.palette.map((swatch) => `  --${swatch.id}: ${asWritten(site, swatch)};\n`).join('')}}\n`;
}

/** The palette in GIMP's format; translucent colours are written opaque, as it knows no others. */
export function printPaletteGpl(site: Site): string {
  const oneLine = (text: string) => text.replace(/\s+/g, ' ');
  const line = ({ r, g, b }: Rgba, name: string) =>
    `${[r, g, b].map((channel) => String(byte(channel)).padStart(3)).join(' ')}\t${oneLine(name)}\n`;
  return `GIMP Palette\nName: ${oneLine(site.name)}\nColumns: 8\n#\n${site.palette.map((swatch) => line(swatchColour(site, swatch.id), swatch.name)).join('')}`;
}
