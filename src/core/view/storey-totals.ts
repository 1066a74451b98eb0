import type { Plan } from '../document/schema';
import type { PathPicture } from './path-picture';

export interface StoreyTotal {
  storey: number;
  /** what comes down onto it from above and what it adds itself; null while a load on it is not known */
  load: number | null;
  links: number;
}

/** The loads summed storey by storey, the highest first: what enters each storey from outside it, and its own. */
export function storeyTotals(plan: Plan, { boxes, lines }: PathPicture): StoreyTotal[] {
  const loads = new Map(boxes.map((box) => [box.id, box.load]));
  const storeyOf = new Map(plan.links.map((link) => [link.id, link.storey]));
  return [...new Set(plan.links.map((link) => link.storey))]
    .sort((a, b) => b - a)
    .map((storey): StoreyTotal => {
      const here = plan.links.filter((link) => link.storey === storey);
      let load: number | null = 0;
      for (const link of here) {
        const onto = lines.filter((line) => line.to === link.id && storeyOf.get(line.from) !== storey);
        const parts = onto.map((line) => {
          const above = loads.get(line.from) ?? null;
          return above === null ? null : above * line.share;
        });
        load = load === null || parts.includes(null) ? null : parts.reduce<number>((sum, one) => sum + (one ?? 0), load + link.own);
      }
      return { storey, load, links: here.length };
    });
}
