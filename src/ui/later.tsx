'use client';
import { useEffect, useReducer, type ComponentType } from 'react';

/** A part of the page that is read when it is first shown: nothing stands in its place until it is here, and then it stays. */
export function later<P extends object>(read: () => Promise<ComponentType<P>>): ComponentType<P> {
  const known: { part: ComponentType<P> | null; fault: unknown } = { part: null, fault: null };
  return function Later(props: P) {
    const [, show] = useReducer((count: number) => count + 1, 0);
    useEffect(() => {
      if (known.part) return;
      void read()
        .then(
          (part) => void (known.part = part),
          (fault: unknown) => void (known.fault = fault),
        )
        .then(show);
    }, []);
    if (known.fault) throw known.fault;
    return known.part ? <known.part {...props} /> : null;
  };
}
