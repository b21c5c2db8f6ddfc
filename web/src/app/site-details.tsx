import { LANGUAGE_TAG, languageEdits, languageOf, SITE_ADDRESS, type Site } from '@hamaca/core';
import type { ReactNode } from 'react';
import { CommandButton } from './commands/command-button.tsx';
import { DirectionChoice } from '../ui/direction-choice.tsx';
import { SheetDialog } from '../ui/sheet-dialog.tsx';
import { TextField } from '../ui/text-field.tsx';
import { useEdit, useSite } from '../store/open-site.tsx';

function Line({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <label className="grid grid-cols-[110px_1fr] items-center gap-2 text-bench">
      <span className="text-ink-soft">{label}</span>
      {children}
    </label>
  );
}

/** What the site says about itself, and its file. */
export function SiteDetails({ onClose }: { readonly onClose: () => void }) {
  const site = useSite();
  const edit = useEdit();
  const set = (fields: Partial<Site>, label: string) => {
    edit({ name: 'set-site', args: fields }, label);
    return null;
  };
  const known = languageOf(site.language);
  /** Built-in words go along with the language, and so does the way it is written. */
  const speak = (language: string) => {
    const direction = languageOf(language)?.direction ?? site.direction;
    const edits = [
      { name: 'set-site', args: { language, direction } } as const,
      ...languageEdits(site, language),
    ];
    edit({ name: 'several', args: { edits } }, 'Site language');
    return null;
  };
  return (
    <SheetDialog title="About this site" onClose={onClose}>
      <div className="grid gap-2 p-4">
        <Line label="Name">
          <TextField
            className="w-full"
            value={site.name}
            onCommit={(name) =>
              name.trim() === '' ? 'A site needs a name.' : set({ name: name.trim() }, 'Site name')
            }
          />
        </Line>
        <Line label="Address">
          <TextField
            className="w-full"
            value={site.url}
            placeholder="https://…"
            onCommit={(url) =>
              SITE_ADDRESS.test(url.trim())
                ? set({ url: url.trim() }, 'Site address')
                : 'An address starts with https:// or http://.'
            }
          />
        </Line>
        <Line label="Language">
          <TextField
            className="w-24"
            value={site.language}
            onCommit={(language) =>
              LANGUAGE_TAG.test(language) ? speak(language) : 'A language tag such as en or pt-BR.'
            }
          />
        </Line>
        <p className="pl-[118px] text-small text-ink-faint">
          {known
            ? `${known.name}: built-in words such as “${known.words[0]}” are said in it; words that were changed stay.`
            : 'Built-in words such as “Menu” are not known in it and stay as they are.'}
        </p>
        <Line label="Direction">
          <span>
            <DirectionChoice
              value={site.direction}
              onChange={(direction) => {
                set({ direction }, 'Direction');
              }}
            />
          </span>
        </Line>
        <div className="mt-2 flex gap-2 border-t border-twine pt-3">
          <CommandButton id="save-file" tone="plain" />
        </div>
      </div>
    </SheetDialog>
  );
}
