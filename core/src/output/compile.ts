import type { Header } from '../kinds/pieces/header.ts';
import type { Site } from '../model/site.ts';
import type { Typeface } from '../text/typefaces.ts';
import { createContext, type CompileContext, type CompileOptions } from './context.ts';
import { usedIconSets } from './icons.ts';
import { fontRules, usedTypefaces } from './fonts.ts';
import { lookRules } from './look-rules.ts';
import { headerMarkup, headerRules } from './parts/header.ts';
import { panelsRules } from './parts/panel.ts';
import { mergeRules } from './passes/merge.ts';
import { printCss } from '../print/css.ts';
import { printHtml } from '../print/html.ts';
import { commonRules, inheritedBase, modeRules, resetRules } from './reset.ts';
import { hidingRules } from './shown.ts';
import { printScript } from './script/script.ts';
import { rule, type ConditionalRule, type Stylesheet } from '../print/trees.ts';
import { paletteDeclarations } from './values.ts';

/** A piece as the page it is pasted into gets it. */
export interface Compiled {
  readonly markup: string;
  readonly stylesheet: string;
  readonly script: string;
  readonly typefaces: readonly Typeface[];
  /** Icon libraries that drawings in the markup come from. */
  readonly iconSets: readonly string[];
}

function stylesheet(context: CompileContext): { sheet: Stylesheet; typefaces: Typeface[] } {
  const inherited = inheritedBase(context);
  const rules: ConditionalRule[] = [
    ...resetRules(context, inherited),
    ...commonRules(context),
    ...headerRules(context),
    ...panelsRules(context),
    ...lookRules(context, inherited),
    ...hidingRules(context),
    ...modeRules(context),
  ];
  const typefaces = usedTypefaces(context, rules);
  const palette = paletteDeclarations(
    context,
    rules
      .flatMap(({ rule: { declarations } }) =>
        declarations.map(([, value]) => value).filter((value) => value.includes('var(')),
      )
      .join(' '),
  );
  const variables = palette.length > 0 ? [rule(context.root, palette)] : [];
  return { sheet: [...fontRules(context, typefaces), ...mergeRules([...variables, ...rules])], typefaces };
}

/**
 * Compiles a header, with the panel it folds into, to markup, stylesheet and script. The same site and options give
 * the same bytes.
 */
export function compileHeader(site: Site, header: Header, options: CompileOptions): Compiled {
  const context = createContext(site, header, options);
  const { sheet, typefaces } = stylesheet(context);
  return {
    markup: printHtml([headerMarkup(context)]),
    stylesheet: printCss(sheet),
    script: printScript(context),
    typefaces,
    iconSets: usedIconSets(context),
  };
}
