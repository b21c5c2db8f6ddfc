import type { Site } from '@hamaca/core';
import { useEffect, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useCommandActions } from '../../app/commands/use-commands.tsx';
import { useEdit, useSiteState } from '../../store/open-site.tsx';
import { benchStore, bringPage, showDesigns } from '../../store/bench-store.ts';
import { selectFirst } from './stage/use-selection.ts';
import { tieKnot } from './widths/tie-knot.ts';

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]');

/** What the bench offers to the registry of commands, and the key that shows the kept version while it is held. */
export function useBenchCommands(site: Site): void {
  const id = useSiteState((state) => state.id);
  const edit = useEdit();
  useEffect(() => {
    // The version a designer came with is the first one kept.
    if (benchStore.getState().keptOf !== id)
      benchStore.setState({ kept: site, keptOf: id, compare: 'off', spread: false });
  }, [site, id]);
  const navigate = useNavigate();
  const actions = useMemo(() => {
    const goBy = (step: number) => {
      const { pieces } = site;
      // What the address says is newer than what is drawn.
      const at = pieces.findIndex(({ id: own }) => window.location.pathname.endsWith(`/bench/${own}`));
      const next = pieces[(Math.max(0, at) + step + pieces.length) % pieces.length];
      if (!next) return;
      selectFirst(site, next);
      void navigate(`/sites/${id}/bench/${next.id}`);
    };
    return {
      'bench-spread': () => {
        benchStore.setState(({ spread }) => ({ spread: !spread }));
      },
      'bench-compare': () => {
        benchStore.setState(({ compare }) => ({
          compare: compare === 'beside' ? 'off' : 'beside',
          spread: false,
        }));
      },
      'bench-keep': () => {
        benchStore.setState({ kept: site });
      },
      'bench-starters': () => {
        showDesigns();
      },
      'bench-bring-page': bringPage,
      'bench-faint': () => {
        benchStore.setState(({ faint }) => ({ faint: !faint }));
      },
      'bench-next-piece': () => {
        goBy(1);
      },
      'bench-piece-before': () => {
        goBy(-1);
      },
      'bench-measures': () => {
        benchStore.setState(({ measuring }) => ({ measuring: !measuring, spread: false }));
      },
      'bench-longer': () => {
        benchStore.setState(({ longer }) => ({ longer: !longer }));
      },
      'bench-what-if': () => {
        benchStore.setState(({ wondering }) => ({ wondering: !wondering }));
      },
      'bench-tie': () => {
        tieKnot(site, edit, benchStore.getState().width);
      },
      'bench-filter': () => {
        document.querySelector<HTMLElement>('[aria-label="Find a property"]')?.focus();
      },
    };
  }, [site, edit, id, navigate]);
  useCommandActions(actions);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '`' || isTyping(event.target)) return;
      event.preventDefault();
      const { compare } = benchStore.getState();
      if (event.type === 'keydown' && compare === 'off') benchStore.setState({ compare: 'instead' });
      if (event.type === 'keyup' && compare === 'instead') benchStore.setState({ compare: 'off' });
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onKey);
    };
  }, []);
}
