import { wayOfMember, wayViews, type WayPlan } from '../../document/views';
import type { SettledPlan } from '../../settle/settle';
import { legSubject } from './leg-verdict';
import { accessFloor } from '../../access/floor.calc';
import { splitSearch } from '../../access/split.calc';
import { accessSweep } from '../../access/sweep.calc';
import { simpleSpanAt, peakOf } from '../../beams/simple-span.calc';
import { phrase, q } from '../../calc/work';
import { nioshLift } from '../../handling/niosh.calc';
import { moveRamp } from '../../handling/ramp.calc';
import { moveRollers } from '../../handling/rollers.calc';
import { teamCarry } from '../../handling/team.calc';
import { splice } from '../../strength/splice.calc';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { Leg } from '../../document/schema';
import { carriedOf, legRoom, serviceBeam, type Carried } from '../../settle/way-pieces';
import { longestBrought } from '../../document/trucks';
import { sweepOf } from '../../settle/way-sweep';
import { pullChecks } from './way-pull';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, on } from '../../verdict/build';

type Ground = Pick<Context<WayPlan<SettledPlan>>, 'plan' | 'rules'>;
type Source = { id: string; source: { text: string } };
const place = (id: string, about: ReturnType<typeof on>, calc: Source, source = calc.source.text) => ({
  id,
  ...about,
  station: 'wayIn' as const,
  move: null,
  calc: calc.id,
  source,
});

/** Every way in, and a piece that is on two of them. */
export function wayInChecks({ plan, rules }: Pick<Context, 'plan' | 'rules'>): Check[] {
  return wayViews(plan).flatMap((view): Check[] => {
    const { wayIn } = view;
    const member = plan.members.find((one) => one.id === wayIn.member);
    const other = member && wayOfMember(plan, member.id);
    if (member && other && other.id !== wayIn.id)
      return [
        missingCheck(
          place('way.twice', on('way', wayIn, wayIn.name), splitSearch, 'Common practice: a piece goes one way'),
          'length',
          `${member.mark} is brought in by ${other.name} and by ${wayIn.name} too. Which way does it go?`,
        ),
      ];
    return oneWay({ plan: view, rules });
  });
}

/** Every leg of a way in against the pieces as they are cut now; nothing when no way is drawn and nothing is to go in. */
function oneWay({ plan, rules }: Ground): Check[] {
  const { legs, member } = plan.wayIn;
  if (legs.length === 0 && member === null) return [];
  const carried = carriedOf(plan, rules);
  if (carried instanceof Missing)
    return [missingCheck(place('way.piece', on('way', plan.wayIn, plan.wayIn.name || 'Way in'), splitSearch), 'length', carried.questions.join(' '))];
  if (legs.length === 0)
    return [
      missingCheck(
        place('way.route', on('member', carried.member, carried.member.mark), splitSearch),
        'length',
        `How does ${carried.member.mark} get from the truck to its place? Draw the way.`,
      ),
    ];
  const each = legs.flatMap((leg) => legChecks(leg, legSubject(leg, legs), carried, { plan, rules }));
  // A leg it cannot pass, or that is not known, is told once, by the leg; the way as a whole is looked at when every leg lets it through.
  const whole = each.some((check) => check.verdict === 'stop' || check.verdict === 'missing') ? [] : sweepCheck(carried, plan);
  return [...each, ...whole, ...pieceChecks(carried, { plan, rules }), ...spliceChecks(carried, { plan, rules })];
}

function legChecks(leg: Leg, name: string, carried: Carried, { plan, rules }: Ground): Check[] {
  const { longest, heaviest } = carried;
  const weight = heaviest.mass * GRAVITY;
  const caution = rules.value('contactCaution');
  switch (leg.kind) {
    case 'truck':
    case 'opening':
    case 'props':
    case 'corner':
    case 'stairs':
    case 'hatch': {
      const room = legRoom(leg, carried);
      const where = place(`way.${leg.kind}`, on('leg', leg, name), splitSearch);
      if (room === null)
        return [
          {
            ...ratioCheck(
              where,
              { demand: 0, capacity: 1, quantity: 'length', caution: null, ratio: 0 },
              told([`${name} does not stand yet when the piece comes in: keep it so.`]),
              [],
            ),
            demand: null,
            capacity: null,
            ratio: null,
          },
        ];
      if (room instanceof Missing) return [missingCheck(where, 'length', room.questions.join(' '))];
      const at = { ...where, calc: room.calc, source: sourced(room.source, rules, 'wayReserve', 'wayCaution') };
      if (room.longest === null)
        return [
          {
            ...ratioCheck(
              at,
              { demand: longest.length, capacity: longest.length, quantity: 'length', caution: null, ratio: 0 },
              told([`${longest.name} passes ${name} at any length.`]),
              room.traces,
            ),
            demand: null,
            capacity: null,
            ratio: null,
          },
        ];
      if (room.longest === 0)
        return [
          flatStop(
            at,
            'length',
            told(
              phrase`${longest.name}, ${q(carried.width, 'dimension')} × ${q(carried.depth, 'dimension')} with the room kept round it, does not pass ${name} at any length.`,
            ),
            room.traces,
            longest.length,
          ),
        ];
      return [
        ratioCheck(
          at,
          { demand: longest.length, capacity: room.longest, quantity: 'length', caution: rules.value('wayCaution'), inclusive: true },
          told(
            longest.length > room.longest
              ? phrase`${longest.name} is ${q(longest.length, 'length')}; no more than ${q(room.longest, 'length')} passes ${name}.`
              : phrase`Up to ${q(room.longest, 'length')} passes ${name}; ${longest.name}, the longest, is ${q(longest.length, 'length')}.`,
          ),
          room.traces,
        ),
      ];
    }
    case 'ramp': {
      const where = place('way.ramp', on('leg', leg, name), moveRamp, sourced(moveRamp.source.text, rules, 'contactCaution'));
      if (leg.slopeDeg === null) return [missingCheck(where, 'force', `How steep is ${name}?`)];
      const { outcome, traces } = traced(moveRamp, { weight, slopeDeg: leg.slopeDeg, friction: leg.friction });
      if (!outcome.ok) return [missingCheck(where, 'force', outcome.error)];
      const { pullUp, holdBack } = outcome.output;
      const words =
        holdBack > 0
          ? phrase`${heaviest.name} runs down ${name} by itself: hold it back with ${q(holdBack, 'force')}; up it takes ${q(pullUp, 'force')}.`
          : phrase`Up ${name}, ${heaviest.name} takes a pull of ${q(pullUp, 'force')}; it stays where it is left.`;
      return pullChecks({ plan, rules }, { leg, name, piece: heaviest, pull: pullUp, holdBack, where, words, traces });
    }
    case 'rollers': {
      const where = place('way.rollers', on('leg', leg, name), moveRollers, sourced(moveRollers.source.text, rules, 'contactCaution'));
      const { outcome, traces } = traced(moveRollers, { weight, slopeDeg: leg.slopeDeg, starting: leg.starting, rolling: leg.rolling });
      if (!outcome.ok) return [missingCheck(where, 'force', outcome.error)];
      const { start, holdBack } = outcome.output;
      const words =
        holdBack > 0
          ? phrase`On ${name} it takes ${q(start, 'force')} to start ${heaviest.name} and ${q(holdBack, 'force')} to hold it back.`
          : phrase`On ${name} it takes ${q(start, 'force')} to start ${heaviest.name}; it does not run away.`;
      return pullChecks({ plan, rules }, { leg, name, piece: heaviest, pull: start, holdBack, where, words, traces });
    }
    case 'carry': {
      const where = place('way.team', on('leg', leg, name), teamCarry, sourced(teamCarry.source.text, rules, 'personLift'));
      if (leg.people === null) return [missingCheck(where, 'count', `How many people carry at ${name}?`)];
      const perPerson = rules.value('personLift');
      const inHands = leg.oneEnd ? heaviest.mass / 2 : heaviest.mass;
      const team = traced(teamCarry, { mass: inHands, perPerson, people: leg.people });
      const { reach, height, travel, twistDeg, perMinute, hours, coupling } = leg;
      const lift = traced(nioshLift, { load: inHands / leg.people, reach, height, travel, twistDeg, perMinute, hours, coupling });
      const checks: Check[] = [];
      if (team.outcome.ok)
        checks.push(
          ratioCheck(
            where,
            { demand: team.outcome.output.needed, capacity: leg.people, quantity: 'count', caution: null, inclusive: true },
            told(
              team.outcome.output.needed > leg.people
                ? phrase`${heaviest.name} puts ${q(inHands, 'mass')} in their hands: ${String(team.outcome.output.needed)} people by the guideline, and ${String(leg.people)} are named at ${name}. ${leg.oneEnd ? 'Use gear.' : 'Raise it one end at a time, or use gear.'}`
                : phrase`${heaviest.name} puts ${q(inHands, 'mass')} in their hands${leg.oneEnd ? ', one end at a time,' : ''} and needs ${String(team.outcome.output.needed)} people at ${name}; ${String(leg.people)} are named.`,
            ),
            team.traces,
          ),
        );
      if (lift.outcome.ok) {
        const { index, limit } = lift.outcome.output;
        const at = place('way.niosh', on('leg', leg, name), nioshLift, sourced(nioshLift.source.text, rules, 'liftingIndex'));
        const most = rules.value('liftingIndex');
        checks.push(
          limit === 0
            ? flatStop(at, 'factor', told([`At ${name} the hands are too far, too high or the lift too often for any weight to be recommended.`]), lift.traces)
            : ratioCheck(
                at,
                { demand: index, capacity: most, quantity: 'factor', caution: null, inclusive: true },
                told(phrase`Each carries ${q(inHands / leg.people, 'mass')} at ${name}; ${q(limit, 'mass')} is recommended for that reach and height.`),
                lift.traces,
              ),
        );
      }
      return checks;
    }
    case 'floor': {
      const { outcome, traces } = traced(accessFloor, {
        mass: heaviest.mass,
        gear: leg.gear,
        people: leg.people,
        personMass: rules.value('personMass'),
        length: leg.length,
        width: leg.width,
        supports: leg.supports,
      });
      const where = place('way.floor', on('leg', leg, name), accessFloor, sourced(accessFloor.source.text, rules, 'contactCaution', 'personMass'));
      if (!outcome.ok) return [missingCheck(where, 'pressure', outcome.error)];
      const { pressure, point } = outcome.output;
      return [
        leg.allowable === null
          ? missingCheck(where, 'pressure', `What may the floor at ${name} carry?`, traces)
          : ratioCheck(
              where,
              { demand: pressure, capacity: leg.allowable, quantity: 'pressure', caution },
              told(phrase`${name} carries ${q(pressure, 'pressure')} under piece, gear and people; ${q(leg.allowable, 'pressure')} is allowed.`),
              traces,
            ),
        leg.pointAllowable === null
          ? missingCheck({ ...where, id: 'way.floorPoint' }, 'force', `What single load may the floor at ${name} take under a skate?`, traces)
          : ratioCheck(
              { ...where, id: 'way.floorPoint' },
              { demand: point, capacity: leg.pointAllowable, quantity: 'force', caution },
              told(phrase`A skate at ${name} presses ${q(point, 'force')}; ${q(leg.pointAllowable, 'force')} is allowed.`),
              traces,
            ),
      ];
    }
  }
}

/** The longest piece from the truck to its place, past everything that stands on the plan. */
function sweepCheck(carried: Carried, plan: Ground['plan']): Check[] {
  const { legs } = plan.wayIn;
  if (legs.length < 2) return [];
  const where = place('way.sweep', on('member', carried.member, carried.longest.name, carried.longest.name), accessSweep);
  const { input, outcome } = sweepOf(plan, carried);
  if (!outcome.ok) return [missingCheck(where, 'length', outcome.error)];
  const traces = [{ calc: accessSweep.id, input, output: outcome.output }];
  const { passes, leg, against } = outcome.output;
  const from = legs[leg]?.name;
  const to = legs[leg + 1]?.name;
  if (!passes)
    return [
      flatStop(
        where,
        'length',
        told(
          phrase`${carried.longest.name}, ${q(carried.longest.length, 'length')}, sticks between ${from ?? 'the start'} and ${to ?? 'the end'}${against.length > 0 ? `, against ${against.join(' and ')}` : ''}: move the way, or shorten the piece.`,
        ),
        traces,
      ),
    ];
  return [
    {
      ...ratioCheck(
        where,
        { demand: 0, capacity: 1, quantity: 'length', caution: null, ratio: 0 },
        told(
          phrase`${carried.longest.name}, ${q(carried.longest.length, 'length')}, goes from ${legs[0]!.name} to ${legs[legs.length - 1]!.name} past everything drawn on the plan.`,
        ),
        traces,
      ),
      demand: null,
      capacity: null,
      ratio: null,
    },
  ];
}

function pieceChecks(carried: Carried, { plan, rules }: Ground): Check[] {
  const checks: Check[] = [];
  const { longest, heaviest } = carried;
  const { gear } = plan.wayIn;
  const transport = longestBrought(plan);
  const where = place('way.transport', on('member', carried.member, longest.name, longest.name), splitSearch, 'Geometry: piece on the truck or permit');
  checks.push(
    transport === null
      ? missingCheck(where, 'length', `What is the longest piece the truck or its permit takes for ${carried.member.mark}?`)
      : ratioCheck(
          where,
          { demand: longest.length, capacity: transport, quantity: 'length', caution: null, inclusive: true },
          told(phrase`${longest.name} is ${q(longest.length, 'length')}; the truck takes ${q(transport, 'length')}.`),
          [],
        ),
  );
  const lift = place(
    'way.gear',
    on('member', carried.member, heaviest.name, heaviest.name),
    splitSearch,
    sourced('Common practice: a rating that equals its load is a stop', rules, 'contactCaution'),
  );
  // Where the lift itself is worked out, place by place, one figure for all of it says nothing more.
  const openings = plan.survey.openings.filter((one) => one.member === carried.member.id).map(({ id }) => id);
  if ((plan.raises ?? []).some(({ load }) => openings.includes(load))) return checks;
  const what = gear.what.trim() || 'the lifting gear';
  checks.push(
    gear.mass === null
      ? missingCheck(lift, 'mass', `What may ${what} lift in one go?`)
      : ratioCheck(
          lift,
          { demand: heaviest.mass, capacity: gear.mass, quantity: 'mass', caution: rules.value('contactCaution') },
          told(phrase`${heaviest.name} with packing, splice and allowance is ${q(heaviest.mass, 'mass')}; ${q(gear.mass, 'mass')} is what ${what} may lift.`),
          carried.weight.traces,
        ),
  );
  return checks;
}

/** Each splice: how near the peak it stands. */
function spliceChecks(carried: Carried, { plan, rules }: Ground): Check[] {
  const cuts = carried.pieces.slice(1).map((piece) => piece.from);
  if (cuts.length === 0) return [];
  const beam = serviceBeam(carried, rules);
  const peak = peakOf(beam);
  const most = plan.wayIn.splice.peakShare ?? rules.value('splicePeak');
  return cuts.map((cut, i) => {
    const where = place(
      'way.splice',
      on('splice', { id: `${carried.member.id}/${i}` }, `splice ${i + 1}`),
      splice,
      sourced(splice.source.text, rules, 'splicePeak'),
    );
    if (!beam.known) return missingCheck(where, 'moment', `What does ${carried.member.mark} carry along its length once it is set? The splice stands on that.`);
    const x = cut - beam.leftOverhang;
    const moment = x > 0 && x < beam.span ? simpleSpanAt(beam, x).moment : 0;
    return ratioCheck(
      where,
      { demand: moment, capacity: most * peak.moment, quantity: 'moment', caution: null, inclusive: true },
      told(
        phrase`Splice ${String(i + 1)}, ${q(cut, 'length')} from the left end, sees ${q(moment / peak.moment, 'fraction')} of the peak moment; keep it under ${q(most, 'fraction')}.`,
      ),
      [],
    );
  });
}
