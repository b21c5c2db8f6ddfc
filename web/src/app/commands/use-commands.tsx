import {
  createContext,
  createElement,
  lazy,
  Suspense,
  use,
  useEffect,
  useMemo,
  useState,
  type FunctionComponent,
  type ReactNode,
} from 'react';
import { useNavigate } from 'react-router';
import type { SiteStore } from '../../store/site-store.ts';
import { runKeys, type CommandContext, type KeyPress } from './commands.ts';

const KeysPage = lazy(async () => ({ default: (await import('./keys-page.tsx')).KeysPage }));

/** How long after its start a page is taken to be at rest, in ms. */
const REST = 2500;

/** The finder is fetched once the page is at rest, so that it takes the very first letter typed after its key. */
function FinderHost({
  open,
  context,
  onClose,
}: {
  readonly open: boolean;
  readonly context: CommandContext;
  readonly onClose: () => void;
}) {
  const [loaded, setLoaded] = useState<{
    readonly Finder: FunctionComponent<{ context: CommandContext; onClose: () => void }>;
  } | null>(null);
  useEffect(() => {
    if (loaded) return undefined;
    const timer = setTimeout(
      () => {
        void import('./finder.tsx').then(({ Finder }) => {
          setLoaded({ Finder });
        });
      },
      open ? 0 : REST,
    );
    return () => {
      clearTimeout(timer);
    };
  }, [loaded, open]);
  return open && loaded ? createElement(loaded.Finder, { context, onClose }) : null;
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
      <FinderHost
        open={open === 'finder'}
        context={commands.context}
        onClose={() => {
          setOpen(null);
        }}
      />
      <Suspense fallback={null}>
        {open === 'keys' && (
          <KeysPage
            onClose={() => {
              setOpen(null);
            }}
          />
        )}
      </Suspense>
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
