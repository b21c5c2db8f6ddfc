import {
  OUTPUT_WORD,
  outputWords,
  ownerName,
  renamedClasses,
  sharesClass,
  type Owner,
  type Site,
} from '@hamaca/core';
import { useState } from 'react';
import { keptChoice } from '../store/hand-off-choices.ts';
import { useSiteState } from '../store/open-site.tsx';
import { TextField } from '../ui/text-field.tsx';
import type { SetFields } from './editors.tsx';

/** Most classes that are shown before the rest is counted. */
const SHOWN = 6;

/** Why a word cannot be a thing's; null where it can, or where the thing's name is to give it one. */
function refuseWord(site: Site, owner: Owner, word: string): string | null {
  const { spec } = OUTPUT_WORD.word;
  if (word === '' || spec.kind !== 'text') return null;
  if (spec.pattern?.test.test(word) === false) return `Needed are ${spec.pattern.allowed}.`;
  const other = sharesClass(site, owner, word);
  return other === null ? null : `“${ownerName(other)}” would have class names in common with this.`;
}

/** A thing whose names in the output are set: `of` says in words what it is. */
export interface OutputNamesProps {
  readonly site: Site;
  readonly owner: Owner;
  readonly of: string;
  readonly set: SetFields;
}

/** The word that a thing's class names begin with, and what they are; while another is typed, what they would be. */
export function OutputWordField({ site, owner, of, set }: OutputNamesProps) {
  const [typed, setTyped] = useState<string | null>(null);
  // The word that a name gives may be the one that was cleared: the field is another one then.
  const [cleared, setCleared] = useState(0);
  const word = outputWords(site).get(owner.id) ?? '';
  const wanted = typed?.trim() ?? word;
  const refused = refuseWord(site, owner, wanted);
  const id = useSiteState((state) => state.id);
  const prefix = keptChoice('prefix', id);
  const classes = renamedClasses(site, owner, wanted);
  const isChanged = typed !== null && wanted !== word && wanted !== '';
  return (
    <div className="grid gap-1.5">
      <label className="grid grid-cols-[3rem_1fr] items-center gap-2">
        <span className="text-right text-small text-ink-faint">word</span>
        <TextField
          key={cleared}
          className="w-full"
          aria-label={`${of}: word of its class names`}
          value={word}
          placeholder="from its name"
          maxLength={60}
          onTyping={setTyped}
          onCommit={(text) => {
            const own = text.trim();
            const reason = refuseWord(site, owner, own);
            if (reason === null) {
              setTyped(null);
              if (own === '') setCleared(cleared + 1);
              if (own !== word) set({ word: own === '' ? null : own });
            }
            return reason;
          }}
        />
      </label>
      <p className="ml-14 text-small text-ink-faint">
        {isChanged
          ? (refused ?? 'Stylesheets and scripts that use the old names have to follow:')
          : 'Its class names begin with this. It stays when the name changes.'}
      </p>
      <ul
        className="ml-14 font-mono text-small"
        aria-label={isChanged ? 'What it renames' : 'Its class names'}
      >
        {classes.slice(0, SHOWN).map(({ from, to }) => (
          <li key={from} className="truncate">
            {isChanged && refused === null ? `${prefix}${from} → ${prefix}${to}` : prefix + from}
          </li>
        ))}
        {classes.length > SHOWN && <li className="text-ink-faint">and {classes.length - SHOWN} more</li>}
      </ul>
    </div>
  );
}
