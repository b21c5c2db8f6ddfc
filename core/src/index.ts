export { cutText, findHalfCharacter } from './base/well-formed.ts';
export { countingIds, slugify, uniqueName, uniqueTitle } from './base/ids.ts';
export { isRecord, own, sameJson } from './base/json.ts';
export { fail, type Problem, type Result, succeed } from './base/result.ts';
export { formatColour, parseColour, type Rgba } from './colour/colour.ts';
export { contrastOver, evenLayering, nearestPassing, requiredRatio } from './colour/contrast.ts';
export { dominantColours } from './colour/dominant.ts';
export { formatOklch, isInSrgb, type Oklch, oklchOf } from './colour/mix.ts';
export type { FontMetrics } from './text/font-table.ts';
export { createMeasurer, type Measurer } from './text/measure.ts';
export { isMarkupAttribute, isMarkupElement } from './markup/allowed.ts';
export { refuseMarkup } from './markup/read-markup.ts';
export { longerBy } from './text/other-measures.ts';
export { beforeTypefaces } from './layout/measurers.ts';
export { sampleOf, wordsOf } from './kinds/texts.ts';
export { readSfnt } from './text/sfnt.ts';
export { type Subset, SUBSETS } from './text/subsets.ts';
export {
  faceFile,
  findStack,
  findTypeface,
  OWN_PREFIX,
  type Stack,
  STACKS,
  type Typeface,
  TYPEFACES,
} from './text/typefaces.ts';
export { acceptsValue } from './values/accepts.ts';
export { isLength, readLength, toPixels } from './values/length.ts';
export { LIMITS } from './values/limits.ts';
export { ICON_MOTIONS, type Keyframes } from './kinds/properties/icon-motions.ts';
export { type Property, PROPERTY_GROUPS, type PropertyGroup } from './values/property.ts';
export { LANGUAGE_TAG, PAGE_PATH, refuseUrl, SITE_ADDRESS, TOKENS } from './values/url.ts';
export { coloursIn, type ColourValue, isColourValue, type Role, ROLES, type Value } from './values/values.ts';
export { isPropertyId, property, PROPERTY_IDS, type PropertyId } from './kinds/properties/properties.ts';
export type { MenuForm } from './kinds/properties/placement.ts';
export { cleanDrawing } from './drawings/clean-drawing.ts';
export {
  type Box,
  drawingColours,
  inTextColour,
  squareAround,
  viewBoxOf,
  withViewBox,
} from './drawings/recolour.ts';
export type { Cell, SlotRef } from './model/look.ts';
export { ITEM_ROLES, type ItemRole, type MenuItem } from './model/menu-item.ts';
export { LANDSCAPE } from './model/scene.ts';
export { type Field, initialOf, type Shape } from './model/shape/field.ts';
export type {
  BroughtPage,
  ForeignChange,
  Icon,
  Menu,
  Page,
  PageFile,
  PageSection,
  Scene,
  TypeStyle,
} from './model/site-content.ts';
export type { SlotKind } from './model/slot.ts';
export {
  type Level,
  levelCount,
  levelKey,
  itemKey,
  itemOf,
  levelOf,
  type LevelKey,
  SHOWN_LEVELS,
  type ShownLevels,
  type State,
} from './model/states.ts';
export { type Derivation, DERIVATIONS, type DerivedSwatch, isDerived, type Swatch } from './model/swatch.ts';
export { NO_TARGET, type Target } from './model/target.ts';
export {
  isPartKind,
  kindLabel,
  kindOf,
  partKindById,
  pieceKind,
  pieceKindById,
  sectionKind,
  shapeOf,
  firstSlot,
  slotsOf,
} from './kinds/catalogue.ts';
export { findIcon, findMenu, findPage, itemsOf, pagesByPath, shownItems, walkMenu } from './kinds/content.ts';
export { createPart, makePart, newPartWorld } from './kinds/create.ts';
export { arrivingAt, foldOf, foldsBelow, neededBelow, pieceFoldOf } from './kinds/folds.ts';
export { siteJsonSchema } from './kinds/json-schema.ts';
export type { Region } from './kinds/kind.ts';
export type { MenuPart } from './kinds/parts/menu/shape.ts';
export { PARTS } from './kinds/parts/parts.ts';
export { FOOTER, type Footer } from './kinds/pieces/footer/footer.ts';
export { type Header, isHeader } from './kinds/pieces/header/header.ts';
export { PIECES } from './kinds/pieces/pieces.ts';
export { createBlock } from './kinds/sections/block/block.ts';
export { createColumn } from './kinds/sections/column/column.ts';
export {
  type Arrangement,
  ARRANGEMENT_IDS,
  ARRANGEMENTS,
  createRow,
  type Row,
} from './kinds/sections/row/shape.ts';
export type { Part, PartKindId, Piece, PieceKindId, Section, SectionKindId, Site } from './kinds/site.ts';
export {
  findPart,
  findPiece,
  findPlaced,
  idsOf,
  opensOver,
  type Owner,
  ownersOf,
  panelsFrom,
  panelsOf,
  partsOf,
  placedParts,
  type PlacedSection,
  partsShowing,
  placementsOf,
  regionsOf,
  sectionKindsIn,
  sectionsOf,
  slotKind,
  standingPieces,
  hasSlot,
  levelsOf,
  askedAt,
} from './kinds/placed.ts';
export { FORMAT_VERSION } from './migrate/migrate.ts';
export { loadSite, parseSiteFile } from './load/load-site.ts';
export { problemInWords } from './load/problem-words.ts';
export { printSiteFile } from './load/print-site.ts';
export { contrastOf, type ContrastReport, passingValue } from './resolve/backdrop.ts';
export { colourOf, swatchColour } from './resolve/colours.ts';
export { type OriginLink, type OriginStep, originSteps, ownerName, slotName } from './resolve/origin.ts';
export { contrastTable, type Legibility, type LooseColour, looseColours } from './resolve/palette-check.ts';
export { familiesOf, reachOf, rolesOf } from './resolve/reaches.ts';
export {
  bandAt,
  bandEnd,
  bandKeys,
  effectiveLook,
  levelKeys,
  resolve,
  type Resolved,
  sameAs,
} from './resolve/resolve.ts';
export { overriddenBy } from './resolve/overridden.ts';
export { readDeclarations } from './values/kinds/declarations.ts';
export type { Declaration } from './print/trees.ts';
export { OWN_ATTRIBUTES } from './model/own-attributes.ts';
export { OUTPUT_WORD } from './model/word.ts';
export { renamedClasses, sharesClass, wordsOf as outputWords } from './kinds/words.ts';
export { formatValue, parseValue, stepValue } from './resolve/value-text.ts';
export { adoptItems } from './links/adopt.ts';
export { buildMenu } from './links/build-menu.ts';
export type { ImportNote, LinkLine, ReadLinks } from './links/link-line.ts';
export { menuLines } from './links/menu-lines.ts';
export { countItems, mergeItems } from './links/merge.ts';
export { findIcons, iconForLabel, inStyle } from './icons/find-icons.ts';
export { networkOf, NETWORKS } from './links/networks.ts';
export type { NewItems } from './links/new-items.ts';
export { partLinks } from './links/part-links.ts';
export { shownDepth, unreachedPages } from './links/reach.ts';
export { fetchAddress, formatTarget, parseTarget } from './links/target.ts';
export { applyCheckedPatch, checkRanEdit } from './edit/checked-patch.ts';
export { draftsOf, handedOver, type Drafts } from './edit/drafts.ts';
export { touchesSame } from './edit/conflict.ts';
export {
  type Change,
  EMPTY_HISTORY,
  type History,
  recordChange,
  redoChange,
  replayHistory,
  undoChange,
} from './edit/history.ts';
export type { RanEdit } from './edit/draft.ts';
export { applyPatch, guardPatch, type JsonPatch, readPatch } from './edit/json-patch.ts';
export { type Edit, runEdit, type SingleEdit } from './edit/operations.ts';
export { type ItemChange, type ItemPlace, type Step, topmostItems } from './edit/operations/items.ts';
export type { CellValue, Extent } from './edit/operations/look.ts';
export { type Relink, swatchUses } from './edit/operations/palette.ts';
export type { PartPlace } from './edit/operations/parts.ts';
export { givingWay } from './layout/gives-way.ts';
export {
  type Fit,
  fitAt,
  fitLine,
  type FitLine,
  type FitSegment,
  rowBreaks,
  type RowFit,
  rowFits,
} from './layout/fit.ts';
export { memoise } from './base/memo.ts';
export { isSameBesideLooks } from './kinds/same-structure.ts';
export { type Compiled, compileSite, createCompiler } from './output/compile-site.ts';
export { ARRIVAL_PROPERTIES, COMING_PROPERTIES } from './model/slot.ts';
export { lookCells, saidIn } from './kinds/looks.ts';
export type { ItemKey } from './model/states.ts';
export { ACTION_STYLES, type ActionStyle } from './kinds/action-styles.ts';
export { wornAt } from './kinds/wears.ts';
export { hasSameSingles, itemsWearing, singleItems } from './kinds/wearers.ts';
export type { ElementEntry, ElementMap } from './output/elements.ts';
export { DEFAULT_PREFIX, PREFIX, PREFIX_ALLOWED, prefixFor, siteWord } from './output/names.ts';
export type { Check, FetchedLink, Finding, Spot } from './check/check.ts';
export { collisionsOf, type Collision } from './check/pieces/pieces-collide.ts';
export { applyPieceStarter, PIECE_STARTERS, startersFor, type StartedPiece } from './starters/apply-piece.ts';
export type { PieceStarter } from './starters/piece-starter.ts';
export { usesOf } from './kinds/uses.ts';
export type { Design as SetDesign } from './edit/operations/design.ts';
export { CHECKS } from './check/checks.ts';
export { checkTypedLabel, mendAll, runChecks } from './check/run-checks.ts';
export { surveyWidths } from './layout/survey-widths.ts';
export { runSightChecks } from './check/run-sights.ts';
export { SIGHTS, type MarkPaint, type Sight, type SightKind } from './check/sights/sight.ts';
export {
  fileMarkup,
  filesFor,
  type HandOffFile,
  handOffFiles,
  readableScript,
  pagesOfFile,
  pieceFiles,
  printPages,
  type HandOffOptions,
  type PieceFile,
} from './formats/archive/hand-off.ts';
export { printTriedPage, type TriedPage, type TriedPageOptions } from './formats/archive/tried-page.ts';
export {
  BESIDE_COLUMN,
  GOES_WHERE,
  pageMarkup,
  pageNeighbours,
  SIDE_BY_SIDE,
  type PageMarkup,
} from './output/page-markup.ts';
export {
  isNamed,
  isNowhere,
  isOnPage,
  isUnder,
  pageSets,
  piecesOn,
  withPages,
  withPanels,
  withPath,
  type PageSet,
} from './kinds/page-rules.ts';
export type { PageRule } from './model/page-rule.ts';
export type { PiecePlace } from './kinds/kind.ts';
export {
  createPictures,
  holdsPictures,
  PICTURES_AT,
  PICTURES_AT_ALLOWED,
} from './formats/archive/pictures.ts';
export { streamZip } from './formats/archive/zip.ts';
export { printBranches, readBranches } from './formats/links/branches.ts';
export { type FoundMenu, readHtmlLinks, readHtmlMenus } from './formats/links/html-menus.ts';
export { guessLinkFormat, LINK_FORMATS, type LinkFormatName } from './formats/links/link-formats.ts';
export { printLines } from './formats/links/outline.ts';
export { sniffEncoding } from './formats/pages/encoding.ts';
export { filePages } from './formats/pages/page-facts.ts';
export { readSitemap, sitemapPages } from './formats/pages/sitemap.ts';
export { isGzip, isZip, unpackGzip, unpackZip } from './formats/pages/unpack.ts';
export { printDesignTokens } from './formats/palette/design-tokens.ts';
export {
  asSwatches,
  bringColours,
  type NamedColour,
  printPaletteCss,
  printPaletteGpl,
  readPalette,
} from './formats/palette/palette-files.ts';
export { applyStarter } from './starters/apply.ts';
export { applyPanelStarter } from './starters/apply-panel.ts';
export { PANEL_STARTERS } from './starters/panel-designs.ts';
export type { PanelStarter } from './starters/panel-starter.ts';
export type { Panel } from './kinds/pieces/panel/shape.ts';
export { STARTERS } from './starters/designs.ts';
export { createPlainSite } from './starters/plain.ts';
export { type Starter, STARTER_TAGS, type StarterTag } from './starters/starter.ts';
export { addAtHome, readableEdits } from './advice/at-home.ts';
export { languageEdits } from './advice/speaking.ts';
export { noticeLanguage } from './text/languages/notice.ts';
export { LANGUAGES, type Language } from './text/languages/languages.ts';
export { languageOf } from './text/languages/words.ts';
export { designWithRoom, siteWithRoom } from './advice/room.ts';
export { whatIfs, type WhatIf } from './advice/what-ifs.ts';
export { Cascade } from './foreign/cascade/cascade.ts';
export { atRestIn, FOREIGN_STATES, type ForeignState, situationOf } from './foreign/cascade/situation.ts';
export { createElementSelectors, createShortSelectors } from './foreign/element-selector.ts';
export { type ForeignPage, type PageFiles, readForeignPage, upwards } from './foreign/page.ts';
export {
  tellRules,
  type ToldElement,
  toldProperties,
  type ToldProperty,
  type ToldValue,
  tellStates,
} from './foreign/told-rules.ts';
export { ADDED, ADDED_SCRIPT, ownElements } from './foreign/change/edited-page.ts';
export { type ChangedValue } from './foreign/change/prove.ts';
export { recolour, type RecolourOptions, type RecolourRefusal } from './foreign/change/recolour.ts';
export { COMINGS, type Coming, type Sticking } from './foreign/stay/stay-rules.ts';
export {
  stay,
  type StayChange,
  type StayOptions,
  type StayRefusal,
  type ToldObstacle,
} from './foreign/stay/stay.ts';
export { stagedPage, type StagedPage } from './foreign/staged/staged-page.ts';
export { STAGED_NAMES, type StagedNames } from './foreign/staged/staged-css.ts';
export { groundOf, titleOf } from './foreign/about-page.ts';
export { firstPage, isHiddenPath } from './foreign/first-page.ts';
export { navigationOf, type NavigationLine } from './foreign/navigation.ts';
export { breakpointsOf, type PageBreakpoint } from './foreign/breakpoints.ts';
export { markSelector, opensByPointing } from './foreign/cascade/marked-states.ts';
export { presentationalHints } from './foreign/presentational.ts';
export { stagedMarks, type StagedMark } from './foreign/staged/staged-marks.ts';
export { elementsOfRule, pseudoElementsOf } from './foreign/rule-reach.ts';
export {
  applyChanges,
  type AppliedChange,
  type ChangedPage,
  type PageWish,
} from './foreign/change/apply-changes.ts';
export { colourPlaces, type ColourPlace } from './foreign/change/colour-places.ts';
export { inheritedProperties } from './foreign/inherited.ts';
export { valueTrail, type TrailStep } from './foreign/value-trail.ts';
export { usedFiles } from './foreign/used-files.ts';
export { addressOf, isElsewhere, pathOnDisk } from './foreign/paths.ts';
export { bytesOfText, textOfBytes } from './foreign/text-bytes.ts';
export { canonicalColours } from './foreign/change/recolour-value.ts';
export type { PageChange } from './foreign/change/page-change.ts';
export { restyle, type RestyleOptions, type RestyleRefusal } from './foreign/change/restyle.ts';
