import { refuseMarkup } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { PopoverBox } from '../ui/popover-box.tsx';
import { Button } from '../ui/button.tsx';
import type { EditorProps } from './editors.tsx';
import { tidyMarkup } from './tidy-markup.ts';
import { Field } from './words.tsx';

/** What there is of own markup, as its button says it. */
const brief = (source: string) => {
  const words = source
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return words.length > 28 ? `${words.slice(0, 26)}…` : words || 'Write…';
};

/** What is written, with what would be left out of it; used on leaving. */
function Writing({ source, onUse }: { readonly source: string; readonly onUse: (source: string) => void }) {
  const [text, setText] = useState(source);
  const tidy = tidyMarkup(text);
  const refused = refuseMarkup(tidy.source);
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (refused === null) onUse(tidy.source);
      }}
    >
      <textarea
        aria-label="HTML of your own"
        aria-invalid={refused !== null}
        aria-describedby="markup-left"
        rows={10}
        spellCheck={false}
        className="field h-auto w-full resize-y py-1 font-mono text-small"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey))
            event.currentTarget.form?.requestSubmit();
        }}
      />
      <p
        id="markup-left"
        className={`min-h-5 text-small ${refused === null ? 'text-ink-soft' : 'text-brick'}`}
      >
        {refused !== null
          ? `It cannot be used: ${refused}.`
          : tidy.left.length > 0
            ? `Left out: ${tidy.left.slice(0, 6).join(', ')}${tidy.left.length > 6 ? ' …' : ''}`
            : 'Scripts, styles and frames are left out; the page’s own stylesheet dresses the rest.'}
      </p>
      <div className="flex justify-end">
        <Button type="submit" tone="strong" disabled={refused !== null} title="Ctrl+Enter">
          Use it
        </Button>
      </div>
    </form>
  );
}

/** Markup of the designer's own, written in a box of its own. */
export function MarkupField({ thing, name, field, set }: EditorProps) {
  const [open, setOpen] = useState(false);
  const source = String(thing[name] ?? '');
  return (
    <Field label={field.label}>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger asChild>
          <Button className="!h-6" title={field.hint} aria-label={`${field.label}: ${brief(source)}`}>
            {brief(source)}
          </Button>
        </Popover.Trigger>
        <PopoverBox aria-label="Own HTML" className="w-[34rem] p-2 text-bench">
          <Writing
            source={source}
            onUse={(next) => {
              set({ [name]: next });
              setOpen(false);
            }}
          />
        </PopoverBox>
      </Popover.Root>
    </Field>
  );
}
