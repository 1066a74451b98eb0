import type { Vec } from '../geometry/plane';
import type { Drawing } from './draw-list';

/** Site to screen: metres with y up → pixels with y down. A value; gestures make new ones. */
export interface View {
  /** pixels per metre */
  scale: number;
  /** site point at the middle of the frame */
  centre: Vec;
  width: number;
  height: number;
}

export const LEAST_SCALE = 2;
export const MOST_SCALE = 400;

export const toScreen = (view: View, p: Vec): Vec => ({
  x: (p.x - view.centre.x) * view.scale + view.width / 2,
  y: (view.centre.y - p.y) * view.scale + view.height / 2,
});
export const toSite = (view: View, p: Vec): Vec => ({
  x: (p.x - view.width / 2) / view.scale + view.centre.x,
  y: view.centre.y - (p.y - view.height / 2) / view.scale,
});

export interface Margins {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** The whole extent inside the frame, with room in pixels for what stands at its edges. */
export function fit(extent: Drawing['extent'], width: number, height: number, margins: Margins = { top: 34, right: 16, bottom: 16, left: 16 }): View {
  const spanX = Math.max(extent.max.x - extent.min.x, 0.1);
  const spanY = Math.max(extent.max.y - extent.min.y, 0.1);
  const innerWidth = Math.max(width - margins.left - margins.right, 20);
  const innerHeight = Math.max(height - margins.top - margins.bottom, 20);
  const scale = Math.min(MOST_SCALE, Math.max(LEAST_SCALE, Math.min(innerWidth / spanX, innerHeight / spanY)));
  const middle = { x: (extent.min.x + extent.max.x) / 2, y: (extent.min.y + extent.max.y) / 2 };
  return {
    scale,
    width,
    height,
    centre: { x: middle.x - (margins.left - margins.right) / 2 / scale, y: middle.y + (margins.top - margins.bottom) / 2 / scale },
  };
}

/** Zoomed about a screen point, which stays where it is. */
export function zoomAbout(view: View, at: Vec, factor: number): View {
  const scale = Math.min(MOST_SCALE, Math.max(LEAST_SCALE, view.scale * factor));
  const fixed = toSite(view, at);
  return { ...view, scale, centre: { x: fixed.x - (at.x - view.width / 2) / scale, y: fixed.y + (at.y - view.height / 2) / scale } };
}

export const panned = (view: View, dx: number, dy: number): View => ({
  ...view,
  centre: { x: view.centre.x - dx / view.scale, y: view.centre.y + dy / view.scale },
});

export const snap = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(9));
