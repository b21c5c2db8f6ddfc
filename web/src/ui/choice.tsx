import { Select } from 'radix-ui';

export interface Option {
  readonly value: string;
  readonly label: string;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly options: readonly Option[];
  readonly onChange: (value: string) => void;
}

/** One of a few named values. */
export function Choice({ label, value, options, onChange }: Props) {
  return (
    <Select.Root value={value} onValueChange={onChange}>
      <Select.Trigger
        aria-label={label}
        className="inline-flex h-7 items-center gap-1.5 rounded-[3px] border border-twine bg-white px-2 text-bench whitespace-nowrap hover:border-rope"
      >
        <Select.Value />
        <span aria-hidden="true" className="text-ink-faint">
          ▾
        </span>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={3}
          className="z-50 max-h-80 overflow-hidden rounded-[3px] border border-rope bg-white"
        >
          <Select.Viewport className="p-1">
            {options.map((option) => (
              <Select.Item
                key={option.value}
                value={option.value}
                className="flex h-7 items-center rounded-[2px] px-2 text-bench outline-none select-none data-highlighted:bg-ochre-wash data-[state=checked]:font-semibold"
              >
                <Select.ItemText>{option.label}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
