import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { missingCheck, on, ratioCheck, sourced, told, type Place } from '../../verdict/build';
import { bendingCapacity, shearCapacity, webCapacity } from '../../settle/section-strength';
import { Missing } from '../../verdict/missing';
import type { LaunchGround } from './ground';
import { braceAt } from '../../replay/moment';
import type { Pushed, PushedLine, PushedPart, SweptLine } from './pushed';

/** What the steel feels while it is pushed: bending and shear of every piece, the web over a roller, splices and nose. */
export function steelChecks(ground: LaunchGround, pushed: Pushed, swept: readonly SweptLine[]): Check[] {
  return swept.flatMap((one) => [
    ...one.line.parts.flatMap((part) => [...pieceChecks(ground, part, one), ...webCheck(ground, part, one)]),
    ...[...one.splices.values()].flatMap((splice) => spliceChecks(ground, splice)),
    ...noseCheck(ground, pushed, one),
  ]);
}

function pieceChecks(ground: LaunchGround, { settled }: PushedPart, { line, parts }: SweptLine): Check[] {
  const { context, launch, at, moveAt, working } = ground;
  const { rules } = context;
  const { beam, section, fy, make } = settled;
  const felt = parts.get(beam.id);
  if (!felt || section instanceof Missing) return [];
  const place = (id: string, travel: number): Place => ({
    ...at(
      id,
      sourced('Every place of the tip, and the length that is free between what holds it sideways', rules, 'strengthCaution'),
      undefined,
      moveAt(travel),
    ),
    ...on('beam', beam, beam.mark),
  });
  if (!(fy > 0)) return [missingCheck(place('launch.bending', 0), 'moment', `What yield has ${beam.mark}? Its grade, “${make.grade}”, is not in the tables.`)];
  const caution = rules.value('strengthCaution');
  const checks: Check[] = [];
  const { bends, shears } = felt;
  // Of what is said and what the cross-frames leave free, the longer governs.
  const apart = freeBetween(ground, line);
  const free = launch.free === null ? apart : Math.max(launch.free, apart ?? 0);
  if (launch.free !== null && apart !== null && apart > launch.free + 0.05)
    checks.push({
      ...missingCheck(place('launch.free', bends.travel), 'length', ''),
      demand: apart,
      finding: told(
        phrase`Both flanges of ${line.mark} are said to be held every ${q(launch.free, 'length')}, and what ties it to the line beside it before it is pushed leaves ${q(apart, 'length')} free. Which is right?`,
      ),
    });
  if (free === null)
    checks.push(
      missingCheck(
        place('launch.bending', bends.travel),
        'length',
        `How far apart are the places at which both flanges of ${beam.mark} are held sideways while it is pushed? Its bottom flange is pressed too.`,
      ),
    );
  else {
    const bending = bendingCapacity(section, fy, rules, { length: free, factor: 1 });
    checks.push(
      bending instanceof Missing
        ? missingCheck(place('launch.bending', bends.travel), 'moment', bending.questions.join(' '))
        : ratioCheck(
            place('launch.bending', bends.travel),
            { demand: bends.value, capacity: bending.capacity, quantity: 'moment', caution },
            told(
              phrase`${beam.mark} bends ${q(bends.value, 'moment')} after ${q(bends.travel, 'length')} of travel, ${q(free, 'length')} of it free; that is good for ${q(bending.capacity, 'moment')}.`,
            ),
            [...working(bends), ...bending.traces],
          ),
    );
  }
  const shear = shearCapacity(section, fy, rules);
  checks.push(
    shear instanceof Missing
      ? missingCheck(place('launch.shear', shears.travel), 'force', shear.questions.join(' '))
      : ratioCheck(
          place('launch.shear', shears.travel),
          { demand: shears.value, capacity: shear.capacity, quantity: 'force', caution },
          told(
            phrase`${beam.mark} shears ${q(shears.value, 'force')} after ${q(shears.travel, 'length')} of travel; its web takes ${q(shear.capacity, 'force')}.`,
          ),
          [...working(shears), ...shear.traces],
        ),
  );
  return checks;
}

/** The longest stretch of a line between places where it is tied to the line beside it while it is pushed [m]; null: it is tied to none. */
function freeBetween({ context, launch }: LaunchGround, line: PushedLine): number | null {
  const { plan, replayed } = context;
  const pushes = replayed.steps.filter(({ move }) => move.kind === 'launch.push' && move.launch === launch.id);
  const [first, last] = [pushes[0], pushes.at(-1)];
  if (!first || !last) return null;
  const own = new Map(line.parts.map((part) => [part.settled.beam.id, part]));
  const places = plan.structure.braces.flatMap(({ id, a, b, stops }) => {
    if (b === null || stops === 'sideways') return [];
    return [a, b].flatMap((spot) => {
      const part = own.get(spot.piece);
      // What is there before the first push is tied before it.
      const by = part && part.joined <= 1e-6 ? first : last;
      return part && braceAt(by.after.structure, id) ? [part.turned ? part.front - spot.at : part.rear + spot.at] : [];
    });
  });
  if (places.length === 0) return null;
  const ends = [line.parts[0]!.rear, ...places.sort((p, r) => p - r), line.parts.at(-1)!.front];
  return Math.max(...ends.slice(1).map((x, i) => x - ends[i]!));
}

/** Any stretch of its web comes over a roller, so that stiffeners help only where something spreads what the roller presses. */
function webCheck({ context, launch, at, ask, moveAt, working }: LaunchGround, { settled }: PushedPart, { webs }: SweptLine): Check[] {
  const { rules } = context;
  const { beam, section, fy } = settled;
  const web = webs.get(beam.id);
  if (!web || section instanceof Missing || !(fy > 0) || launch.stiffened === true) return [];
  const place: Place = {
    ...at('launch.web', sourced('AISC 360 J10.2, J10.3; EN 1993-1-5 section 6', rules, 'rollerSpread', 'strengthCaution'), undefined, moveAt(web.travel)),
    ...on('beam', beam, beam.mark),
  };
  if (launch.stiffened === null)
    return [
      {
        ...ask('launch.web', 'count', ''),
        ...place,
        verdict: 'missing',
        finding: { code: 'missing', question: `Does the bare web of ${beam.mark} pass over the rollers, or does something spread what they press?` },
      },
    ];
  const roller = launch.rollers.find(({ id }) => id === web.roller)!;
  if (roller.length === null) return [missingCheck(place, 'dimension', `How long a piece of the web of ${beam.mark} does ${roller.name} press on?`)];
  const carries = webCapacity(section, fy, { length: roller.length, past: 0, atEnd: false }, rules);
  if (carries instanceof Missing) return [missingCheck(place, 'force', carries.questions.join(' '))];
  const demand = web.value * rules.value('rollerSpread');
  return [
    ratioCheck(
      place,
      { demand, capacity: carries.capacity, quantity: 'force', caution: rules.value('strengthCaution') },
      told(
        phrase`${roller.name} presses ${q(demand, 'force')} into the web of ${beam.mark} after ${q(web.travel, 'length')} of travel, on ${q(roller.length, 'dimension')}; it takes ${q(carries.capacity, 'force')} without stiffeners.`,
      ),
      [...working(web), ...carries.traces],
    ),
  ];
}

function spliceChecks({ context, at, moveAt, working }: LaunchGround, { joint, bends, shears }: NonNullable<ReturnType<SweptLine['splices']['get']>>): Check[] {
  const { rules } = context;
  return (
    [
      ['moment', bends, joint.moment, 'moment'],
      ['shear', shears, joint.shear, 'force'],
    ] as const
  ).map(([part, worst, carries, quantity]) => {
    const place: Place = {
      ...at(
        'launch.splice',
        sourced('What the splice feels at every place of the tip; the engineer’s figure for it filled and tight', rules, 'strengthCaution'),
        undefined,
        moveAt(worst.travel),
      ),
      ...on('joint', joint, joint.name, part),
    };
    if (carries === null) return missingCheck(place, quantity, `What ${part} may ${joint.name} carry once it is filled? Ask the engineer.`);
    return ratioCheck(
      place,
      { demand: worst.value, capacity: carries, quantity, caution: rules.value('strengthCaution') },
      told(
        phrase`${joint.name} ${part === 'moment' ? 'bends' : 'shears'} ${q(worst.value, quantity)} after ${q(worst.travel, 'length')} of travel; filled and tight it is good for ${q(carries, quantity)}.`,
      ),
      working(worst),
    );
  });
}

function noseCheck({ context, launch, at, ask, moveAt, working }: LaunchGround, { nose: there }: Pushed, { line, nose }: SweptLine): Check[] {
  if (!there || !nose) return [];
  const { rules } = context;
  const girder = Math.max(...line.parts.map(({ settled: { section } }) => (section instanceof Missing ? 0 : section.iStrong * rules.steel.modulus)));
  if (there.stiffness > girder)
    return [
      {
        ...ask('launch.nose', 'stiffness', '', line.id),
        demand: there.stiffness,
        finding: told(
          phrase`The nose of ${line.mark} is said to be stiffer (${q(there.stiffness, 'stiffness')}) than the girder behind it (${q(girder, 'stiffness')}). Which is right?`,
        ),
      },
    ];
  const carries = launch.nose?.carries ?? null;
  if (carries === null) return [ask('launch.nose', 'moment', `What moment do the nose of ${line.mark} and its joint carry? Ask who designed it.`, line.id)];
  return [
    ratioCheck(
      at(
        'launch.nose',
        sourced('What the nose feels at every place of its tip; its designer’s figure', rules, 'strengthCaution'),
        line.id,
        moveAt(nose.travel),
      ),
      { demand: nose.value, capacity: carries, quantity: 'moment', caution: rules.value('strengthCaution') },
      told(
        phrase`The nose of ${line.mark} bends ${q(nose.value, 'moment')} after ${q(nose.travel, 'length')} of travel; it and its joint are good for ${q(carries, 'moment')}.`,
      ),
      working(nose),
    ),
  ];
}
