import { sameJson } from '../base/json.ts';
import { lazy } from '../base/memo.ts';
import type { BehaviourId } from '../kinds/behaviours/behaviours.ts';
import { SITE_SHAPE } from '../kinds/catalogue.ts';
import { joined, type Fragment } from '../kinds/out.ts';
import { changedLooks, isSameButPainted } from '../kinds/same-structure.ts';
import type { Site } from '../kinds/site.ts';
import { cssComment, cssText, printCss, printStylesheet, type PrintedCss } from '../print/css.ts';
import { printHtml } from '../print/html.ts';
import { styleRule, type ConditionalRule, type HtmlNode } from '../print/trees.ts';
import type { Typeface } from '../text/typefaces.ts';
import { createContext, type CompileContext, type CompileOptions } from './context.ts';
import { createElementMap, type ElementMap } from './elements.ts';
import { makeFaces, typefacesOf, type Faces } from './fonts.ts';
import { beneaths } from './hang.ts';
import { usedIconSets } from './icons.ts';
import { keyframeRules } from './keyframes.ts';
import type { InheritedBase } from './default-rules.ts';
import { askedLevels, isSameAsked, withLevels, type AskedLevels } from './levels.ts';
import { lookRules, lookRulesAgain, type LookRules } from './look-rules.ts';
import { leastHeights } from './outs/heights.ts';
import { compilePiece } from './outs/piece-out.ts';
import { commonRules, inheritedBase, modeRules, resetRules } from './reset.ts';
import { arrangedBy } from './said.ts';
import { printScript } from './script.ts';
import { flatText, makeSheet, nestedText, sheetStatements, type MadeSheet } from './sheet/stylesheet.ts';
import { hidingRules } from './shown.ts';
import { isSameUsage, joinUsages, usageOf, type Usage } from './usage.ts';
import { familyName, paletteDeclarations } from './values.ts';
import { weightsByFamily } from './weights.ts';

/** A site as the pages it is pasted into get it. */
export interface Compiled {
  /** The markup of each piece by its id, in document order. */
  readonly pieces: ReadonlyMap<string, string>;
  readonly stylesheet: string;
  /** The statements of the stylesheet in order; neighbours under the same conditions share one. */
  readonly statements: readonly string[];
  readonly script: string;
  readonly elements: ElementMap;
  /** Start of all names, and the class of every root. */
  readonly prefix: string;
  readonly root: string;
  readonly typefaces: readonly Typeface[];
  /** The files the stylesheet loads them from, by name without their ending. */
  readonly fontFiles: readonly string[];
  /** Icon libraries that drawings in the markup come from. */
  readonly iconSets: readonly string[];
  /** What the script does. */
  readonly behaviours: readonly BehaviourId[];
}

/** Every class in some markup. */
function classesIn(fragments: readonly Fragment[]): ReadonlySet<string> {
  const lists = new Set<string>();
  const visit = (nodes: readonly HtmlNode[]) => {
    for (const node of nodes) {
      if (node.node !== 'element') continue;
      const names = node.attributes['class'];
      if (typeof names === 'string') lists.add(names);
      visit(node.children);
    }
  };
  for (const { nodes } of fragments) visit(nodes);
  const found = new Set<string>();
  for (const names of lists) for (const name of names.split(' ')) found.add(name);
  return found;
}

/** The markup of a site and what follows from it, whatever the looks. */
interface MadeMarkup {
  readonly context: CompileContext;
  /** What markup and arrangement are told of looks: the least heights of rows, and what lies around what hangs from them. */
  readonly told: () => string;
  readonly fragments: readonly Fragment[];
  readonly used: ReadonlySet<string>;
  readonly elements: () => ElementMap;
  readonly iconSets: () => readonly string[];
}

/** The markup with the levels that rules ask for, and as text. */
interface LeveledMarkup {
  readonly fragments: readonly Fragment[];
  readonly asked: AskedLevels;
  readonly nodes: readonly HtmlNode[];
  readonly pieces: ReadonlyMap<string, string>;
}

/** The rules of a site and what they were made with. */
interface MadeRules {
  readonly inherited: InheritedBase;
  readonly before: readonly ConditionalRule[];
  /** How many of those are for all pieces. */
  readonly basics: number;
  readonly looks: LookRules;
  readonly after: readonly ConditionalRule[];
}

/** Everything that compiling a document made, for the next one. */
interface Made {
  readonly markup: MadeMarkup;
  readonly rules: MadeRules;
  readonly leveled: LeveledMarkup;
  readonly named: MadeNamed;
  readonly faces: MadeFaces;
  readonly sheet: MadeSheet;
  readonly faceText: PrintedCss;
  readonly keyframeText: PrintedCss;
  readonly script: MadeScript;
}

/** The script and what it does. */
interface MadeScript {
  readonly scrolls: boolean;
  readonly behaviours: readonly BehaviourId[];
  readonly text: string;
}

/** What the rules name that is declared elsewhere, and where that is. */
interface MadeNamed {
  readonly usages: readonly Usage[];
  readonly usage: Usage;
  /** The custom properties of the palette. */
  readonly palette: readonly ConditionalRule[];
  readonly keyframes: readonly ConditionalRule[];
}

interface MadeFaces extends Faces {
  readonly typefaces: readonly Typeface[];
  /** Of each typeface the weights it is used in. */
  readonly weights: readonly (readonly number[])[];
}

/** What markup does not depend on, besides looks. */
const NOT_IN_MARKUP: readonly string[] = [
  'palette',
  'roles',
  'typeStyles',
  'sameLooks',
  'scenes',
  'foreignPages',
  'pieces',
] satisfies (keyof Site)[];
const IN_MARKUP = (Object.keys(SITE_SHAPE) as (keyof Site)[]).filter((key) => !NOT_IN_MARKUP.includes(key));

function makeMarkup(context: CompileContext): MadeMarkup {
  const fragments = context.pieces.map((piece) => compilePiece(context, piece));
  return {
    context,
    told: lazy(() => toldOf(context)),
    fragments,
    used: classesIn(fragments),
    elements: lazy(() => createElementMap({ ...context, levelsByPlace: true })),
    iconSets: lazy(() => usedIconSets(context)),
  };
}

/** What markup and arrangement are told of looks, as text. */
const toldOf = (context: CompileContext): string =>
  [
    leastHeights(context),
    beneaths(context),
    arrangedBy(context),
    [...context.givingWay.values()].join(),
  ].join(' ');

/** The markup of a site: what was made last where it is the same but for looks. */
function markupOf(site: Site, options: CompileOptions, last: MadeMarkup | undefined): MadeMarkup {
  const changes = last && changedLooks(last.context.site, site, IN_MARKUP);
  if (!last || !changes) return makeMarkup(createContext(site, options));
  if (isSameButPainted(last.context.site, site, changes)) {
    const arranged = last.context.arranged ?? last.context;
    return { ...last, context: createContext(site, options, { arranged }) };
  }
  const context = createContext(site, options, { names: last.context.names });
  return last.told() === toldOf(context) ? { ...last, context } : makeMarkup(context);
}

/** The markup with its levels: what was made last where it is the same and rules ask for no others. */
function leveledMarkup(
  { context, fragments }: MadeMarkup,
  lists: readonly (readonly ConditionalRule[])[],
  last: LeveledMarkup | undefined,
): LeveledMarkup {
  const asked = askedLevels(lists, context.names);
  if (last?.fragments === fragments && isSameAsked(asked, last.asked)) return last;
  const made = fragments.map(({ nodes }) => withLevels(context, nodes, asked));
  const pieces = context.pieces.map(({ id }, index) => [id, printHtml(made[index] ?? [])] as const);
  return { fragments, asked, nodes: made.flat(), pieces: new Map(pieces) };
}

function makeRules(markup: MadeMarkup, last: Made | undefined): MadeRules {
  const { context, used, fragments } = markup;
  const inherited = inheritedBase(context);
  const isSame =
    last?.markup.fragments === fragments &&
    last.markup.context.site.typeStyles === context.site.typeStyles &&
    sameJson(last.rules.inherited, inherited);
  if (isSame) return { ...last.rules, looks: lookRulesAgain(context, inherited, last.rules.looks) };
  const basics = [...resetRules(context, inherited, used), ...commonRules(context, used)];
  return {
    inherited,
    basics: basics.length,
    before: [...basics, ...joined(fragments).rules],
    looks: lookRules(context, inherited, used),
    after: [...hidingRules(context, used), ...modeRules(context)],
  };
}

/** What the rules name: what was made last where they name the same and the palette is. */
function namedBy(
  context: CompileContext,
  lists: readonly (readonly ConditionalRule[])[],
  last: Made | undefined,
): MadeNamed {
  const usages = lists.map(usageOf);
  const before = last?.markup.context;
  const isSame =
    last !== undefined &&
    before?.names === context.names &&
    before.site.palette === context.site.palette &&
    before.site.roles === context.site.roles &&
    usages.length === last.named.usages.length &&
    usages.every((usage, index) => isSameUsage(usage, last.named.usages[index]));
  if (isSame) return { ...last.named, usages };
  const usage = joinUsages(usages);
  const palette = paletteDeclarations(context, usage.variables);
  return {
    usages,
    usage,
    palette: palette.length > 0 ? [styleRule(context.root, palette)] : [],
    keyframes: keyframeRules(context, usage.animations),
  };
}

/** The weights of a family as numbers, lightest first. */
const numbersOf = (weights: ReadonlySet<string> = new Set()): readonly number[] =>
  [...weights]
    .map(Number)
    .filter((weight) => weight > 0)
    .sort((a, b) => a - b);

function facesOf(
  { context, fragments }: MadeMarkup,
  looks: LookRules,
  { usages, usage }: MadeNamed,
  last: Made | undefined,
): MadeFaces {
  const typefaces = typefacesOf(context, usage.families);
  const [root, ...others] = usages;
  const byFamily = root ? weightsByFamily(looks, root, others) : new Map<string, ReadonlySet<string>>();
  const weights = typefaces.map(({ id }) => numbersOf(byFamily.get(familyName(context, id))));
  const known = last?.markup.fragments === fragments ? last.faces : null;
  const isSame =
    known?.typefaces.length === typefaces.length &&
    known.typefaces.every((typeface, index) => typeface === typefaces[index]) &&
    sameJson(known.weights, weights);
  if (isSame) return known;
  const weightsOf = (typeface: Typeface) => weights[typefaces.indexOf(typeface)] ?? [];
  return { typefaces, weights, ...makeFaces(context, typefaces, weightsOf) };
}

/** The script of a site: what was made last where the markup is the same and the looks ask for no more. */
function scriptOf({ context, fragments }: MadeMarkup, looks: LookRules, last: Made | undefined): MadeScript {
  const scrolls = looks.some((made) => made.scrolls);
  if (last?.markup.fragments === fragments && last.script.scrolls === scrolls) return last.script;
  const needed = new Set<BehaviourId>(fragments.flatMap(({ behaviours }) => behaviours));
  if (scrolls) needed.add('scrolled');
  return { scrolls, behaviours: [...needed], text: printScript(context, needed) };
}

function make(site: Site, options: CompileOptions, last: Made | undefined): Made {
  const markup = markupOf(site, options, last?.markup);
  const rules = makeRules(markup, last);
  const lists = [rules.before];
  for (const made of rules.looks) lists.push(made.rules);
  lists.push(rules.after);
  const leveled = leveledMarkup(markup, lists, last?.leveled);
  const named = namedBy(markup.context, lists, last);
  const all = [...named.palette];
  for (const list of lists) for (const rule of list) all.push(rule);
  const faces = facesOf(markup, rules.looks, named, last);
  const basics = named.palette.length + rules.basics;
  return {
    markup,
    rules,
    leveled,
    named,
    faces,
    sheet: makeSheet(markup.context, leveled.nodes, { rules: all, basics }, last?.sheet),
    faceText: printStylesheet(faces.rules, last?.faceText),
    keyframeText: printStylesheet(named.keyframes, last?.keyframeText),
    script: scriptOf(markup, rules.looks, last),
  };
}

/** Texts of a stylesheet one after the other, each under a comment where it has one; those that are empty are left out. */
const inChapters = (chapters: readonly (readonly [title: string | null, text: string])[]): string =>
  chapters
    .filter(([, text]) => text !== '')
    .map(([title, text]) => (title === null ? text : `${cssComment(title)}\n${text}`))
    .join('\n');

function finish({ markup, leveled, faces, faceText, sheet, keyframeText, script }: Made): Compiled {
  const { names } = markup.context;
  return {
    pieces: leveled.pieces,
    statements: [...faceText.statements, ...sheetStatements(sheet), ...keyframeText.statements],
    get stylesheet() {
      const { flat } = markup.context;
      const faces = cssText(faceText);
      const movements = cssText(keyframeText);
      if (flat) return faces + flatText(sheet) + movements;
      return inChapters([
        ['Typefaces, and system faces that take the same room until they are there', faces],
        [null, nestedText(sheet)],
        ['Movements', movements],
      ]);
    },
    script: script.text,
    get elements() {
      return markup.elements();
    },
    prefix: names.prefix,
    root: names.root,
    typefaces: faces.typefaces,
    fontFiles: faces.files,
    get iconSets() {
      return markup.iconSets();
    },
    behaviours: script.behaviours,
  };
}

/**
 * A compiler that remembers what it made last: of the next document only what an edit touched is made anew. What it
 * answers is the same as without memory.
 */
export function createCompiler(options: CompileOptions): (site: Site) => Compiled {
  let last: Made | undefined;
  return (site) => {
    last = make(site, options, last);
    return finish(last);
  };
}

/**
 * Compiles a site: every piece to markup, all of them to one stylesheet and one script, with the map of what stands for
 * what. The same site and options give the same bytes.
 */
export function compileSite(site: Site, options: CompileOptions): Compiled {
  return createCompiler(options)(site);
}

/** The stylesheet of a site with its rules in the order they were made: what arranging them as blocks must not change. */
export function unarrangedStylesheet(site: Site, options: CompileOptions): string {
  const { faceText, sheet, keyframeText } = make(site, options, undefined);
  return cssText(faceText) + printCss(sheet.rules) + cssText(keyframeText);
}
