import { createContext, use, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { later } from '../../ui/later.tsx';
import type { SiteStore } from '../../store/site-store.ts';
import { runKeys, type CommandContext, type KeyPress } from './commands.ts';

const KeysPage = later<{ readonly onClose: () => void }>(
  async () => (await import('./keys-page.tsx')).KeysPage,
);

/** How long after its start a page is taken to be at rest, in ms. */
const REST = 2500;

const Finder = later<{ readonly context: CommandContext; readonly onClose: () => void }>(
  async () => (await import('./finder.tsx')).Finder,
);

/** The finder is fetched once the page is at rest, so that it takes the very first letter typed after its key. */
function useFinderAtRest(): void {
  useEffect(() => {
    const timer = setTimeout(() => {
      // Whoever opens it is told why it cannot be.
      Finder.load().catch(() => undefined);
    }, REST);
    return () => {
      clearTimeout(timer);
    };
  }, []);
}

interface Commands {
  readonly context: CommandContext;
  readonly press: (press: KeyPress) => boolean;
  readonly setStore: (store: SiteStore | null) => void;
  readonly setActions: (actions: CommandContext['actions']) => void;
}

const CommandsContext = createContext<Commands | null>(null);

/** Listens to keys and holds what commands act on. */
export function CommandsProvider({ children }: { readonly children: ReactNode }) {
  const navigate = useNavigate();
  const [open, setOpen] = useState<'finder' | 'keys' | null>(null);
  const [store, setStore] = useState<SiteStore | null>(null);
  const [actions, setActions] = useState<CommandContext['actions']>({});
  const commands = useMemo((): Commands => {
    const context: CommandContext = {
      store,
      actions,
      navigate: (path) => {
        void navigate(path);
      },
      openFinder: () => {
        setOpen('finder');
      },
      openKeys: () => {
        setOpen('keys');
      },
    };
    return { context, press: (press) => runKeys(press, context), setStore, setActions };
  }, [navigate, store, actions]);

  useFinderAtRest();
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      const meta = event.ctrlKey || event.metaKey;
      // A field being typed in keeps its own undo.
      if (
        typing &&
        meta &&
        ['z', 'y'].includes(event.key.toLowerCase()) &&
        event.target.dataset['dirty'] === 'true'
      )
        return;
      if (
        commands.press({ key: event.key, code: event.code, meta, shift: event.shiftKey, alt: event.altKey })
      )
        event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, [commands]);

  return (
    <CommandsContext value={commands}>
      {children}
      {open === 'finder' && (
        <Finder
          context={commands.context}
          onClose={() => {
            setOpen(null);
          }}
        />
      )}
      {open === 'keys' && (
        <KeysPage
          onClose={() => {
            setOpen(null);
          }}
        />
      )}
    </CommandsContext>
  );
}

export function useCommands(): Commands {
  const commands = use(CommandsContext);
  if (!commands) throw new Error('Commands are needed here.');
  return commands;
}

/** Offers what a place can do to the registry of commands for as long as it is open. */
export function useCommandActions(actions: CommandContext['actions']): void {
  const { setActions } = useCommands();
  useEffect(() => {
    setActions(actions);
    return () => {
      setActions({});
    };
  }, [actions, setActions]);
}
