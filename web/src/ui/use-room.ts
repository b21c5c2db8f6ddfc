import { useCallback, useRef, useState } from 'react';

/** The room in px that an element has for what is in it; the element may come, go and be another one. */
export function useRoom() {
  const [room, setRoom] = useState({ width: 1000, height: 300 });
  const held = useRef<HTMLDivElement>(null);
  const ref = useCallback((element: HTMLDivElement | null) => {
    held.current = element;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry)
        setRoom({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) });
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return { ref, held, room };
}
