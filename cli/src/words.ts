import type { Problem } from '@hamaca/core';

export const HELP = `hamaca: headers and menus from site files, without a browser or a database

  hamaca export FILE --out DIR [--prefix hm-] [--pictures /pictures/] [--flat]
      Writes the hand-off of a site file (….hamaca.json) into DIR: index.html, menu.html,
      menu.css, menu.js (menu.mjs is the same to read), fonts, design tokens and the site
      file. The same bytes as the zip of the interface. Files in DIR that are not part of it
      stay.
      --prefix begins every class, id, attribute and custom property; without it, hm-.
      --pictures writes pictures that are kept in the site as files, for pages whose content
      security policy refuses them in the markup; it says where pages find the folder.
      --flat writes the stylesheet one rule after the other, for tools and browsers that do
      not know nested rules.

  hamaca links FILE [--from outline|html|opml|csv|sitemap] [--json] [--all]
      Prints the links understood in FILE ("-" reads standard input; gzip is unpacked).
      Without --from, name and content decide. With --json: [{"label", "href", "depth"}] in
      source order; depth 1 is the top, href is as written, null where there is none. Of
      HTML the page's main navigation is printed; with --all every menu found:
      [{"place", "kind", "name", "main", "links"}]. place is header, side, page or footer;
      kind is menu, breadcrumb, pagination, contents, languages, social or legal. What
      could not be read goes to standard error.

  hamaca fit FILE [--json]
      Says for every row of every piece that stands in a page, band by band, the least window
      width in px at which it stands on one line. With --json: [{"piece", "row", "band", "from",
      "to", "needed", "certain"}]; "to" is null for the widest band, "needed" is null where the
      row never stands on one line, "certain" is false where something could only be estimated.
      Exit code 1 where a row breaks at a width of 320 px or more in its band.

  hamaca rules PAGE --at SELECTOR [--state hover|focus|pressed|current|open] [--width 1280] [--json]
      Says which rules decide how the elements look that SELECTOR finds: every property that
      author rules or a style attribute set, with the value that wins, where it stands, and
      what it overrides. PAGE is an HTML file, a folder with an index, a zip, or an address. Of
      an address the page and the files it names are fetched, private hosts only where the
      environment names them (HAMACA_FETCH_HOSTS); nothing is run. With --json: [{"element", "properties": [{"name", "value", "file",
      "line", "column", "selector", "conditions", "layer", "important", "certain",
      "overridden": [ … ]}]}], elements in document order. "element" finds exactly this one;
      "name" is a longhand; in "value" custom properties are put in; "selector" is null for a
      style attribute; "overridden" has the same form, next best first; "certain" is false
      where it cannot be known.

  hamaca restyle PAGE --at SELECTOR [--state hover|focus|pressed|current|open] --set 'background: #063'
              [--media '(min-width: 60em)'] [--in-place] --out DIR [--json]
      Makes the elements that SELECTOR finds look as the declarations say, at rest or in a state,
      and writes the page as it would be into DIR: with the weakest rule that wins in added.css,
      or, with --in-place, in the rule it belongs to. "current" and "open" are meant as the page
      itself marks them. With --media it holds within that media query alone. The report is as
      with recolour.

  hamaca recolour PAGE --from COLOUR --to COLOUR [--within SELECTOR] [--in-place] --out DIR [--json]
      Puts another colour in for one wherever the page's rules say it, in any notation, in
      shorthands, gradients, shadows and custom properties, and writes the page as it would be
      into DIR: with one more stylesheet, added.css, of the fewest rules that do it; or, with
      --in-place, with its own files edited and every other byte kept. report.json says what
      changes, in every state at three widths: {"changed": [{"element", "state", "width",
      "property", "before", "after"}], "sideEffects": [same form]}. With --json that is printed,
      too. Exit code 1 where anything changes that was not asked for.

  hamaca stay PAGE --at SELECTOR [--hides | --appears-after PX] [--scrolled 'background: #fff']
              [--scrolled-logo 'height: 32px'] [--comes slides|fades|at-once] [--above PX] [--below PX]
              [--height PX] [--hangs] --out DIR [--json]
      Makes a header stay in the window while the page scrolls; says what prevents it (a box
      around it that clips, scrolls, ends too soon or is stacked too low, a missing fill, links
      that would lead beneath it) and takes the way out. With --hides it leaves on the way down
      and comes back on the way up; with --appears-after it comes back after a distance.
      --scrolled and --scrolled-logo say how it looks once the page is scrolled, --above and
      --below at which widths it stays. --height says how high it is, which only layout knows;
      --hangs takes it out of the page's flow. Writes the page with added.css, and added.js
      where a script is needed. The report is as with recolour, with "obstacles": [{"kind",
      "element", "text", "file", "line", "column", "ways": [{"id", "text", "taken"}]}]. Exit
      code 1 also where there is no way out.

  hamaca schema
      Prints the JSON Schema (2020-12) of a site file.

  hamaca --help
      This page.

Exit codes: 0 done, 1 the input cannot be used, a row breaks, or a change has side effects, 2 the command line cannot be understood.
`;

/** A list of problems for the terminal, one a line. */
export function printProblems(problems: readonly Problem[]): string {
  return problems.map((problem) => `  ${problem.message}\n`).join('');
}

export const ERRORS = {
  cannotRead: (file: string, reason: string) => `hamaca: ${file} cannot be read: ${reason}\n`,
  notASite: (file: string, problems: readonly Problem[]) =>
    `hamaca: ${file} is not a usable site file. Nothing was written.\n${printProblems(problems)}`,
  noHeader: (file: string) => `hamaca: ${file} has no header to export. Nothing was written.\n`,
  cannotWrite: (folder: string, reason: string) => `hamaca: ${folder} cannot be written: ${reason}\n`,
  notGzip: (file: string, reason: string) => `hamaca: ${file} cannot be unpacked: ${reason}\n`,
  tooLarge: (file: string) => `hamaca: ${file} is larger than 32 MB; that is more than is read.\n`,
  noPage: (file: string) => `hamaca: ${file} has no page: neither an index nor one HTML file alone.\n`,
  notZip: (file: string, reason: string) => `hamaca: ${file} cannot be unpacked: ${reason}.\n`,
  notFetched: (address: string, reason: string) =>
    `hamaca: ${address} could not be fetched: ${reason}.\n${
      reason.includes('private')
        ? 'To allow it, name its host in HAMACA_FETCH_HOSTS, such as localhost:8080.\n'
        : ''
    }`,
  fileMissing: (file: string) => `hamaca: left out: ${file}.\n`,
  noColour: (from: string, to: string) => `hamaca: "${from}" or "${to}" is no CSS colour.\n`,
  colourNotThere: (colour: string, file: string) =>
    `hamaca: no rule that reaches anything in ${file} says ${colour}. Nothing was written.\n`,
  noDeclaration: (text: string) => `hamaca: "${text}" has no declaration that a browser takes.\n`,
  noMark: (selector: string, file: string) =>
    `hamaca: nothing in ${file} marks "${selector}" as open; it opens by pointing alone, so set its hover.\n`,
  noWindow: (query: string) => `hamaca: no window is as "${query}" says.\n`,
  noLogo: (selector: string) => `hamaca: "${selector}" has no picture that could be its logo.\n`,
  noWidth: 'hamaca: --above is a smaller width than --below.\n',
  noSelector: (selector: string) => `hamaca: "${selector}" is no selector.\n`,
  noElement: (selector: string, file: string) => `hamaca: nothing in ${file} is found by "${selector}".\n`,
  usage: (reason: string) => `hamaca: ${reason}\nSee hamaca --help.\n`,
} as const;
