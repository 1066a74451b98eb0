'use client';
import { nowSaid, saidOf } from '@/core/document/things/unsaid';
import { usualTube } from '@/core/document/migrations';
import type { Plan, RowProp, ShoreRow } from '@/core/document/schema';
import { untagged } from '@/core/document/shore-tag';
import { timberGrades } from '@/core/shoring/timber-grades';
import { Fold, Pair } from '@/ui/workings/fold';
import type { LinePlan } from '@/core/document/views';
import { useLinePlan } from '../shared/parts-of';
import { StandsOn } from '../shared/stands-on';
import { TagFields } from './tag-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

const propClasses = ['A', 'B', 'C', 'D', 'E'] as const;
const american = (plan: Plan): boolean => plan.job.ruleSet === 'us-asd';

const steelNeedle = (plan: Plan): ShoreRow['needle'] => ({
  kind: 'steel',
  section: american(plan) ? 'W6x15' : 'UC 152x152x23',
  grade: american(plan) ? 'A992' : 'S275',
});
const timberNeedle = (plan: Plan): ShoreRow['needle'] => ({ kind: 'timber', width: 0.2, depth: 0.3, grade: american(plan) ? 'DF-L No.2' : 'C24' });
const unread = { length: null, leanDeg: null, off: null };
const steelProp = (): RowProp => ({ kind: 'steel', class: 'B', maxLength: 3.5, tube: usualTube(), ...unread });
const deadShore = (plan: Plan): RowProp => ({ kind: 'timber', width: 0.2, depth: 0.2, grade: american(plan) ? 'DF-L No.2' : 'C24', braces: 1, ...unread });

export const newShoreRow = (id: string, plan: LinePlan, storey: string): ShoreRow => ({
  id,
  unsaid: ['from', 'spacing', 'arms.left', 'arms.right', 'pad.length', 'pad.width'],
  name: `Needles ${plan.shoring.rows.length + 1}`,
  storey,
  from: 0.45,
  spacing: 0.9,
  count: 4,
  needle: steelNeedle(plan),
  arms: { left: 0.6, right: 0.6 },
  over: null,
  masonry: { width: null, allowable: null },
  head: null,
  prop: steelProp(),
  lateral: null,
  pad: { length: 0.3, width: 0.3, allowable: null },
  packedOn: '',
  struckOn: '',
  tag: untagged(),
  standsOn: [],
});

/** Needles through the wall, each on two props or a pair of dead shores. */
export function ShoreRowFields({ row }: { row: ShoreRow }) {
  const plan = useLinePlan();
  const edit = useEdit('shoreRows', row.id);
  const { date, open, figure, whole, words, section, choice } = useInputs();
  const { arms, needle, prop, pad, masonry } = row;
  return (
    <Fold
      thing={row.id}
      title={row.name || 'Needles'}
      note={`${row.count} needles, ${2 * row.count} ${prop.kind === 'steel' ? 'props' : 'dead shores'}`}
      tools={<ThingTools station="shores" thing={row} list="shoreRows" />}
    >
      <Pair>
        {words('Name', row.name, (name) => edit({ name }, 'name'))}
        {choice(
          'In the storey',
          row.storey,
          plan.shoring.storeys.map((one) => [one.id, one.name] as const),
          (storey) => edit({ storey }, 'storey'),
        )}
        {figure('First needle at', 'length', saidOf(row, 'from', row.from), (from) => edit({ from }, 'from'))}
        {figure('Needles apart', 'length', saidOf(row, 'spacing', row.spacing), (spacing) => edit({ spacing }, 'spacing'))}
        {whole('How many', row.count, 1, (count) => edit({ count }, 'count'))}
        {open('Masonry over them', 'length', row.over, (over) => edit({ over }, 'over'))}
        {open('Wall on them, thick', 'dimension', masonry.width, (width) => edit({ masonry: { ...masonry, width } }, 'wall width'))}
        {open('It may be pressed', 'pressure', masonry.allowable, (allowable) => edit({ masonry: { ...masonry, allowable } }, 'wall allowable'))}
        {choice(
          'Needles are',
          needle.kind,
          [
            ['steel', 'steel'],
            ['timber', 'timber'],
          ],
          (kind) => edit({ needle: kind === 'steel' ? steelNeedle(plan) : timberNeedle(plan) }, 'needle kind'),
        )}
        {needle.kind === 'steel' ? (
          <>
            {section('Needle', needle.section, (value) => edit({ needle: { ...needle, section: value } }, 'section'))}
            {words('Its grade', needle.grade, (grade) => edit({ needle: { ...needle, grade } }, 'grade'))}
          </>
        ) : (
          <>
            {choice('Needle grade', needle.grade, same(timberGrades), (grade) => edit({ needle: { ...needle, grade } }, 'grade'))}
            {figure('Needle, wide', 'dimension', needle.width, (width) => edit({ needle: { ...needle, width } }, 'needle width'))}
            {figure('Needle, deep', 'dimension', needle.depth, (depth) => edit({ needle: { ...needle, depth } }, 'needle depth'))}
          </>
        )}
        {figure('Wall to left prop', 'length', saidOf(row, 'arms.left', arms.left), (left) =>
          edit({ arms: { ...arms, left }, ...nowSaid(row, 'arms.left') }, 'left arm'),
        )}
        {figure('Wall to right prop', 'length', saidOf(row, 'arms.right', arms.right), (right) =>
          edit({ arms: { ...arms, right }, ...nowSaid(row, 'arms.right') }, 'right arm'),
        )}
        {open('Needle on a prop head', 'dimension', row.head, (head) => edit({ head }, 'head'))}
        {choice(
          'Each stands on',
          prop.kind,
          [
            ['steel', 'two adjustable props'],
            ['timber', 'two dead shores'],
          ],
          (kind) =>
            edit({ prop: { ...(kind === 'steel' ? steelProp() : deadShore(plan)), length: prop.length, leanDeg: prop.leanDeg, off: prop.off } }, 'prop kind'),
        )}
        {prop.kind === 'steel' ? (
          <>
            {choice('Prop class (EN 1065)', prop.class, same(propClasses), (value) => edit({ prop: { ...prop, class: value } }, 'class'))}
            {figure('Prop, longest', 'length', prop.maxLength, (maxLength) => edit({ prop: { ...prop, maxLength } }, 'longest'))}
            {figure('Inner tube, across', 'dimension', prop.tube.diameter, (diameter) => edit({ prop: { ...prop, tube: { ...prop.tube, diameter } } }, 'tube'))}
            {figure('Its wall, thick', 'dimension', prop.tube.wall, (wall) => edit({ prop: { ...prop, tube: { ...prop.tube, wall } } }, 'tube wall'))}
          </>
        ) : (
          <>
            {choice('Dead shore grade', prop.grade, same(timberGrades), (grade) => edit({ prop: { ...prop, grade } }, 'prop grade'))}
            {figure('Along the line', 'dimension', prop.width, (width) => edit({ prop: { ...prop, width } }, 'prop width'))}
            {figure('Across it', 'dimension', prop.depth, (depth) => edit({ prop: { ...prop, depth } }, 'prop depth'))}
            {whole('Rows of bracing', prop.braces, 0, (braces) => edit({ prop: { ...prop, braces } }, 'prop braces'))}
          </>
        )}
        {open(prop.kind === 'steel' ? 'Run out to' : 'Long', 'length', prop.length, (length) => edit({ prop: { ...prop, length } }, 'run out'))}
        {open('Leans', 'angle', prop.leanDeg, (leanDeg) => edit({ prop: { ...prop, leanDeg } }, 'lean'))}
        {open('Load off its middle', 'dimension', prop.off, (off) => edit({ prop: { ...prop, off } }, 'off'))}
        {open('Braced sideways for', 'force', row.lateral, (lateral) => edit({ lateral }, 'lateral'))}
        {figure('Pad, long', 'dimension', saidOf(row, 'pad.length', pad.length), (length) =>
          edit({ pad: { ...pad, length }, ...nowSaid(row, 'pad.length') }, 'pad length'),
        )}
        {figure('Pad, wide', 'dimension', saidOf(row, 'pad.width', pad.width), (width) =>
          edit({ pad: { ...pad, width }, ...nowSaid(row, 'pad.width') }, 'pad width'),
        )}
        {open('Under it may be pressed', 'pressure', pad.allowable, (allowable) => edit({ pad: { ...pad, allowable } }, 'pad allowable'))}
        <span />
        {date('Dry pack put in on', row.packedOn, (packedOn) => edit({ packedOn }, 'packed'))}
        {date('To be struck on', row.struckOn, (struckOn) => edit({ struckOn }, 'struck'))}
      </Pair>
      <TagFields tag={row.tag} onChange={(tag, name) => edit({ tag }, name)} />
      <StandsOn name={row.name} standsOn={row.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}
