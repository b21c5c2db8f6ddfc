import { OWN_ATTRIBUTES } from '@hamaca/core';
import { Popover } from 'radix-ui';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/text-field.tsx';
import type { SetFields } from './editors.tsx';

const FIELDS = [
  ['className', 'class', 'your own, separated by spaces'],
  ['data', 'data', 'area=header event="open menu"'],
] as const;

/** Classes and data attributes of the designer's own, on the element of a part or piece. */
export function OwnAttributes({
  of,
  thing,
  set,
}: {
  readonly of: string;
  readonly thing: Readonly<Record<string, unknown>>;
  readonly set: SetFields;
}) {
  const count = FIELDS.filter(([name]) => (thing[name] ?? '') !== '').length;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button tone="quiet" className="!h-6" title="For scripts and stylesheets of your own">
          class, data{count > 0 ? ` · ${count}` : ''}
        </Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="bottom"
          align="end"
          sideOffset={4}
          aria-label={`Class and data attributes of ${of}`}
          className="z-50 grid w-80 gap-2 rounded-[3px] border border-rope bg-white p-3 text-bench"
        >
          {FIELDS.map(([name, label, placeholder]) => (
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
