import { useEffect, useRef, useState, type InputHTMLAttributes } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value'> {
  readonly value: string;
  /** Takes the text when the field is left or Enter is pressed; a refusal is a message, and the old value stays. */
  readonly onCommit: (value: string) => string | null;
  /** Called with every keystroke, for effects that should be seen at once; null where what was typed is taken back. */
  readonly onTyping?: (value: string | null) => void;
}

/** A field whose text counts once it is left; Escape brings the old text back. */
export function TextField({ value, onCommit, onTyping, className = '', ...rest }: Props) {
  const [text, setText] = useState(value);
  const [error, setError] = useState<string | null>(null);
  const typed = useRef(false);
  /** What stood there before the first keystroke: `value` may show what is typed meanwhile. */
  const before = useRef(value);
  useEffect(() => {
    if (!typed.current) setText(value);
  }, [value]);

  const commit = () => {
    if (!typed.current) return;
    typed.current = false;
    const refused = onCommit(text);
    setError(refused);
    if (refused !== null) typed.current = true;
  };
  const revert = () => {
    typed.current = false;
    setText(before.current);
    setError(null);
    onTyping?.(null);
  };
  return (
    <span className={`relative inline-flex min-w-0 ${className.includes('w-full') ? 'w-full' : ''}`}>
      <input
        {...rest}
        value={text}
        aria-invalid={error !== null}
        title={error ?? rest.title}
        className={`field min-w-0 text-bench ${className}`}
        onChange={(event) => {
          if (!typed.current) before.current = value;
          typed.current = true;
          event.target.dataset['dirty'] = 'true';
          setText(event.target.value);
          setError(null);
          onTyping?.(event.target.value);
        }}
        onBlur={(event) => {
          delete event.target.dataset['dirty'];
          commit();
          rest.onBlur?.(event);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape' && typed.current) {
            event.stopPropagation();
            revert();
          }
          rest.onKeyDown?.(event);
        }}
      />
      {error !== null && (
        <span
          role="alert"
          className="absolute top-full left-0 z-20 mt-0.5 w-max max-w-72 rounded-[3px] border border-brick bg-brick-wash px-2 py-1 text-small text-brick"
        >
          {error}
        </span>
      )}
    </span>
  );
}
