import { OWN_ATTRIBUTES } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/text-field.tsx';
import { OutputWordField, type OutputNamesProps } from './output-word.tsx';

const FIELDS = [
  ['className', 'class', 'your own, separated by spaces'],
  ['data', 'data', 'area=header event="open menu"'],
] as const;

/** What a thing is called in the output: the word of its class names, and what the designer hangs on its element besides. */
export function OutputNames({ site, owner, of, set }: OutputNamesProps) {
  const thing = owner.thing as unknown as Readonly<Record<string, unknown>>;
  const fields = owner.sort === 'section' ? [] : FIELDS;
  const count = fields.filter(([name]) => (thing[name] ?? '') !== '').length;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button
          tone="quiet"
          className="!h-6"
          title="What it is called in the markup and stylesheet you hand over"
        >
          names in the output{count > 0 ? ` · ${count}` : ''}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="bottom"
          align="end"
          sideOffset={4}
          aria-label={`Names of ${of} in the output`}
          className="z-50 grid w-96 gap-2 rounded-[3px] border border-rope bg-white p-3 text-bench"
        >
          <OutputWordField site={site} owner={owner} of={of} set={set} />
          {fields.map(([name, label, placeholder]) => (
            <label key={name} className="grid grid-cols-[3rem_1fr] items-center gap-2">
              <span className="text-right text-small text-ink-faint">{label}</span>
              <TextField
                className="w-full"
                aria-label={`${of}: ${label}`}
                value={typeof thing[name] === 'string' ? thing[name] : ''}
                placeholder={placeholder}
                maxLength={500}
                onCommit={(text) => {
                  const refused = refuseOwn(name, text);
                  if (refused === null) set({ [name]: text.trim() === '' ? null : text.trim() });
                  return refused;
                }}
              />
            </label>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** Why a text cannot be an own class or data attribute; null where it can, or is none. */
export function refuseOwn(name: 'className' | 'data', text: string): string | null {
  const trimmed = text.trim();
  const { spec } = OWN_ATTRIBUTES[name];
  if (trimmed === '' || spec.kind !== 'text' || !spec.pattern) return null;
  return spec.pattern.test.test(trimmed) ? null : `Needed are ${spec.pattern.allowed}.`;
}
