import { zonesOf } from '../../document/zones';
import { phrase, q, type Phrase } from '../../calc/work';
import { add, leftOf, overlap, rectangle, scale } from '../../geometry/plane';
import { pullOf } from '../../launch/sweep';
import { launchSweep } from '../../launch/sweep.calc';
import { windRollover } from '../../strength/wind-rollover.calc';
import { asksGust, gustAt } from '../../settle/day-gusts';
import type { Check } from '../../verdict/check';
import type { Context } from '../context';
import { flatStop, missingCheck, on, type Place, ratioCheck, said, sourced, told, traced } from '../../verdict/build';
import { boxToLine } from '../site/steel-near-lines';
import { overZone } from '../site/zones';
import { Missing } from '../../verdict/missing';
import { namesPerson, saysSomething } from '../../document/records';
import { braceAt } from '../../replay/moment';
import { AIR_DENSITY, asksStandingGust, standingGust } from '../../settle/wind';
import { groundOf, type LaunchGround } from './ground';
import { onAt, pushedOf, sweepOf, tipAt, Unsaid, type Pushed, type PushedLine, type SweptLine } from './pushed';
import { loweringChecks } from './lowering';
import { steelChecks } from './steel';

/** A push that ends nearer than this to where the tip comes to a roller halts there [m]. */
const HALT = 0.25;
/** As deep as a girder nobody has described is taken to be, where something passes over it [m]. */
const DEEP = 3;

/** Every launch: whether it tips, what its rollers carry and its steel feels at every place, what pulls and what holds it, where it ends. */
export function launchChecks(context: Context): Check[] {
  return (context.plan.launches ?? []).flatMap((launch) => {
    const ground = groundOf(context, launch);
    const pushed = pushedOf(context.plan, launch, context.rules);
    const swept = pushed instanceof Unsaid ? [] : pushed.lines.map((line) => sweepOf(context.plan, pushed, line, context.rules));
    return [
      ...(pushed instanceof Unsaid
        ? askedChecks(ground, pushed)
        : [
            ...swept.flatMap((one) => factorChecks(ground, one)),
            ...(swept.some(({ falls }) => falls !== null) ? [] : sweptChecks(ground, pushed, swept)),
            ...roomChecks(ground, pushed),
            ...overChecks(ground, pushed),
            ...rollChecks(ground, pushed, swept),
            ...joinedChecks(ground, pushed),
            ...haltChecks(ground, pushed),
          ]),
      ...windChecks(ground),
      ...haulChecks(ground, swept),
      ...loweringChecks(ground, pushed, swept),
      ...movesChecks(ground),
    ];
  });
}

/** A row for each thing that is still to be said, of the roller it is of. */
const askedChecks = ({ launch, ask }: LaunchGround, { items }: Unsaid): Check[] =>
  items.map(({ of, roller, question }, i) => {
    const row = ask('launch.said', of === 'off' || of === 'tailAt' || of === 'x' ? 'length' : 'count', question, of);
    const one = launch.rollers.find(({ id }) => id === roller);
    if (one) return { ...row, ...on('roller', one, one.name, of) };
    // Of several pieces each is asked about by itself.
    return items.findIndex((other) => other.of === of) === i ? row : { ...row, about: { ...row.about, part: `${of} ${i}` } };
  });

/** Of what stands all the way: what guides it, takes up its tip and carries it, and what its steel feels. */
const sweptChecks = (ground: LaunchGround, pushed: Pushed, swept: readonly SweptLine[]): Check[] => [
  ...swept.flatMap((one) => [...guideChecks(ground, one), ...tipChecks(ground, one)]),
  ...rollerChecks(ground, swept),
  ...steelChecks(ground, pushed, swept),
];

/** Whether it stands at every place, and how far it is from tipping over the foremost roller. */
function factorChecks(ground: LaunchGround, { line, factor, falls }: SweptLine): Check[] {
  const { context, at, moveAt, working } = ground;
  const { rules } = context;
  const source = sourced(launchSweep.source.text, rules, 'launchFactor');
  if (falls)
    return [
      flatStop(
        at('launch.factor', source, line.id, moveAt(falls.travel)),
        'factor',
        told(
          phrase`${line.mark} does not stand after ${q(falls.travel, 'length')} of travel: it tips over the foremost roller it has come to, or lies on fewer than two. A nose, weight on its rear end, or a support in between.`,
        ),
        [],
      ),
    ];
  if (!factor) return [said(at('launch.factor', source, line.id), phrase`Nothing of ${line.mark} ever lies ahead of the foremost roller.`)];
  const wanted = rules.value('launchFactor');
  return [
    ratioCheck(
      at('launch.factor', source, line.id, moveAt(factor.travel)),
      { demand: wanted * factor.ahead, capacity: factor.behind, quantity: 'moment', caution: 0.95, inclusive: true },
      told(
        phrase`${line.mark} is nearest to tipping forward after ${q(factor.travel, 'length')} of travel: ${q(factor.behind, 'moment')} behind the foremost roller, at the lightest, against ${q(factor.ahead, 'moment')} ahead of it, ${q(factor.value, 'factor')} times; ${q(wanted, 'factor')} are wanted.`,
      ),
      working(factor),
    ),
  ];
}

/** Whatever slides sideways on rollers slides off: at least two places under each line guide it, at every moment. */
function guideChecks({ launch, at, ask, moveAt }: LaunchGround, { line, guides }: SweptLine): Check[] {
  const unknown = launch.rollers.find(({ guides: one }) => one === null);
  if (unknown) return [ask('launch.guides', 'count', `Does ${unknown.name} keep what is pushed from going sideways?`, line.id)];
  const place = at('launch.guides', 'Common practice: at least two rollers with side guides under each line at every moment', line.id, moveAt(guides.travel));
  return [
    guides.value >= 2
      ? said(place, phrase`${line.mark} is guided at two rollers or more all the way.`)
      : flatStop(
          place,
          'count',
          told(
            phrase`After ${q(guides.travel, 'length')} of travel ${line.mark} is guided at ${guides.value === 0 ? 'no roller' : 'one roller'} that it lies on: it can drift sideways. Give the rollers side guides.`,
          ),
          [],
        ),
  ];
}

/** Where the tip comes to a roller it hangs below it: nose or jack has to take it up. */
function tipChecks({ context, launch, atRoller, ask, moveAt, working }: LaunchGround, { line, rollers }: SweptLine): Check[] {
  return launch.rollers.flatMap((roller): Check[] => {
    const down = rollers.get(roller.id)?.down ?? null;
    if (!down) return [];
    const rise = launch.nose?.rise ?? null;
    if (rise === null)
      return down.value <= 0
        ? []
        : [
            ask(
              'launch.tip',
              'length',
              `How far does the tip of ${line.mark} stand over the line of the launch, or can a jack at its tip take it up?`,
              line.id,
            ),
          ];
    return [
      ratioCheck(
        atRoller('launch.tip', roller, sourced(launchSweep.source.text, context.rules, 'strengthCaution'), line.id, moveAt(down.travel)),
        {
          demand: Math.max(0, down.value),
          capacity: Math.max(rise, 1e-6),
          quantity: 'dimension',
          caution: context.rules.value('strengthCaution'),
          inclusive: true,
        },
        told(
          phrase`The tip of ${line.mark} comes to ${roller.name} ${q(Math.max(0, down.value), 'dimension')} below it; the rise of its tip, or a jack there, takes up ${q(rise, 'dimension')}.`,
        ),
        working(down),
      ),
    ];
  });
}

/** The most each roller carries under any of the lines. */
function rollerChecks({ context, launch, atRoller, moveAt, working }: LaunchGround, swept: readonly SweptLine[]): Check[] {
  const { rules } = context;
  const spread = rules.value('rollerSpread');
  return launch.rollers.flatMap((roller): Check[] => {
    const [most] = swept
      .flatMap(({ line, rollers }) => {
        const load = rollers.get(roller.id)?.load;
        return load ? [{ line, load }] : [];
      })
      .sort((a, b) => b.load.value - a.load.value);
    if (!most) return [];
    const { line, load } = most;
    const place = atRoller('launch.roller', roller, sourced(launchSweep.source.text, rules, 'rollerSpread', 'contactCaution'), undefined, moveAt(load.travel));
    if (load.value < 1) return [{ ...said(place, phrase`Nothing ever rests on ${roller.name}.`), verdict: 'tight' }];
    if (roller.carries === null) return [missingCheck(place, 'force', `What may ${roller.name} carry, under one girder line?`, working(load))];
    const demand = load.value * spread;
    return [
      ratioCheck(
        place,
        { demand, capacity: roller.carries, quantity: 'force', caution: rules.value('contactCaution') },
        told(
          phrase`${roller.name} carries ${q(load.value, 'force')} of ${line.mark} after ${q(load.travel, 'length')} of travel, ${q(demand, 'force')} with rollers off their levels; it may carry ${q(roller.carries, 'force')}.`,
        ),
        working(load),
      ),
    ];
  });
}

/** The gust at which it is not pushed, against what is forecast for the shift. */
function windChecks({ context, launch, name, at, ask }: LaunchGround): Check[] {
  const { plan } = context;
  if (launch.gust === null) return [ask('launch.wind', 'speed', `At what gust is ${name} not pushed? Ask who worked it out.`)];
  // Pushed on several days, it meets the strongest gust of any of them.
  const pushes = plan.moves.flatMap((move) => (move.kind === 'launch.push' && move.launch === launch.id ? [move.id] : []));
  const met = (pushes.length > 0 ? pushes : [null]).map((move) => ({ move, gust: gustAt(plan, move) }));
  const unknown = met.find(({ gust }) => gust === null);
  if (unknown) return [ask('launch.wind', 'speed', asksGust(plan, unknown.move, `the shift in which ${name} is pushed`))];
  const gust = Math.max(...met.map((one) => one.gust!));
  return [
    ratioCheck(
      at('launch.wind', sourced('The gust its designer gives, against the forecast for the shift', context.rules, 'contactCaution')),
      { demand: gust, capacity: launch.gust, quantity: 'speed', caution: context.rules.value('contactCaution') },
      told(phrase`Gusts of ${q(gust, 'speed')} are forecast; ${name} is not pushed in ${q(launch.gust, 'speed')}.`),
      [],
    ),
  ];
}

/** Room behind for all of it where it is built, and for each piece where it is joined on. */
function roomChecks({ launch, name, at, ask }: LaunchGround, { lines, travel }: Pushed): Check[] {
  const needed = Math.max(...lines.flatMap(({ parts }) => parts.map(({ rear, joined }) => travel - joined - rear)));
  if (launch.room === null)
    return [ask('launch.room', 'length', `How long is the yard of ${name}, from where the rear end of the load comes to lie back to its end?`)];
  return [
    ratioCheck(
      at('launch.room', 'Geometry: all of it lies in the yard behind before it is pushed'),
      { demand: needed, capacity: launch.room, quantity: 'length', caution: null, inclusive: true },
      told(phrase`${name} takes ${q(needed, 'length')} of the yard behind where its rear end comes to lie; there are ${q(launch.room, 'length')}.`),
      [],
    ),
  ];
}

/** What it is pushed over is closed meanwhile, and nothing stands in its way. */
function overChecks({ context, launch, name, at }: LaunchGround, { lines, travel, nose, length, ahead, end }: Pushed): Check[] {
  const { plan, today } = context;
  const zones = zonesOf(plan);
  const lefts = lines.map(({ left }) => left);
  const half = Math.max(...lines.flatMap(({ parts }) => parts.map(({ settled: { section } }) => (section instanceof Missing ? 0.3 : section.width)))) / 2;
  const side = leftOf(ahead);
  const back = -Math.max(0, ...lines.flatMap(({ parts }) => parts.map(({ rear, joined }) => travel - joined - rear)));
  const front = length + (nose?.length ?? 0);
  const corner = (along: number, left: number) => add(end, add(scale(ahead, along), scale(side, left)));
  const [low, high] = [Math.min(...lefts) - half, Math.max(...lefts) + half];
  const swept = [corner(back, low), corner(front, low), corner(front, high), corner(back, high)];
  const under = Math.min(...lines.flatMap(({ parts }) => parts.map(({ settled }) => Math.min(settled.place!.from.z, settled.place!.to.z))));
  const standing = plan.site.obstructions.flatMap((one): Check[] => {
    if (!overlap(swept, rectangle(one.at, one.length, one.width, one.azimuthDeg)) || one.height <= under) return [];
    return [
      flatStop(
        at('launch.clear', 'Geometry: nothing stands where it is pushed', one.id),
        'length',
        told(phrase`${one.name} stands ${q(one.height, 'length')} high where ${name} is pushed with its underside at ${q(under, 'length')} at the least.`),
        [],
        one.height,
      ),
    ];
  });
  const passing = zones.map((zone): Check => {
    const place: Place = { ...at('launch.over', 'Common practice: over a railway, a road or people only while it is closed', zone.id), calc: 'record' };
    return overlap(swept, rectangle(zone.at, zone.length, zone.width, zone.azimuthDeg))
      ? overZone(place, zone, name, 'Close it', today, [])
      : said(place, phrase`${name} keeps off ${zone.name} on its way.`);
  });
  const top = Math.max(
    ...lines.flatMap(({ parts }) =>
      parts.map(({ settled: { place, section } }) => Math.max(place!.from.z, place!.to.z) + (section instanceof Missing ? DEEP : section.depth)),
    ),
  );
  // On its rollers it lies higher than where it is lowered to.
  const way = { outline: swept, from: under, to: top + (launch.over ?? 0) };
  const beside = plan.site.powerLines.map((line) =>
    boxToLine(context, line, way, at('launch.powerLine', '', line.id), `${name}, its nose included,`, 'is pushed within'),
  );
  return [...standing, ...passing, ...beside];
}

/** Each line on rollers, with those it is tied to, in the wind that may come while it lies there. */
function rollChecks({ context, launch, name, at, ask, moveAt }: LaunchGround, pushed: Pushed, swept: readonly SweptLine[]): Check[] {
  const { plan, rules, replayed } = context;
  const first = replayed.steps.find(({ move }) => move.kind === 'launch.push' && move.launch === launch.id);
  const ids = (line: PushedLine) => new Set(line.parts.map(({ settled }) => settled.beam.id));
  const tied = (one: PushedLine, other: PushedLine): boolean => {
    const [own, others] = [ids(one), ids(other)];
    return plan.structure.braces.some(
      ({ id, a, b, stops }) =>
        b !== null &&
        stops !== 'sideways' &&
        ((own.has(a.piece) && others.has(b.piece)) || (own.has(b.piece) && others.has(a.piece))) &&
        first !== undefined &&
        braceAt(first.after.structure, id),
    );
  };
  /** a line with all that are tied to it, and to these, before the first push */
  const groupOf = (line: PushedLine): PushedLine[] => {
    const group = [line];
    for (const one of group) for (const { line: other } of swept) if (!group.includes(other) && tied(one, other)) group.push(other);
    return group;
  };
  return swept.flatMap(({ line }): Check[] => {
    const group = groupOf(line);
    const together = group.length > 1;
    const place = at('launch.roll', sourced(windRollover.source.text, rules, 'rollover', 'girderDrag'), line.id, moveAt(0));
    const gust = standingGust(plan);
    if (gust === null) return [missingCheck(place, 'speed', asksStandingGust(line.mark))];
    const unknown = launch.rollers.find(({ width }) => width === null);
    if (unknown && !together)
      return [ask('launch.roll', 'dimension', `How wide does ${line.mark} rest on ${unknown.name}? Nothing else keeps it from rolling over.`, line.id)];
    const parts = group.flatMap((one) => one.parts);
    const sections = parts.flatMap(({ settled: { section } }) => (section instanceof Missing ? [] : [section]));
    const lefts = group.map(({ left }) => left);
    // Tied, they roll over the outer one of them; alone, over the edge of a roller. No line shields another.
    const wide = together
      ? Math.max(...lefts) - Math.min(...lefts)
      : Math.min(...launch.rollers.map(({ width }) => width ?? 0), ...sections.map(({ width }) => width));
    const { outcome, traces } = traced(windRollover, {
      weight: parts.reduce((sum, { settled: { light } }) => sum + (light instanceof Missing ? 0 : light.total), 0),
      length: parts.reduce((sum, { rear, front }) => sum + front - rear, 0),
      depth: Math.max(...sections.map(({ depth }) => depth)),
      bearingWidth: wide,
      gust,
      drag: rules.value('girderDrag'),
      airDensity: AIR_DENSITY,
    });
    if (!outcome.ok) return [missingCheck(place, 'moment', outcome.error)];
    const { overturning, righting } = outcome.output;
    const wanted = rules.value('rollover') * overturning;
    return [
      ratioCheck(
        { ...place, calc: windRollover.id },
        { demand: wanted, capacity: righting, quantity: 'moment', caution: null, inclusive: true },
        told(
          together
            ? phrase`${String(group.length)} lines tied to each other lie on rollers ${q(wide, 'length')} apart, ${line.mark} one of them: a gust of ${q(gust, 'speed')} asks ${q(wanted, 'moment')} of them, their weight gives ${q(righting, 'moment')}.`
            : phrase`${line.mark} lies on rollers ${q(wide, 'dimension')} wide with nothing that keeps it from rolling over: a gust of ${q(gust, 'speed')} asks ${q(wanted, 'moment')}, its weight gives ${q(righting, 'moment')}. Push it tied to the line beside it, or hold it at the rollers (${name}).`,
        ),
        traces,
      ),
    ];
  });
}

/** What is pushed end to end is spliced. */
function joinedChecks({ context, name, at }: LaunchGround, { lines }: Pushed): Check[] {
  const { joints } = context.plan.structure;
  return lines.flatMap(({ parts }) =>
    parts.slice(1).flatMap((part, i): Check[] => {
      const [a, b] = [parts[i]!.settled.beam, part.settled.beam];
      const spliced = joints.some((one) => one.kind === 'splice' && [one.a.piece, one.b.piece].includes(a.id) && [one.a.piece, one.b.piece].includes(b.id));
      const place = at('launch.joined', 'Common practice: what is pushed end to end is spliced', b.id);
      return spliced ? [] : [flatStop(place, 'count', told([`${a.mark} and ${b.mark} are pushed end to end in ${name}, and no splice joins them.`]), [])];
    }),
  );
}

/** Where the tip comes to a roller it is taken up, and what the rollers carry changes: there it halts. */
function haltChecks({ context, launch, name, at }: LaunchGround, pushed: Pushed): Check[] {
  let from = 0;
  return context.plan.moves.flatMap((move): Check[] => {
    if (move.kind !== 'launch.push' || move.launch !== launch.id) return [];
    const [begin, end] = [from, move.to];
    from = move.to;
    const passed = pushed.rollers.flatMap(({ id, x }) =>
      pushed.lines.flatMap((line) => {
        const on = onAt(line, begin);
        if (on.length === 0) return [];
        const travel = x - tipAt(pushed, on, 0);
        return travel > begin + HALT && travel < end - HALT ? [{ roller: launch.rollers.find((one) => one.id === id)!, travel }] : [];
      }),
    );
    const [first] = passed.sort((a, b) => a.travel - b.travel);
    if (!first) return [];
    const place = at('launch.halt', 'Common practice: it halts where its tip comes to a roller; drift, tip and loads are read there', move.id, move.id);
    return [
      {
        ...said(
          place,
          phrase`${name} is pushed past ${q(first.travel, 'length')} without a halt, where its tip comes to ${first.roller.name}: make a push that ends there.`,
        ),
        verdict: 'tight',
      },
    ];
  });
}

/** What pulls it, and what holds it back. */
function haulChecks({ context, launch, name, at, ask }: LaunchGround, swept: readonly SweptLine[]): Check[] {
  const { rules } = context;
  const weight = swept.reduce((sum, { heaviest }) => sum + heaviest, 0);
  const checks: Check[] = [];
  const { friction, slopeDeg, pull, brake } = launch;
  if (friction === null) checks.push(ask('launch.pull', 'factor', `What friction have the rollers of ${name} while it moves?`, 'friction'));
  if (slopeDeg === null) checks.push(ask('launch.pull', 'angle', `At what slope is ${name} pushed? 0: level, uphill positive.`, 'slope'));
  for (const [id, gear, words] of [
    ['launch.pull', pull, 'pulls'],
    ['launch.brake', brake, 'holds back'],
  ] as const) {
    if (gear === null || !saysSomething(gear.what)) checks.push(ask(id, 'force', `What ${words} ${name}, and what is it anchored to?`));
    else if (gear.carries === null)
      checks.push(ask(id, 'force', `What is the weakest of gear, rope and anchorage good for along the line of ${name} (${gear.what.trim()})?`));
  }
  if (weight === 0 || friction === null || slopeDeg === null) return checks;
  const starting = friction * rules.value('breakaway');
  if (pull && saysSomething(pull.what) && pull.carries !== null) {
    const demand = pullOf(weight, starting, slopeDeg);
    checks.push(
      ratioCheck(
        at('launch.pull', sourced(launchSweep.source.text, rules, 'breakaway', 'contactCaution')),
        { demand: Math.max(0, demand), capacity: pull.carries, quantity: 'force', caution: rules.value('contactCaution') },
        told(
          phrase`${name} weighs ${q(weight, 'force')} on its rollers and takes ${q(Math.max(0, demand), 'force')} to break away; ${pull.what.trim()}: good for ${q(pull.carries, 'force')}.`,
        ),
        [],
      ),
    );
  }
  if (brake && saysSomething(brake.what) && brake.carries !== null) {
    const runs = Math.max(0, -pullOf(weight, rules.value('holdBackFriction'), slopeDeg));
    const demand = Math.max(runs, rules.value('brakeLeast') * weight);
    const why: Phrase = runs >= demand ? phrase`it would run downhill with` : phrase`the least that is asked is`;
    checks.push(
      ratioCheck(
        at('launch.brake', sourced('Statics on the slope, and a share of the weight at the least', rules, 'brakeLeast', 'holdBackFriction', 'contactCaution')),
        { demand, capacity: brake.carries, quantity: 'force', caution: rules.value('contactCaution') },
        told([...phrase`${name} is held back: `, ...why, ...phrase` ${q(demand, 'force')}; ${brake.what.trim()}: good for ${q(brake.carries, 'force')}.`]),
        [],
      ),
    );
  }
  return checks;
}

/** Who answers for it, and whether the moves bring it to its place. */
function movesChecks({ context, launch, name, ask }: LaunchGround): Check[] {
  const { moves } = context.plan;
  const own = moves.filter((move) => 'launch' in move && move.launch === launch.id);
  const kinds = new Set(own.map(({ kind }) => kind));
  const checks: Check[] = [];
  if (!namesPerson(launch.by)) checks.push(ask('launch.by', 'count', `Who answers for ${name} and has worked it out? A launch is designed by an engineer.`));
  if (!saysSomething(launch.laid?.how ?? '') || !namesPerson(launch.laid?.by ?? ''))
    checks.push(ask('launch.laid', 'count', `By what are the pieces of ${name} laid on the rollers behind, and who worked these lifts out?`));
  for (const other of context.plan.launches ?? []) {
    if (other.id === launch.id) break;
    const twice = launch.pieces.find(({ piece }) => other.pieces.some((one) => one.piece === piece));
    if (twice)
      checks.push(ask('launch.twice', 'count', `One piece is pushed in ${name} and in ${other.name || 'another launch'}. In which of the two?`, other.id));
  }
  if (!kinds.has('launch.build')) checks.push(ask('moves.launch', 'count', `No move builds ${name} on its rollers. When is that done?`, 'build'));
  const far = Math.max(0, ...own.flatMap((move) => (move.kind === 'launch.push' ? [move.to] : [])));
  if (launch.travel !== null && far < launch.travel - 1e-6)
    checks.push({
      ...ask('moves.launch', 'length', '', 'push'),
      finding: told(phrase`The moves push ${name} as far as ${q(far, 'length')} of its ${q(launch.travel, 'length')}. When is it pushed the rest of the way?`),
    });
  if (!kinds.has('launch.stop'))
    checks.push(
      ask('moves.launch', 'count', `No move puts the side stops of ${name} on and confirms that it has landed. When is that done, and by whom?`, 'stop'),
    );
  if (!kinds.has('launch.lower')) checks.push(ask('moves.launch', 'count', `No move lowers ${name} onto its supports. When is that done?`, 'lower'));
  return checks;
}
