import { findPage } from '../../kinds/content.ts';
import type { LinkCheck } from '../check.ts';

const VAGUE =
  /^(?:click(?: here)?|here|(?:read|learn|see|find out|show) more|more(?: info(?:rmation)?)?|link|this(?: (?:page|link))?|details|go|continue|hier(?: klicken)?|mehr(?: erfahren)?|weiter|aquí|haz clic aquí|leer más|ver más|cliquez ici|en savoir plus|clique aqui|saiba mais|clicca qui)\s*[.…»›>→!]*$/i;

/** A label that says nothing of where it leads. */
export const labelVague: LinkCheck = {
  of: 'link',
  id: 'label-vague',
  label: 'A label that says nothing',
  why: 'Read alone, as screen readers list links, it does not tell where it leads.',
  check: ({ item }, { site }) => {
    if (!VAGUE.test(item.label.trim()) || item.children.length > 0) return null;
    const title = item.target.kind === 'page' ? findPage(site, item.target.page)?.title : undefined;
    const fix = title
      ? {
          fix: {
            label: `Call it “${title}”`,
            edit: { name: 'set-item', args: { id: item.id, fields: { label: title } } } as const,
          },
        }
      : {};
    return {
      outcome: 'fail',
      reason: 'The label does not say where the link leads.',
      evidence: item.label,
      ...fix,
    };
  },
};
