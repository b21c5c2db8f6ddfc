import type { BehaviourId } from '../kinds/behaviours/behaviours.ts';
import { pieceKind, slotsOf } from '../kinds/catalogue.ts';
import type { Fragment } from '../kinds/out.ts';
import { effectiveLook } from '../resolve/resolve.ts';
import type { Site } from '../kinds/site.ts';
import { printCss } from '../print/css.ts';
import { printHtml } from '../print/html.ts';
import { rule, type ConditionalRule, type HtmlNode, type Stylesheet } from '../print/trees.ts';
import type { Typeface } from '../text/typefaces.ts';
import { createContext, outputOwners, type CompileContext, type CompileOptions } from './context.ts';
import { createElementMap, type ElementMap } from './elements.ts';
import { fontRules, usedTypefaces } from './fonts.ts';
import { usedIconSets } from './icons.ts';
import { lookRules } from './look-rules.ts';
import { compilePiece } from './out.ts';
import { mergeRules } from './passes/merge.ts';
import { commonRules, inheritedBase, modeRules, resetRules } from './reset.ts';
import { printScript } from './script.ts';
import { hidingRules } from './shown.ts';
import { paletteDeclarations } from './values.ts';

/** A site as the pages it is pasted into get it. */
export interface Compiled {
  /** The markup of each piece by its id, in document order. */
  readonly pieces: ReadonlyMap<string, string>;
  readonly stylesheet: string;
  readonly script: string;
  readonly elements: ElementMap;
  /** Start of all names, and the class of every root. */
  readonly prefix: string;
  readonly root: string;
  readonly typefaces: readonly Typeface[];
  /** Icon libraries that drawings in the markup come from. */
  readonly iconSets: readonly string[];
  /** What the script does. */
  readonly behaviours: readonly BehaviourId[];
}

/** Every class in some markup. */
function classesIn(nodes: readonly HtmlNode[], found = new Set<string>()): Set<string> {
  const add = (names: unknown) => {
    if (typeof names === 'string') for (const name of names.split(' ')) found.add(name);
  };
  for (const node of nodes) {
    if (node.node === 'drawing') add(/^<svg class="([^"]*)"/.exec(node.cleanSvg)?.[1]);
    if (node.node !== 'element') continue;
    add(node.attributes['class']);
    classesIn(node.children, found);
  }
  return found;
}

function stylesheet(
  context: CompileContext,
  fragments: readonly Fragment[],
): { sheet: Stylesheet; typefaces: Typeface[] } {
  const inherited = inheritedBase(context);
  const used = classesIn(fragments.flatMap((fragment) => fragment.nodes));
  const rules: ConditionalRule[] = [
    ...resetRules(context, inherited),
    ...commonRules(context, used),
    ...fragments.flatMap((fragment) => fragment.rules),
    ...lookRules(context, inherited, used),
    ...hidingRules(context, used),
    ...modeRules(context),
  ];
  const typefaces = usedTypefaces(context, rules);
  const values = rules.flatMap(({ rule: { declarations } }) => declarations.map(([, value]) => value));
  const palette = paletteDeclarations(context, values.filter((value) => value.includes('var(')).join(' '));
  const variables = palette.length > 0 ? [rule(context.root, palette)] : [];
  return { sheet: [...fontRules(context, typefaces), ...mergeRules([...variables, ...rules])], typefaces };
}

/** Whether any look says something for the page being scrolled, where that can be. */
function looksScrolled(context: CompileContext): boolean {
  return outputOwners(context).some(
    (owner) =>
      pieceKind(owner.piece).comesTo(owner.piece as never, 'scrolled') &&
      Object.keys(slotsOf(owner.kind)).some((slot) =>
        Object.values(effectiveLook(context.site, { owner: owner.id, slot })).some((states) =>
          Object.hasOwn(states, 'scrolled'),
        ),
      ),
  );
}

/**
 * Compiles a site: every piece to markup, all of them to one stylesheet and one script, with the map of what stands for
 * what. The same site and options give the same bytes.
 */
export function compileSite(site: Site, options: CompileOptions): Compiled {
  const context = createContext(site, options);
  const fragments = context.pieces.map((piece) => compilePiece(context, piece));
  const { sheet, typefaces } = stylesheet(context, fragments);
  const needed = new Set<BehaviourId>([
    ...fragments.flatMap((fragment) => fragment.behaviours),
    ...(looksScrolled(context) ? (['scrolled'] as const) : []),
  ]);
  return {
    pieces: new Map(
      context.pieces.map((piece, index) => [piece.id, printHtml(fragments[index]?.nodes ?? [])]),
    ),
    stylesheet: printCss(sheet),
    script: printScript(context, needed),
    elements: createElementMap(context),
    prefix: context.names.prefix,
    root: context.names.root,
    typefaces,
    iconSets: usedIconSets(context),
    behaviours: [...needed],
  };
}
