import { Select } from 'radix-ui';
import { memo, useRef, useState, type ReactNode, type RefObject } from 'react';

export interface Option {
  readonly value: string;
  readonly label: string;
}

interface Props {
  readonly label: string;
  readonly value: string;
  readonly options: readonly Option[];
  /** What is shown for the value while the list is closed, where its label would take too much room. */
  readonly shown?: ReactNode;
  readonly onChange: (value: string) => void;
}

function OptionList({ options }: { readonly options: readonly Option[] }) {
  return (
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
  );
}

interface FieldProps extends Omit<Props, 'onChange'> {
  readonly change: RefObject<Props['onChange']>;
}

/** Its list is there only while it is open. */
function ChoiceField({ label, value, options, shown, change }: FieldProps) {
  const [open, setOpen] = useState(false);
  const chosen = options.find((option) => option.value === value);
  return (
    <Select.Root
      value={value}
      open={open}
      onOpenChange={setOpen}
      onValueChange={(next) => {
        change.current(next);
      }}
    >
      <Select.Trigger
        aria-label={label}
        title={shown === undefined ? undefined : `${label}: ${chosen?.label ?? value}`}
        className="inline-flex h-7 items-center gap-1.5 rounded-[3px] border border-twine bg-white px-2 text-bench whitespace-nowrap hover:border-rope"
      >
        <Select.Value>{shown ?? chosen?.label ?? value}</Select.Value>
        <span aria-hidden="true" className="text-ink-faint">
          ▾
        </span>
      </Select.Trigger>
      {open && <OptionList options={options} />}
    </Select.Root>
  );
}

const sameOptions = (a: readonly Option[], b: readonly Option[]) =>
  a.length === b.length &&
  a.every((option, index) => option.value === b[index]?.value && option.label === b[index].label);

const MemoisedField = memo(
  ChoiceField,
  (a, b) =>
    a.label === b.label &&
    a.value === b.value &&
    // What is drawn follows from the value; words may say more.
    (typeof b.shown !== 'string' || a.shown === b.shown) &&
    sameOptions(a.options, b.options),
);

/** One of a few named values. */
export function Choice({ onChange, ...field }: Props) {
  const change = useRef(onChange);
  change.current = onChange;
  return <MemoisedField {...field} change={change} />;
}
