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

interface Props {
  /** Class of the room that stands empty before. */
  readonly room: string;
  /** Draws it; `drawn` is called once it stands. */
  readonly children: (drawn: () => void) => ReactNode;
}

/** Draws its content once it comes into sight, a few at a time, and keeps it from then on. */
export function InSight({ room, children }: Props) {
  const box = useRef<HTMLSpanElement>(null);
  const [shown, setShown] = useState(false);
  const turn = useRef<(() => void) | null>(null);
  useEffect(() => {
    const observer = new IntersectionObserver(
      (entries) => {
        if (!entries.some((entry) => entry.isIntersecting)) return;
        observer.disconnect();
        turn.current = takeTurn(() => {
          setShown(true);
        });
      },
      { rootMargin: AHEAD },
    );
    if (box.current) observer.observe(box.current);
    return () => {
      observer.disconnect();
      turn.current?.();
    };
  }, []);
  return (
    <span ref={box} className={`block ${shown ? '' : room}`}>
      {shown && children(() => turn.current?.())}
    </span>
  );
}
