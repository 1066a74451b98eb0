import type { Bearing, Leg, Link, Member, Opening, Overlay, Pattern, Permit, Piece, SpanLine, Truck, Turn, WayIn } from '../schema';
import { isPulled } from '../yard';
import { asked, holds, none, onLinks, outOf, type Thing } from './thing';

export const bearings: Thing<Bearing> = { word: 'bearing', refs: (one) => onLinks(one) };
export const links: Thing<Link> = { word: 'link', refs: (one) => onLinks(one) };
export const pieces: Thing<Piece> = {
  word: 'piece',
  refs: ({ seat }) => [holds('bearing', seat.left, 'seat.left'), holds('bearing', seat.right, 'seat.right')],
};

export const openings: Thing<Opening> = {
  word: 'opening',
  refs: ({ left, right, member }) => [
    holds('bearing', left, 'left'),
    holds('bearing', right, 'right'),
    ...asked<Opening>('member', member, 'member', (thing) => (thing.member = null)),
  ],
};
export const overlays: Thing<Overlay> = { word: 'drawing clash', refs: none };
export const patterns: Thing<Pattern> = { word: 'bolt pattern', refs: ({ bearing }) => [holds('bearing', bearing, 'bearing')] };
export const lines: Thing<SpanLine> = { word: 'line of spans', refs: (one) => one.bearings.map((id, j) => holds('bearing', id, `bearings[${j}]`)) };

export const members: Thing<Member> = {
  word: 'member',
  refs: ({ travel }) => [
    ...asked<Member>('truck', travel.truck, 'travel.truck', (thing) => (thing.travel.truck = null)),
    ...asked<Member>('permit', travel.permit, 'travel.permit', (thing) => (thing.travel.permit = null)),
  ],
};
export const trucks: Thing<Truck> = { word: 'truck', refs: none };
export const turns: Thing<Turn> = { word: 'turn of the road', refs: none };
export const permits: Thing<Permit> = { word: 'permit', refs: none };

export const ways: Thing<WayIn> = {
  word: 'way in',
  refs: ({ member }) => asked<WayIn>('member', member, 'member', (thing) => (thing.member = null)),
};
export const legs: Thing<Leg> = {
  word: 'leg of the way in',
  refs: (leg) =>
    isPulled(leg)
      ? outOf<Leg>(
          'yard',
          leg.gear,
          (j) => `gear[${j}]`,
          (thing, id) => {
            if (isPulled(thing)) thing.gear = thing.gear?.filter((other) => other !== id);
          },
        )
      : [],
};
