import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase, q } from '../../calc/work';
import type { AboutKind, Check, StationId } from '../../verdict/check';
import { keep } from '../../document/keep';
import { markLifted } from '../../document/lookups';
import { isInclined, placeOf, pointAt } from '../../document/place';
import type { Plan } from '../../document/schema';
import { allShores } from '../../document/views';
import { minus, norm3, type Vec3 } from '../../geometry/space';
import type { Context } from '../context';
import { flatStop, missingCheck, on, told } from '../../verdict/build';

const SOURCE = 'Common practice: two ends, two feet, two hooks are two things at two places';
/** Nearer than this along a piece, two of what raises it are at one place [m]. */
const APART = 0.1;

type Thing = { kind: AboutKind; id: string; name: string; station: StationId };
const place = ({ kind, id, name, station }: Thing, part?: string) => ({
  id: 'said.twice',
  ...on(kind, { id }, name, part),
  station,
  move: null,
  calc: sequenceNeeds.id,
  source: SOURCE,
});
const ask = (thing: Thing, question: string, part?: string): Check => missingCheck(place(thing, part), 'count', question);

/** The first thing of a list that is in it a second time. */
const repeated = (list: readonly string[]): string | undefined => list.find((one, i) => list.indexOf(one) < i);

/** One thing named where two are meant: the same seat at both ends, one foot counted twice, two hooks at one place. */
export function saidTwiceChecks({ plan }: Context): Check[] {
  return [...openings(plan), ...marks(plan), ...feet(plan), ...raises(plan), ...patterns(plan), ...gear(plan), ...readings(plan), ...diagonals(plan)];
}

/** Two lines whose ends lie nearer to each other than this are one [m]. */
const ONE = 0.3;

/** A brace that runs where a piece runs holds the frame a second time. */
function diagonals({ structure }: Plan): Check[] {
  const placed = new Map(structure.pieces.map((one) => [one.id, placeOf(one)]));
  const inclined = structure.pieces.flatMap(({ id, mark }) => {
    const stands = placed.get(id);
    return stands && isInclined(stands) ? [{ mark, ends: [stands.from, stands.to] as const }] : [];
  });
  if (inclined.length === 0) return [];
  return structure.braces.flatMap((brace): Check[] => {
    const [from, to] = [placed.get(brace.a.piece), brace.b ? placed.get(brace.b.piece) : null];
    if (!from || !to || !brace.b) return [];
    const [a, b] = [pointAt(from, brace.a.at), pointAt(to, brace.b.at)];
    const off = (one: Vec3, other: Vec3) => norm3(minus(one, other));
    const same = inclined.find(({ ends: [one, other] }) => Math.min(Math.max(off(a, one), off(b, other)), Math.max(off(a, other), off(b, one))) < ONE);
    if (!same) return [];
    const thing: Thing = { kind: 'brace', id: brace.id, name: brace.name, station: 'steel' };
    return [ask(thing, `${brace.name} runs where ${same.mark} runs. Is it that piece? It holds the frame once: take one of the two out.`)];
  });
}

function openings({ survey, bearings }: Plan): Check[] {
  return survey.openings.flatMap((one) => {
    if (one.left !== one.right) return [];
    const seat = bearings.find(({ id }) => id === one.left);
    const thing: Thing = { kind: 'opening', id: one.id, name: one.name, station: 'measure' };
    return seat
      ? [
          flatStop(
            place(thing),
            'count',
            told([`Both ends of the piece over ${one.name} are said to lie on ${seat.name}. On what does the other end lie?`]),
            [],
          ),
        ]
      : [];
  });
}

/** Pieces of one mark are alike: whoever reads it on a card takes the one for the other. */
function marks({ structure }: Plan): Check[] {
  const makes = new Map(structure.makes.map((make) => [make.id, make]));
  const first = new Map<string, string>();
  return structure.pieces.flatMap(({ id, mark, make }) => {
    const key = mark.trim().toLowerCase();
    if (key === '') return [];
    const before = first.get(key);
    if (before === undefined) first.set(key, make);
    if (before === undefined || before === make) return [];
    const [one, other] = [makes.get(before), makes.get(make)];
    if (!one || !other || (one.length === other.length && JSON.stringify(one.made) === JSON.stringify(other.made))) return [];
    return [
      ask(
        { kind: 'beam', id, name: mark, station: 'steel' },
        `Two pieces that are not alike are marked ${mark.trim()}: one of ${one.mark}, one of ${other.mark}. What is written on this one?`,
        'mark',
      ),
    ];
  });
}

/** What stands on one link twice would bring its load onto it twice, or half of it nowhere. */
function feet(plan: Plan): Check[] {
  const { structure } = plan;
  const checks: Check[] = [];
  const look = (list: readonly { id: string; name: string; standsOn: readonly { link: string }[] }[], kind: AboutKind, station: StationId): void => {
    for (const { id, name, standsOn } of list) {
      const twice = standsOn.length < 2 ? undefined : repeated(standsOn.map(({ link }) => link));
      if (twice === undefined) continue;
      const under = plan.links.find((one) => one.id === twice)?.name ?? twice;
      checks.push(ask({ kind, id, name, station }, `${name} is said to stand on ${under} twice. Which of the two is another?`, 'feet'));
    }
  };
  look(plan.bearings, 'bearing', 'measure');
  look(plan.links, 'link', 'measure');
  look(structure.supports, 'support', 'measure');
  look(allShores(plan), 'shore', 'shores');
  look(
    (plan.launches ?? []).flatMap(({ rollers }) => rollers),
    'roller',
    'picks',
  );
  return checks;
}

function raises(plan: Plan): Check[] {
  return (plan.raises ?? []).flatMap((raise) => {
    const placed = raise.points.filter(({ at }) => at !== null).sort((a, b) => a.at! - b.at!);
    return placed.flatMap((one, i) => {
      const next = placed[i + 1];
      if (!next || next.at! - one.at! >= APART) return [];
      const load = plan.structure.pieces.find(({ id }) => id === raise.load)?.mark ?? plan.survey.openings.find(({ id }) => id === raise.load)?.name ?? '';
      return [
        ask(
          { kind: 'raise', id: raise.id, name: load, station: 'picks' },
          `${one.name} and ${next.name} raise ${load || 'it'} at one place along it. Two things do not fit there: where is each?`,
          next.id,
        ),
      ];
    });
  });
}

/** Two bolts cast at one place are one bolt: the pattern has one too few. */
function patterns({ survey }: Plan): Check[] {
  return survey.patterns.flatMap((pattern) =>
    keep('said.twice.pattern', pattern, [], () => {
      const bolts = pattern.bolts.map(({ drawn }) => drawn);
      const twin = bolts.findIndex((a, i) => bolts.slice(0, i).some((b) => Math.hypot(a.x - b.x, a.y - b.y) < (pattern.bolt ?? 0.012)));
      const thing: Thing = { kind: 'pattern', id: pattern.id, name: pattern.name, station: 'measure' };
      return [
        ...(twin < 0 ? [] : [ask(thing, `Bolt ${twin + 1} of ${pattern.name} is drawn where another is. Where is it?`, 'bolt')]),
        ...(bolts.length === 1 || bolts.length === 3
          ? [ask(thing, `${pattern.name} is drawn with ${bolts.length === 1 ? 'one bolt' : 'three bolts'}. How many has the plate?`, 'count')]
          : []),
      ];
    }),
  );
}

/** Two numbers read of one thing: only one of them is so. */
function readings({ holds }: Plan): Check[] {
  return holds.flatMap((hold) => {
    const twice = repeated((hold.readings ?? []).map(({ of }) => of));
    return twice === undefined
      ? []
      : [ask({ kind: 'job', id: hold.id, name: hold.id, station: 'runSheet' }, `${hold.id} has two readings of one thing. Which of them is so?`, twice)];
  });
}

function gear(plan: Plan): Check[] {
  const names = new Map((plan.yard ?? []).map(({ id, name }) => [id, name]));
  return plan.picks.flatMap((pick) => {
    const twice = repeated(pick.gear ?? []);
    const mark = markLifted(plan, pick);
    return twice === undefined
      ? []
      : [
          ask(
            { kind: 'pick', id: pick.id, name: mark, station: 'picks' },
            `${names.get(twice) ?? twice} is written down twice for the pick of ${mark}. Which other piece of gear is meant?`,
            'gear',
          ),
        ];
  });
}

/** How far apart two things are that one narrow thing is said to carry [m]. */
const ONE_PLACE = 1;
/** A post carries what is over it: two bearing points far from each other do not both stand on it. */
export function onePostTwoPlaces({ plan }: Context): Check[] {
  const narrow = plan.links.filter(({ kind }) => kind === 'post' || kind === 'blocking');
  return narrow.flatMap((link) => {
    const over = plan.bearings.filter(({ standsOn }) => standsOn.some((one) => one.link === link.id));
    const pairs = over.flatMap((one, i) => over.slice(i + 1).map((other) => ({ one, other, apart: Math.hypot(one.at.x - other.at.x, one.at.y - other.at.y) })));
    const far = pairs.find(({ apart }) => apart > ONE_PLACE);
    if (!far) return [];
    return [
      {
        ...missingCheck(place({ kind: 'link', id: link.id, name: link.name, station: 'measure' }, 'over'), 'length', ''),
        demand: far.apart,
        finding: told(
          phrase`${far.one.name} and ${far.other.name} are ${q(far.apart, 'length')} apart, and both are said to stand on ${link.name}. Which of them does?`,
        ),
      },
    ];
  });
}
