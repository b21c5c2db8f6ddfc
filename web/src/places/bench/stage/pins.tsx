import type { Site, SlotKind } from '@hamaca/core';
import { Button } from '../../../ui/button.tsx';
import { benchStore, togglePin, useBench } from '../../../store/bench-store.ts';
import { shownStates } from '../sheet/sheet-model.ts';

/** States of the selected slot that can be frozen on the stage. */
export function Pins({ site, kind }: { readonly site: Site; readonly kind: SlotKind }) {
  const owner = useBench((state) => state.selected.owner);
  const pins = useBench((state) => state.pins);
  const states = shownStates(site, owner, kind).filter((state) => state !== 'rest');
  if (states.length === 0)
    return <p className="text-small text-ink-faint">{kind.label} has no states to freeze</p>;
  return (
    <div role="group" aria-label="Frozen states" className="flex items-center gap-1">
      <span className="mr-1 text-small text-ink-faint slim:sr-only">freeze</span>
      <Button
        className="!h-6 snug:!px-1.5"
        pressed={pins.length === 0}
        onClick={() => {
          benchStore.setState({ pins: [], state: 'rest' });
        }}
      >
        rest
      </Button>
      {states.map((state) => (
        <Button
          key={state}
          className="!h-6 snug:!px-1.5"
          pressed={pins.includes(state)}
          onClick={() => {
            togglePin(state);
          }}
        >
          {state}
        </Button>
      ))}
    </div>
  );
}
