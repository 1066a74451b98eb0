'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Until the browser runs the page it is a picture: a press on it does nothing, and it does not yet claim to keep anything. */
export const useRunning = () =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** Whether the page is worked on with fingers, which want larger tools. */
export const useFingers = () =>
  useSyncExternalStore(
    never,
    () => window.matchMedia('(pointer: coarse)').matches,
    () => false,
  );
