import type { Check, StationId } from '@/core/plan/check';

/** A field a missing check may be waiting for: where it is and how its label begins. */
export interface WantedField {
  station: StationId;
  label: string;
}
const at = (station: StationId, ...labels: string[]): WantedField[] => labels.map((label) => ({ station, label }));

const rigging = at('picks', 'Slings and shackles weigh');
const turned = ['Slung from its upper end', 'Sling from there to the hook', 'Tail from its lower end'];
const bar = [
  'From sling to sling',
  'Spreader weighs',
  'Lifting beam weighs',
  'Each sling above it',
  'Hook above its sling holes',
  'Left legs apart, across',
  'Right legs apart, across',
];
const block = at('gear', 'Hook block weighs');
const placeOfLine = at('gear', 'Voltage', 'One end, east', 'One end, north', 'Other end, east', 'Other end, north', 'Height of the lowest wire');

/** By check, the fields it may be waiting for, in the order they are tried: the first that is empty is the one. */
export const byCheck: Readonly<Record<string, WantedField[]>> = {
  'lift.chart': [...rigging, ...at('picks', ...bar, ...turned, 'Its slings and shackles weigh', 'Boom of the second crane'), ...block],
  'lift.wind': [...at('gear', 'Chart is good up to gusts of', 'Gusts forecast'), ...rigging, ...block],
  'lift.duty': at('gear', 'Boom off the front, from', 'Boom off the front, up to', 'Chart’s base, front to rear', 'Chart’s counterweight'),
  'stand.base': at('gear', 'Outriggers here, side to side', 'Outriggers here, front to rear'),
  'lift.falls': at('gear', 'Parts of line', 'One part of line may carry'),
  'lift.chartBase': at('gear', 'Chart’s base, front to rear', 'Chart’s base, side to side'),
  'lift.chartCells': at('gear', 'Held against the maker’s chart by', 'Held on'),
  'stand.ground': [...at('gear', 'Mat under each outrigger', 'Ground may take'), ...rigging, ...block],
  'stand.powerLine': placeOfLine,
  'stand.powerZone': at('gear', 'Taken where crane or load could come near', 'Answers for it', 'Since'),
  'rigging.bar': at('picks', 'Its plate says'),
  'rigging.top': at('picks', 'Rating of one sling above'),
  'rigging.barSteel': at('picks', 'Its grade', 'Its own section'),
  'pick.rig': at('picks', 'Hangs by'),
  'rigging.tension': at('picks', ...bar, ...turned, 'Rating of one leg', 'Rating of a sling below', 'Rating of the sling', 'Rating of its sling'),
  'pick.critical': at('picks', 'Lift plan signed by', 'Signed on'),
  'crane.inspected': at('gear', 'Crane inspected by', 'Crane inspected on'),
  'gear.inspected': at('gear', 'Inspected by', 'Inspected on'),
  'gear.named': at('picks', 'Take from the yard'),
  'gear.rating': at('picks', 'Rating of one leg', 'Rating of the sling', 'Its plate says'),
  'lift.caller': at('runSheet', 'One caller'),
  'lift.sight': [...at('gear', 'Signals', 'Eyes at level'), ...at('runSheet', 'Radio channel')],
  'lift.over': at('gear', 'Kept closed by', 'Who answers for that', 'Closed since'),
  'raise.share': at('picks', 'Lifts by its plate', 'Load centre of the plate', 'Mast to middle of this load', 'Rated', 'People'),
  'raise.uneven': at('picks', 'One end ahead by'),
  'raise.by': at('picks', 'Answers for it'),
  'raise.at': at('picks', 'From the left end of the load'),
  'raise.reach': at('picks', 'Forks go up to', 'Gear stands at level'),
  'raise.floor': at('picks', 'The lift weighs', 'Floor under its legs', 'Floor may take'),
  'raise.headRoom': at('picks', 'Hangs at level', 'Closed, from hanger to hook', 'Hook to top of the load'),
  'raise.travel': at('picks', 'Hook travels', 'Load lies at level'),
  'raise.side': at('picks', 'Pulls out of plumb by'),
  'raise.hangsFrom': at('picks', 'It hangs from', 'The hoist weighs', 'That may carry'),
  'raise.slides': at('picks', 'From rest to rest', 'Friction on the rests'),
  'raise.rung': at('picks', 'A rest may carry'),
  'lift.headRoom': at('picks', ...bar, ...turned, 'Boom of the second crane'),
  'lift.boomGap': at('picks', ...bar, ...turned, 'Boom of the second crane'),
  'piece.weight': at('steel', 'Section'),
  'statement.mass': at('steel', 'Chosen by', 'Because', 'The plan goes by'),
  'statement.length': at('steel', 'Length by drawing'),
  'statement.yield': at('steel', 'Yield'),
  'set.bearing': at('measure', 'Bearing at'),
  'set.postLoad': at('measure', 'May carry'),
  'bearing.concrete': at('measure', 'Strength intended', 'Test result', 'Tested by', 'Tested on', 'What, and who says it holds'),
  'path.seat': at('measure', 'Stress it may take'),
  'measure.who': at('measure', 'Measured by', 'Measured on'),
  'said.figure': [],
  'release.bolts': at('runSheet', 'Bolts put in', 'Drawn size and grade'),
  'support.web': at('measure', 'Web stiffened there', 'Seat along the piece'),
  'support.load': at('measure', 'May carry'),
  'support.measured': at('measure', 'Level, surveyed', 'Surveyed by', 'Surveyed on'),
  'anchors.count': at('measure', 'Anchors'),
  'anchors.hold': at('measure', 'Anchors to pressed edge', 'Axis to pressed edge', 'Column depth', 'Those in tension'),
  'brace.tied': at('steel', 'Tied at its other end to'),
  'lift.by': at('runSheet', 'Held by'),
  'joint.bolts': at('runSheet', 'Bolts put in'),
  'release.ends': at('runSheet', 'Bolts put in'),
  'anchors.repaired': at('measure', 'Repair approved by'),
  'joint.opened': at('steel', 'Opening approved by'),
  'joint.filled': at('steel', 'Holes in all'),
  'joint.strength': at('steel', 'Holes in all', 'Moment it may carry', 'Shear it may carry', 'One bolt may carry'),
  'brace.force': at('steel', 'It may carry'),
  'brace.stiffness': at('steel', 'Stiffness'),
  'brace.sway': at('steel', 'It may carry'),
  'brace.towards': at('steel', 'Seen from above it pulls towards'),
  'brace.slope': at('steel', 'Slope from the horizontal'),
  'brace.anchor': at('steel', 'Block weighs', 'Friction under the block', 'Anchor may carry'),
  'anchors.sway': at('measure', 'Anchors to pressed edge', 'Axis to pressed edge', 'Those in tension'),
  'frame.wind': at('gear', 'Gust on standing steel'),
  'plumb.read': at('runSheet', 'Out of plumb'),
  'support.seat': at('measure', 'Seat along the piece', 'Seat across it'),
  'crane.chartSource': at('gear', 'Chart comes from'),
  'anchors.under': at('measure', 'Shims may carry', 'Rods, diameter', 'Rods, free under the nut', 'Rods yield at'),
  'lift.plan': at('runSheet', 'That lift was worked out by'),
  'line.roll': at('gear', 'Gust on standing steel'),
  'shore.lateral': at('gear', 'Gust on standing steel'),
  'shore.rollover': at('gear', 'Gust on standing steel'),
  'shore.room': at('shores', 'Lifting gear needs, clear'),
  'shore.register': at('shores', 'Designed by', 'Checked by', 'Inspected every', 'Last inspected'),
};

export const fieldsOf = (check: Check): readonly WantedField[] => byCheck[check.id] ?? [];
