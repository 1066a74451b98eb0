import { useEffect, useState, type RefObject } from 'react';

/** Size of an element, followed as it changes. */
export function useSize(ref: RefObject<HTMLElement | null>, first: { width: number; height: number }): { width: number; height: number } {
  const [size, setSize] = useState(first);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const watch = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect;
      if (box && box.width > 0 && box.height > 0) setSize({ width: box.width, height: box.height });
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, [ref]);
  return size;
}
