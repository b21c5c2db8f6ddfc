import type { LinkRule } from '../finding.ts';
import { insecure } from './rules/insecure.ts';
import { labelCapitals } from './rules/label-capitals.ts';
import { labelEmpty } from './rules/label-empty.ts';
import { labelLong } from './rules/label-long.ts';
import { labelShared } from './rules/label-shared.ts';
import { labelVague } from './rules/label-vague.ts';
import { mailUnreachable } from './rules/mail-unreachable.ts';
import { nameDiffers } from './rules/name-differs.ts';
import { newTabSilent } from './rules/new-tab-silent.ts';
import { noTarget } from './rules/no-target.ts';
import { notShown } from './rules/not-shown.ts';
import { ownHost } from './rules/own-host.ts';
import { pageUnlisted } from './rules/page-unlisted.ts';
import { pathUnknown } from './rules/path-unknown.ts';
import { phoneUndialable } from './rules/phone-undialable.ts';
import { placeholder } from './rules/placeholder.ts';
import { redirected } from './rules/redirected.ts';
import { refusedScheme } from './rules/refused-scheme.ts';
import { repeatedTarget } from './rules/repeated-target.ts';
import { schemeMissing } from './rules/scheme-missing.ts';
import { sectionMissing } from './rules/section-missing.ts';
import { socialFrontPage } from './rules/social-front-page.ts';
import { unanswered } from './rules/unanswered.ts';

/** All checks of links, the gravest first: the order in which findings of one link are told. */
export const LINK_RULES: readonly LinkRule[] = [
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
];

/** What each finding is about, by the id of its check: those of links and those of placements. */
export const RULE_LABELS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(LINK_RULES.map((rule) => [rule.id, rule.label])),
  'placement-empty': 'A placement without links',
  'panel-empty': 'A panel that opens empty',
};
