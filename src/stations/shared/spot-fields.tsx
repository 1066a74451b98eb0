'use client';
import type { ReactElement } from 'react';
import type { Fault } from '@/core/calc/schema';
import { pieceMarked } from '@/core/edit/meeting';
import { placeOf, pointAt } from '@/core/document/place';
import { usePlan } from '@/job/job-context';
import { useInputs } from '@/job/editing/use-inputs';

interface Spot {
  piece: string;
  at: number;
}

/** A place on a piece: by the mark that is written on it, and how far from its first end. */
export function useSpot(): (
  label: string,
  spot: Spot,
  onSpot: (spot: Spot, /** how far along it is was typed */ placed: boolean) => Fault[] | null,
  /** nobody has said how far along it is */ open?: boolean,
) => ReactElement[] {
  const plan = usePlan();
  const { words, figure } = useInputs();
  const { pieces, makes } = plan.structure;
  const lengthOf = (id: string): number => {
    const beam = pieces.find((one) => one.id === id);
    return makes.find((one) => one.id === beam?.make)?.length ?? 0;
  };
  return (label, spot, onSpot, open) => {
    const beam = pieces.find((one) => one.id === spot.piece);
    const place = beam && placeOf(beam);
    return [
      words(label, beam?.mark ?? '', (mark) => {
        const found = pieceMarked(plan, mark, place ? pointAt(place, spot.at) : null);
        if ('fault' in found) return [{ path: label, error: found.fault }];
        return onSpot({ piece: found.id, at: Math.min(spot.at, lengthOf(found.id)) }, false);
      }),
      figure(`${label}, from its first end`, 'length', open ? null : spot.at, (at) => onSpot({ ...spot, at }, true)),
    ];
  };
}
