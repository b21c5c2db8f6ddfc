import { useEffect, useRef, useState, type ReactNode } from 'react';

/** How far outside of what is seen something is drawn already, in px. */
const AHEAD = '120px';

/** How many drawings are begun at a time; the next waits until one of them stands. */
const AT_A_TIME = 2;

/** Longest wait for one drawing, in ms: another one is begun then. */
const LONGEST = 1000;

const waiting: (() => void)[] = [];
let begun = 0;

/** Begins what waits, first come, first served: what is seen first stands first. */
function beginNext(): void {
  while (begun < AT_A_TIME) {
    const begin = waiting.shift();
    if (!begin) return;
    begun++;
    begin();
  }
}

/** Waits for a turn to draw. Answers how to give the turn back, also before it came. */
function takeTurn(begin: () => void): () => void {
  let state: 'waiting' | 'drawing' | 'done' = 'waiting';
  let limit: ReturnType<typeof setTimeout> | undefined;
  const giveBack = () => {
    clearTimeout(limit);
    if (state === 'drawing') begun--;
    else if (state === 'waiting') waiting.splice(waiting.indexOf(start), 1);
    state = 'done';
    beginNext();
  };
  const start = () => {
    state = 'drawing';
    limit = setTimeout(giveBack, LONGEST);
    begin();
  };
  waiting.push(start);
  beginNext();
  return giveBack;
}

/** How far outside of what is seen a drawing that is not kept goes again, in px. */
const FAR = '1500px';

/** How long one that is not kept must stay in sight before it is drawn, in ms: what is scrolled past is not. */
const SETTLED = 120;

interface Props {
  /** Class of the room that stands empty before. */
  readonly room: string;
  /** Whether it stays once it was drawn; else it goes when it is far out of sight, as a long list would fill the memory. */
  readonly kept?: boolean;
  /** Draws it; `drawn` is called once it stands. */
  readonly children: (drawn: () => void) => ReactNode;
}

/** Draws its content once it comes into sight, a few at a time. */
export function InSight({ room, kept = true, children }: Props) {
  const box = useRef<HTMLSpanElement>(null);
  const [shown, setShown] = useState(false);
  const turn = useRef<(() => void) | null>(null);
  useEffect(() => {
    let settling: ReturnType<typeof setTimeout> | undefined;
    const leave = () => {
      clearTimeout(settling);
      turn.current?.();
      turn.current = null;
    };
    const draw = () => {
      turn.current ??= takeTurn(() => {
        setShown(true);
      });
    };
    const near = new IntersectionObserver(
      (entries) => {
        clearTimeout(settling);
        if (entries.at(-1)?.isIntersecting !== true) return;
        if (kept) {
          near.disconnect();
          draw();
        } else settling = setTimeout(draw, SETTLED);
      },
      { rootMargin: AHEAD },
    );
    const far = new IntersectionObserver(
      (entries) => {
        if (entries.at(-1)?.isIntersecting !== false) return;
        leave();
        setShown(false);
      },
      { rootMargin: FAR },
    );
    if (box.current) {
      near.observe(box.current);
      if (!kept) far.observe(box.current);
    }
    return () => {
      near.disconnect();
      far.disconnect();
      leave();
    };
  }, [kept]);
  return (
    <span ref={box} className={`block ${shown && kept ? '' : room}`}>
      {shown && children(() => turn.current?.())}
    </span>
  );
}
