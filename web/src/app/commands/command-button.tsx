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
  readonly label?: string;
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
      title={keys === undefined ? command.label : `${command.label} (${keysLabel(keys)})`}
      onClick={() => {
        command.run(context);
      }}
    >
      {label ?? command.label}
    </Button>
  );
}
