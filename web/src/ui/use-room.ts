import { useEffect, useRef, useState } from 'react';

/** The room inside an element in whole px, followed while it changes. */
export function useRoom() {
  const ref = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 1000, height: 300 });
  useEffect(() => {
    if (!ref.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry)
        setRoom({ width: Math.floor(entry.contentRect.width), height: Math.floor(entry.contentRect.height) });
    });
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
    };
  }, []);
  return { ref, room };
}
