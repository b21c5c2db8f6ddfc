import { LANGUAGE_TAG, SITE_ADDRESS, type Site } from '@hamaca/core';
import type { ReactNode } from 'react';
import { CommandButton } from './commands/command-button.tsx';
import { Choice } from '../ui/choice.tsx';
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
              LANGUAGE_TAG.test(language)
                ? set({ language }, 'Site language')
                : 'A language tag such as en or pt-BR.'
            }
          />
        </Line>
        <Line label="Direction">
          <span>
            <Choice
              label="Direction"
              value={site.direction}
              options={[
                { value: 'ltr', label: 'left to right' },
                { value: 'rtl', label: 'right to left' },
              ]}
              onChange={(direction) => {
                set({ direction: direction as Site['direction'] }, 'Direction');
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
