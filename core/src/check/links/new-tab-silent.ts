import type { LinkCheck } from '../check.ts';

const NOTICE =
  /new (?:tab|window)|other (?:tab|window)|external|neue[nms]? (?:tab|fenster)|nueva (?:pestaña|ventana)|nouvel(?:le)? (?:onglet|fenêtre)|nova (?:aba|guia|janela)|nuova (?:scheda|finestra)|[↗⧉]/i;

/** A new tab that comes without a word. */
export const newTabSilent: LinkCheck = {
  of: 'link',
  id: 'new-tab-silent',
  label: 'New tab without notice',
  why: 'The way back is gone, and nobody was told (WCAG technique G201).',
  check: ({ item }) => {
    if (
      !item.newTab ||
      [item.label, item.name, item.title, item.description].some(
        (text) => text !== undefined && NOTICE.test(text),
      )
    )
      return null;
    return {
      outcome: 'look',
      reason: 'It opens a new tab and does not say so.',
      evidence: item.label,
      fix: {
        label: 'Open it in the same tab',
        edit: { name: 'set-item', args: { id: item.id, fields: { newTab: null } } },
      },
    };
  },
};
