'use client';
import { useCallback } from 'react';
import type { Check, StationId } from '@/core/verdict/check';
import { leansOn } from '@/core/edit/leans-on';
import { lineOf, wayOf, wayOfMember } from '@/core/document/views';
import { again } from '@/ui/again';
import { useJobStore } from '../job-context';

const frame = () => new Promise<void>((resolve) => requestAnimationFrame(() => resolve()));

/** Takes one to what a check is about: its move, its station, and the field that is still open, lit for a moment. */
export function useGoTo(): (check: Check) => void {
  const store = useJobStore();
  return useCallback(
    (check) => {
      const { goTo, openStation, history, chooseLine, chooseWay } = store.getState();
      // Its line and its way are opened with it: the fields of the others are not on screen.
      const line = lineOf(history.plan, check.about.id);
      const way = wayOf(history.plan, check.about.id) ?? wayOfMember(history.plan, check.about.id.split('/')[0] ?? '');
      if (line) chooseLine(line.id);
      if (way) chooseWay(way.id);
      const at = history.plan.moves.findIndex((move) => move.id === check.move);
      if (at >= 0) goTo(at);
      else if (check.station === 'runSheet') goTo(-1);
      // Of many alike in one thing the part says which.
      const [part] = check.about.part?.split(' ') ?? [];
      void light(check, [...(part ? [part] : []), ...leansOn(history.plan, check.about)], openStation);
    },
    [store],
  );
}

/** Tries the fields a check may be waiting for, station by station, and lights the first that is empty. */
async function light(check: Check, ids: readonly string[], openStation: (station: StationId) => void): Promise<void> {
  openStation(check.station);
  // Which fields a check may be waiting for is read when somebody asks.
  const { fieldsOf } = await again(() => import('./check-fields'));
  const wanted = fieldsOf(check);
  await frame();
  await frame();
  const fits = (field: HTMLInputElement | null): field is HTMLInputElement => field !== null && (field.value === '' || wanted.length === 1);
  // With the things themselves; where their fields stand with nothing else, anywhere in the station.
  for (const own of [true, false])
    for (const { station, label } of wanted) {
      openStation(station);
      await frame();
      await frame();
      for (const id of own ? ids : []) {
        const thing = openThing(id);
        if (!thing) continue;
        await frame();
        const field = findField(label, thing);
        if (fits(field)) return glow(field);
      }
      const field = own ? null : findField(label, document.querySelector<HTMLElement>('aside'));
      if (fits(field)) return glow(field);
    }
  openStation(check.station);
  await frame();
  await frame();
  const { id, part } = check.about;
  // What is asked anew each day stands once for each.
  const thing = (part === undefined ? null : openThing(`${id} ${part}`)) ?? openThing(id);
  await frame();
  const empty = [...(thing ?? document).querySelectorAll<HTMLInputElement>('aside input, input')].find((one) => one.closest('aside') && one.value === '');
  if (thing) glow(empty && thing.contains(empty) ? empty : thing);
}

/** Unfolds what stands for a thing that a check is about. */
function openThing(id: string): HTMLElement | null {
  const thing = document.querySelector<HTMLElement>(`aside [data-thing="${CSS.escape(id)}"]`);
  // Its own fold, not a choice among its fields: that is a button that opens too.
  thing?.querySelector<HTMLButtonElement>('h3 button[aria-expanded="false"]')?.click();
  return thing;
}

/** Unfolds a thing of the station that was just opened, and brings it into sight. */
export async function unfold(id: string): Promise<void> {
  await frame();
  await frame();
  const thing = openThing(id);
  await frame();
  thing?.scrollIntoView({ block: 'start' });
}

/** Of several fields of one label the first that is empty, or else the first. */
function findField(label: string, within: HTMLElement | null): HTMLInputElement | null {
  let first: HTMLInputElement | null = null;
  for (const one of within?.querySelectorAll('label') ?? []) {
    if (!one.textContent?.trim().startsWith(label)) continue;
    const field = document.getElementById(one.htmlFor);
    if (!(field instanceof HTMLInputElement)) continue;
    if (field.value === '') return field;
    first ??= field;
  }
  return first;
}

/** How long a field stays lit [ms]. */
const LIT = 2600;

function glow(element: HTMLElement): void {
  element.scrollIntoView({ block: 'center' });
  if (element instanceof HTMLInputElement) element.focus();
  const frameOf = element.closest<HTMLElement>('[data-field]') ?? element;
  frameOf.dataset.lit = 'true';
  setTimeout(() => delete frameOf.dataset.lit, LIT);
}
