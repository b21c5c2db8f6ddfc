import { slotsOf, ownersOf, type Compiled, type Level, type Scene, type Site } from '@hamaca/core';
import { useEffect, useLayoutEffect, useMemo, useRef, type ReactNode } from 'react';
import { useCommands } from '../app/commands/use-commands.tsx';
import type { FromFrame, PinnedElement, SlotPlace, ToFrame } from './frame/protocol.ts';
import { sceneMarkup } from './scenes.ts';
import { slotClass } from './slot-class.ts';

/** A part that is carried over the stage. */
export type Carried = Extract<FromFrame, { type: 'carry' }>;

export interface Picked {
  readonly owner: string;
  readonly slot: string;
  readonly level: Level | null;
  readonly index: number;
}

interface Props {
  readonly site: Site;
  readonly output: Compiled;
  readonly scene: Scene;
  /** Width of the page in px, and what is shown of its height. */
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly label: string;
  readonly pinned?: PinnedElement | null;
  readonly selected?: PinnedElement | null;
  readonly reveal?: 'panel' | 'submenu' | null;
  /** Whether what is selected has a dashed line around it. */
  readonly outlined?: boolean;
  readonly onPick?: (picked: Picked) => void;
  /** Classes of elements that are lit up. */
  readonly lit?: readonly string[];
  readonly onCarry?: (carried: Carried) => void;
  /** Drawn over the page, in its px. */
  readonly children?: ReactNode;
}

const NONE: readonly string[] = [];

/** Every slot of the site with the class it has in the output. */
function slotPlaces(site: Site): SlotPlace[] {
  return [...ownersOf(site).values()].flatMap((owner) =>
    Object.keys(slotsOf(owner.kind))
      .filter((slot) => slot !== 'scrim')
      .map((slot): SlotPlace => ({ owner: owner.id, slot, className: slotClass(site, owner.id, slot) })),
  );
}

/** The real output over a scene, in a frame of its own that can reach nothing of the interface. */
export function Stage({
  site,
  output,
  scene,
  width,
  height,
  scale,
  label,
  pinned = null,
  selected = null,
  reveal = null,
  outlined = true,
  onPick,
  lit = NONE,
  onCarry,
  children,
}: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const ready = useRef(false);
  const focused = useRef<HTMLElement | null>(null);
  const { press } = useCommands();
  const slots = useMemo(() => slotPlaces(site), [site]);

  const message = useMemo(
    (): ToFrame => ({
      type: 'render',
      markup: output.markup,
      stylesheet: output.stylesheet,
      script: output.script,
      scene: sceneMarkup(scene),
      language: site.language,
      direction: site.direction,
      slots,
    }),
    [output, scene, site.language, site.direction, slots],
  );
  const pins = useMemo(
    (): ToFrame => ({ type: 'pin', pinned, selected, reveal, outlined }),
    [pinned, selected, reveal, outlined],
  );

  const lights = useMemo((): ToFrame => ({ type: 'light', classNames: lit }), [lit]);

  const latest = useRef({ message, pins, lights, onPick, onCarry });
  latest.current = { message, pins, lights, onPick, onCarry };
  const send = (content: ToFrame) => {
    if (ready.current) frame.current?.contentWindow?.postMessage(content, '*');
  };

  // Sent before the interface itself is painted: the stage goes first.
  useLayoutEffect(() => {
    send(message);
  }, [message]);
  useLayoutEffect(() => {
    send(pins);
  }, [pins]);
  useLayoutEffect(() => {
    send(lights);
  }, [lights]);

  useEffect(() => {
    const listen = (event: MessageEvent<FromFrame>) => {
      if (event.source !== frame.current?.contentWindow) return;
      const { data } = event;
      if (data.type === 'ready') {
        ready.current = true;
        send(latest.current.message);
        send(latest.current.pins);
        send(latest.current.lights);
      } else if (data.type === 'pick') latest.current.onPick?.(data);
      else if (data.type === 'carry') latest.current.onCarry?.(data);
      else if (data.type === 'key') press(data);
      else if (data.type === 'revealed') {
        // Whoever was typing or dragging gets the focus back.
        if (document.activeElement === frame.current) focused.current?.focus({ preventScroll: true });
      } else if (data.type === 'painted') frame.current?.setAttribute('data-painted', String(data.at));
    };
    const remember = (event: FocusEvent) => {
      if (event.target instanceof HTMLElement && event.target !== frame.current)
        focused.current = event.target;
    };
    window.addEventListener('message', listen);
    document.addEventListener('focusin', remember);
    return () => {
      window.removeEventListener('message', listen);
      document.removeEventListener('focusin', remember);
    };
  }, [press]);

  return (
    <div
      style={{ width: width * scale, height: height * scale }}
      className="relative overflow-hidden bg-white"
    >
      <iframe
        ref={frame}
        src="/frame"
        sandbox="allow-scripts"
        title={label}
        tabIndex={onPick ? 0 : -1}
        inert={!onPick}
        style={{
          width,
          height,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
          border: 0,
          display: 'block',
        }}
      />
      {children && (
        <div
          aria-hidden="true"
          className="pointer-events-none absolute inset-0"
          style={{ transform: `scale(${scale})`, transformOrigin: '0 0', width, height }}
        >
          {children}
        </div>
      )}
    </div>
  );
}
