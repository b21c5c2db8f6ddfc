/** Where a command writes; tests pass their own. */
export interface Output {
  readonly print: (text: string) => void;
  readonly warn: (text: string) => void;
  /** Says why the input cannot be used and gives the exit code for that. */
  readonly refuse: (message: string) => number;
}

export function terminalOutput(): Output {
  const warn = (text: string) => {
    process.stderr.write(text);
  };
  return {
    print: (text) => {
      process.stdout.write(text);
    },
    warn,
    refuse: (message) => {
      warn(message);
      return 1;
    },
  };
}
