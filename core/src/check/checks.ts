import type { Check } from './check.ts';
import { insecure } from './links/insecure.ts';
import { labelCapitals } from './links/label-capitals.ts';
import { labelEmpty } from './links/label-empty.ts';
import { labelLong } from './links/label-long.ts';
import { labelShared } from './links/label-shared.ts';
import { labelVague } from './links/label-vague.ts';
import { leadsToDraft } from './links/leads-to-draft.ts';
import { mailUnreachable } from './links/mail-unreachable.ts';
import { nameDiffers } from './links/name-differs.ts';
import { newTabSilent } from './links/new-tab-silent.ts';
import { noTarget } from './links/no-target.ts';
import { notShown } from './links/not-shown.ts';
import { ownHost } from './links/own-host.ts';
import { pageUnlisted } from './links/page-unlisted.ts';
import { panelEmpty } from './links/panel-empty.ts';
import { pathUnknown } from './links/path-unknown.ts';
import { phoneUndialable } from './links/phone-undialable.ts';
import { placeholder } from './links/placeholder.ts';
import { redirected } from './links/redirected.ts';
import { refusedScheme } from './links/refused-scheme.ts';
import { repeatedTarget } from './links/repeated-target.ts';
import { schemeMissing } from './links/scheme-missing.ts';
import { sectionMissing } from './links/section-missing.ts';
import { socialFrontPage } from './links/social-front-page.ts';
import { unanswered } from './links/unanswered.ts';
import { textContrast } from './looks/text-contrast.ts';
import { landmarkNames } from './parts/landmark-names.ts';
import { placementEmpty } from './parts/placement-empty.ts';
import { pieceEmpty } from './pieces/piece-empty.ts';
import { pieceNowhere } from './pieces/piece-nowhere.ts';
import { piecesCollide } from './pieces/pieces-collide.ts';
import { ringFull } from './screens/ring-full.ts';
import { rowBreaksCheck } from './rows/row-breaks.ts';
import { leavesWindow } from './sights/leaves-window.ts';
import { liesBeneath } from './sights/lies-beneath.ts';
import { markFaint } from './sights/mark-faint.ts';
import { targetTiny } from './sights/target-tiny.ts';
import { textCut } from './sights/text-cut.ts';
import { barTall } from './screens/bar-tall.ts';
import { fixedInBlur } from './screens/fixed-in-blur.ts';
import { fixedTogether } from './screens/fixed-together.ts';
import { hiddenBetween } from './screens/hidden-between.ts';
import { noWayOut } from './screens/no-way-out.ts';
import { noWayToMenu } from './screens/no-way-to-menu.ts';
import { pagePushed } from './screens/page-pushed.ts';
import { panelWide } from './screens/panel-wide.ts';
import { scrimWeak } from './screens/scrim-weak.ts';
import { targetSmall } from './screens/target-small.ts';

/** All checks, the gravest of a place first: the order in which findings of one place are told. */
export const CHECKS: readonly Check[] = [
  noTarget,
  pathUnknown,
  pageUnlisted,
  sectionMissing,
  schemeMissing,
  refusedScheme,
  placeholder,
  ownHost,
  insecure,
  socialFrontPage,
  mailUnreachable,
  phoneUndialable,
  repeatedTarget,
  labelEmpty,
  labelVague,
  labelLong,
  labelCapitals,
  labelShared,
  nameDiffers,
  newTabSilent,
  notShown,
  redirected,
  unanswered,
  panelEmpty,
  leadsToDraft,
  pieceNowhere,
  piecesCollide,
  pieceEmpty,
  placementEmpty,
  landmarkNames,
  textContrast,
  rowBreaksCheck,
  pagePushed,
  noWayToMenu,
  noWayOut,
  targetSmall,
  panelWide,
  scrimWeak,
  barTall,
  fixedInBlur,
  fixedTogether,
  ringFull,
  hiddenBetween,
  textCut,
  leavesWindow,
  liesBeneath,
  markFaint,
  targetTiny,
];
