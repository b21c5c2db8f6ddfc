import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { findCommand, keysLabel } from './commands.ts';
import { useCommands } from './use-commands.tsx';

/** A button for a command: its name, keys and whether it can be used all come from the registry. */
export function CommandButton({
  id,
  label,
  tone = 'quiet',
  pressed,
  className = '',
}: {
  readonly id: string;
  /** What is on the button in place of the command’s name: words, or a drawing that the name then is read out for. */
  readonly label?: ReactNode;
  readonly pressed?: boolean;
  readonly className?: string;
  readonly tone?: 'quiet' | 'plain' | 'strong';
}) {
  const { context } = useCommands();
  const command = findCommand(id);
  const keys = command.keys?.[0];
  return (
    <Button
      tone={tone}
      className={className}
      {...(pressed === undefined ? {} : { pressed })}
      disabled={!command.when(context)}
      {...(typeof label === 'object' ? { 'aria-label': command.label } : {})}
      title={keys === undefined ? command.label : `${command.label} (${keysLabel(keys)})`}
      onClick={() => {
        command.run(context);
      }}
    >
      {label ?? command.label}
    </Button>
  );
}
