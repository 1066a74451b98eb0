import { memberLength } from '../../fit/member-length.calc';
import { offDrawing } from '../../fit/off-drawing.calc';
import type { AboutKind, Check } from '../../verdict/check';
import { isDay } from '../../units/day';
import { dayFault, isDoneDay, namesSomebody } from '../../document/records';
import type { Opening, Plan } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, missingCheck, ratioCheck, told } from '../../verdict/build';
import { measurePlace as place } from './measure-place';

/** What the tape measured may be gone or moved: the last strip-out, and the last change of the layout. */
const since = ({ survey }: Plan): { on: string; what: string }[] =>
  [
    { on: survey.strippedOn, what: 'the strip-out' },
    { on: survey.changedOn, what: 'the change of layout' },
  ].filter(({ on }) => on !== '');

type Ground = Pick<Context, 'plan' | 'today'>;

/** What is wrong with the first of these days that is none, or that is still to come; null when all are done. */
const badDay = (days: readonly string[], today: string | null): string | null => days.map((day) => dayFault(day, today)).find((one) => one !== null) ?? null;

/** A measure older than the last strip-out or change of layout is a measure of something that is gone. */
export function staleCheck(kind: AboutKind, thing: { id: string; name: string }, on: string, { plan, today }: Ground): Check[] {
  const where = place('measure.stale', kind, thing, offDrawing, 'Record: measured after the last strip-out (HP5)');
  const events = since(plan);
  if (events.length === 0) return [];
  const bad = badDay([on, ...events.map((one) => one.on)], today);
  if (bad !== null) return [missingCheck(where, 'count', `${thing.name}: a day ${bad}.`)];
  const missed = events.find((one) => on < one.on);
  if (missed) return [flatStop(where, 'count', told([`${thing.name} was measured on ${on}, before ${missed.what} of ${missed.on}. Measure again.`]), [])];
  return [passed(where, `${thing.name} was measured on ${on}, after ${events.map((one) => `${one.what} of ${one.on}`).join(' and ')}.`)];
}

/** A check of a record: nothing to measure against, and nothing against it. */
const passed = (where: ReturnType<typeof place>, words: string): Check => ({
  ...ratioCheck(where, { demand: 0, capacity: 1, quantity: 'count', caution: null, ratio: 0 }, told([words]), []),
  ratio: null,
  demand: null,
  capacity: null,
});

/** What a later check needs and the sheet leaves blank, and who answers for it. */
export function sheetCheck(opening: Opening, plan: Plan): Check {
  const where = place('measure.sheet', 'opening', opening, memberLength, 'Record: site survey sheet');
  const blank = [
    opening.skewDeg === null && 'how far its reveals are off square',
    opening.choice.ceiling === null && 'the height to the joists',
    opening.lineLoad === null && 'what the piece carries',
    !namesSomebody(plan.survey.owner) && 'who answers for a wrong measure',
  ].filter(Boolean);
  return blank.length > 0
    ? missingCheck(where, 'length', `The survey sheet of ${opening.name} leaves blank: ${blank.join(', ')}.`)
    : passed(where, `Nothing on the survey sheet of ${opening.name} is blank; ${plan.survey.owner} answers for it.`);
}

/** Pieces are cut from a list: it must be younger than the measure, the strip-out and the change of layout. */
export function cutListCheck({ plan, today }: Ground): Check[] {
  const { cutListOn, openings } = plan.survey;
  if (!openings.some((one) => one.member !== null)) return [];
  const where = place('measure.cutList', 'job', { id: 'cutList', name: 'Cut list' }, memberLength, 'Record: cut list younger than what it is cut from');
  if (cutListOn === '') return [missingCheck(where, 'count', 'Of which day is the cut list the pieces are made from?')];
  const events = [...since(plan), ...openings.filter((one) => one.on !== '').map((one) => ({ on: one.on, what: `the measure of ${one.name}` }))];
  const bad = badDay([cutListOn, ...events.map((one) => one.on)], today);
  if (bad !== null) return [missingCheck(where, 'count', `Cut list: a day ${bad}.`)];
  const missed = events.find((one) => cutListOn < one.on);
  return missed
    ? [flatStop(where, 'count', told([`The cut list is of ${cutListOn}, before ${missed.what} of ${missed.on}. Make it new before anything is cut.`]), [])]
    : [passed(where, `The cut list of ${cutListOn} is younger than all it is cut from.`)];
}

const named = { design: 'the design in force', survey: 'the survey', cutList: 'the cut list' } as const;

/** The drawing in hand is the drawing in force: design, survey and cut list are of one revision. */
export function revisionCheck(plan: Plan): Check[] {
  const { revisions, openings } = plan.survey;
  if (!openings.some((one) => one.member !== null)) return [];
  const where = place('measure.revision', 'job', { id: 'revisions', name: 'Drawings' }, memberLength, 'Record: revision in hand against revision in force');
  const keys = Object.keys(named) as (keyof typeof named)[];
  const blank = keys.filter((key) => revisions[key].trim() === '');
  if (blank.length > 0) return [missingCheck(where, 'count', `Of which revision is ${blank.map((key) => named[key]).join(', and ')}?`)];
  const off = keys.filter((key) => plainRevision(revisions[key]) !== plainRevision(revisions.design));
  return off.length > 0
    ? [
        flatStop(
          where,
          'count',
          told([
            `The design in force is of revision ${revisions.design}; ${off.map((key) => `${named[key]} is of ${revisions[key]}`).join(' and ')}. Find out what changed before anything is cut.`,
          ]),
          [],
        ),
      ]
    : [passed(where, `Design, survey and cut list are all of revision ${revisions.design}.`)];
}

/** “Rev. C”, “revision c” and “C” are one. */
const plainRevision = (text: string): string =>
  text
    .trim()
    .toUpperCase()
    .replace(/^REV(ISION)?\.?\s*/, '');

/** An old building is looked over once it is opened up: what is found there reopens the design. */
export function lookedOverCheck({ plan, today }: Ground): Check[] {
  const { lookedOver, strippedOn } = plan.survey;
  if (plan.shoring.lines.every((line) => line.storeys.length === 0)) return [];
  const where = place(
    'measure.lookedOver',
    'job',
    { id: 'oldBuilding', name: 'Old building' },
    memberLength,
    'Record: looked over for rot, cracks and missing footings; what is found goes to the engineer',
  );
  if (!isDay(strippedOn))
    return [missingCheck(where, 'count', 'When was it last stripped out or opened up? What is measured and looked over after that day counts.')];
  if (!namesSomebody(lookedOver.by) || !isDoneDay(lookedOver.on, today))
    return [
      missingCheck(
        where,
        'count',
        'Who has looked over what was opened up, for rot, cracks and missing footings, and when? What is found is written among the clashes.',
      ),
    ];
  if (isDay(strippedOn) && lookedOver.on < strippedOn)
    return [flatStop(where, 'count', told([`What was opened up was looked over on ${lookedOver.on}, before the strip-out of ${strippedOn}. Look again.`]), [])];
  return [passed(where, `${lookedOver.by} looked over what was opened up on ${lookedOver.on}; what was found stands among the clashes.`)];
}
