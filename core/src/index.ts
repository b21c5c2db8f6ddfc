export { countingIds, slugify, uniqueName, uniqueTitle, type IdSource } from './base/ids.ts';
export { isRecord, sameJson, type Json } from './base/json.ts';
export { toPointer } from './base/json-pointer.ts';
export { describeValue, fail, refuse, succeed, type Problem, type Result } from './base/result.ts';
export { formatColour, layOver, parseColour, withAlpha, type Rgba } from './colour/colour.ts';
export { contrastOver, contrastRatio, luminance, nearestPassing, requiredRatio } from './colour/contrast.ts';
export { dominantColours, type DominantColour } from './colour/dominant.ts';
export { colourDistance, formatOklch, isInSrgb, oklchOf, type Oklch } from './colour/mix.ts';
export type { FontMetrics, FontTable } from './text/font-table.ts';
export { createMeasurer, type Measurer, type TextStyle } from './text/measure.ts';
export { readSfnt, type SfntFacts } from './text/sfnt.ts';
export {
  findStack,
  findTypeface,
  isFamily,
  OWN_PREFIX,
  STACKS,
  SYSTEM_FAMILY,
  TYPEFACES,
  type BundledTypeface,
  type Stack,
  type Typeface,
} from './text/typefaces.ts';
export { PART_LABELS, SLOTS, slotsOf, type OwnerKind } from './kinds/catalogue.ts';
export { LIMITS } from './model/limits.ts';
export type { BandKey, Cell, Look, SlotLook, SlotRef, Values } from './model/look.ts';
export type { Part, PartKindName } from './kinds/part.ts';
export { createButton, type Button } from './kinds/parts/button.ts';
export { createImage, type Image } from './kinds/parts/image.ts';
export { createLogo, type Logo } from './kinds/parts/logo.ts';
export { createMenuPart, type MenuPart } from './kinds/parts/menu.ts';
export { createOpener, type Opener } from './kinds/parts/opener.ts';
export { createRule, type Rule } from './kinds/parts/rule.ts';
export { createSearch, type Search } from './kinds/parts/search.ts';
export { createShortcut, type Shortcut } from './kinds/parts/shortcut.ts';
export { createSocial, SOCIAL_COLOURS, type Social, type SocialLink } from './kinds/parts/social.ts';
export { createText, type Text, type TextEntry } from './kinds/parts/text.ts';
export type { Piece } from './kinds/piece.ts';
export {
  ARRANGEMENT_IDS,
  ARRANGEMENTS,
  createRow,
  ZONES,
  type Arrangement,
  type Header,
  type Row,
  type Zone,
} from './kinds/pieces/header.ts';
export type { Panel } from './kinds/pieces/panel.ts';
export {
  FOCUS_RING,
  PROPERTIES,
  property,
  PROPERTY_GROUPS,
  PROPERTY_IDS,
  type Property,
  type PropertyGroup,
  type PropertyId,
} from './kinds/properties/properties.ts';
export { acceptsValue, allowedValue } from './values/accepts.ts';
export { isCleanSvg } from './model/clean-svg.ts';
export type { Band, Icon, Menu, Page, Scene, Section, Site, TypeStyle } from './model/site.ts';
export {
  ITEM_ROLES,
  type ItemField,
  type ItemFields,
  type ItemRole,
  type MenuItem,
} from './model/menu-item.ts';
export { DERIVATIONS, isDerived, type Derivation, type DerivedSwatch, type Swatch } from './model/swatch.ts';
export type { SlotKind } from './model/slot.ts';
export {
  LEVELS,
  levelCount,
  SHOWN_LEVELS,
  STATES,
  type ShownLevels,
  type Level,
  type LevelKey,
  type State,
} from './model/states.ts';
export { NO_TARGET, type Target } from './model/target.ts';
export { TOKENS } from './model/faults.ts';
export { LANGUAGE_TAG, PAGE_PATH, refuseUrl, SITE_ADDRESS } from './model/url.ts';
export { readLength, toPixels, type LengthValue } from './values/length.ts';
export {
  coloursIn,
  isColourValue,
  ROLES,
  type ColourValue,
  type CornersValue,
  type GradientStop,
  type LineValue,
  type PaintValue,
  type Role,
  type Shadow,
  type ShadowValue,
  type Value,
} from './values/values.ts';
export {
  findHeader,
  findIcon,
  findPart,
  findMenu,
  findPage,
  findPiece,
  headerParts,
  idsOf,
  itemsOf,
  ownersOf,
  pagesByPath,
  panelsOf,
  placedParts,
  placementsOf,
  rowParts,
  shownItems,
  slotKind,
  walkMenu,
  type Owner,
  type PlacedItem,
  type Placement,
} from './kinds/walk.ts';
export { LANDSCAPE } from './model/scene.ts';
export { wearsSlot } from './kinds/worn.ts';
export { FORMAT_VERSION } from './migrate/migrate.ts';
export { loadSite, parseSiteFile } from './load/load-site.ts';
export { printSiteFile } from './load/print-site.ts';
export { applyPatch, guardPatch, readPatch, type JsonPatch, type PatchOperation } from './edit/json-patch.ts';
export {
  EMPTY_HISTORY,
  recordChange,
  redoChange,
  replayHistory,
  undoChange,
  type Change,
  type History,
} from './edit/history.ts';
export { applyCheckedPatch } from './edit/checked-patch.ts';
export { OPERATIONS, runEdit, type Edit, type OperationArgs, type OperationName } from './edit/operations.ts';
export { topmostItems, type ItemChange, type ItemPlace, type Step } from './edit/operations/items.ts';
export type { PartPlace } from './edit/operations/parts.ts';
export type { CellValue } from './edit/operations/look.ts';
export { swatchUses, type Relink, type SwatchChange } from './edit/operations/palette.ts';
export { BREAKPOINT } from './edit/operations/bands.ts';
export {
  bandAt,
  bandEnd,
  bandKeys,
  levelKeys,
  effectiveLook,
  resolve,
  sameAs,
  type Origin,
  type Question,
  type Resolved,
} from './resolve/resolve.ts';
export { contrastOf, passingColour, type ContrastReport, type Situation } from './resolve/backdrop.ts';
export { colourOf, colourTrail, swatchColour, usesSwatch, type ColourStep } from './resolve/colours.ts';
export { originSteps, slotName, type OriginLink, type OriginStep } from './resolve/origin.ts';
export {
  contrastTable,
  looseColours,
  type ContrastTable,
  type Legibility,
  type LooseColour,
} from './resolve/palette-check.ts';
export { familiesOf, lookCells, reachOf, rolesOf, type LookCell, type Reached } from './resolve/reaches.ts';
export { formatValue, parseValue, stepValue } from './resolve/value-text.ts';
export { adoptItems } from './links/adopt.ts';
export { buildMenu, type BuiltMenu } from './links/build-menu.ts';
export { countItems, mergeItems, type Merged } from './links/merge.ts';
export { titleOf } from './links/page-title.ts';
export type { NewItems } from './links/new-items.ts';
export { menuLines } from './links/menu-lines.ts';
export type { ImportNote, LineFields, LinkLine, ReadLinks } from './links/link-line.ts';
export { networkOf, NETWORKS, type Network } from './links/networks.ts';
export { fetchAddress, formatTarget, hrefOf, parseTarget } from './links/target.ts';
export {
  fitAt,
  fitLine,
  rowExtent,
  TIGHT_ROOM,
  type Fit,
  type FitLine,
  type FitSegment,
} from './layout/fit.ts';
export { checkLinks, checkTypedLabel, shownDepth, unreachedPages } from './check/links/check-links.ts';
export type { FetchedLink, Finding, Fix, Outcome } from './check/finding.ts';
export { LINK_RULES, RULE_LABELS } from './check/links/link-rules.ts';
export { compileHeader, type Compiled } from './output/compile.ts';
export type { CompileOptions } from './output/context.ts';
export { headerNames, type Names } from './output/names.ts';
export { handOffFiles, type HandOffFile } from './formats/archive/hand-off.ts';
export {
  KIND_WORDS,
  readHtmlLinks,
  readHtmlMenus,
  type FoundMenu,
  type MenuKind,
  type MenuPlace,
} from './formats/links/html-menus.ts';
export {
  LINK_FORMAT_NAMES,
  LINK_FORMATS,
  guessLinkFormat,
  type LinkFormat,
  type LinkFormatName,
} from './formats/links/link-formats.ts';
export {
  asSwatches,
  printPaletteCss,
  printPaletteGpl,
  readPalette,
  type NamedColour,
  type ReadPalette,
} from './formats/palette/palette-files.ts';
export { printDesignTokens } from './formats/palette/design-tokens.ts';
export { printBranches, readBranches } from './formats/links/branches.ts';
export { sniffEncoding } from './formats/pages/encoding.ts';
export {
  commonFolder,
  filePages,
  pathOfFile,
  readPageFacts,
  type PageFacts,
} from './formats/pages/page-facts.ts';
export {
  isGzip,
  isZip,
  safePath,
  unpackGzip,
  unpackZip,
  UNPACK_LIMITS,
  type Archive,
  type ArchiveFile,
} from './formats/pages/unpack.ts';
export { printLines, printOutline, readOutline } from './formats/links/outline.ts';
export { readSitemap, sitemapPages, type ReadSitemap } from './formats/pages/sitemap.ts';
export { zipFiles } from './formats/archive/zip.ts';
export { applyStarter } from './starters/apply.ts';
export { STARTERS } from './starters/designs.ts';
export { STARTER_TAGS, type Starter, type StarterTag } from './starters/starter.ts';
export { createPlainSite, type SiteSeed } from './starters/plain.ts';
