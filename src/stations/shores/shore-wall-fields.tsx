'use client';
import { saidOf } from '@/core/document/things/unsaid';
import { Plus, X } from 'lucide-react';
import type { Diagonals, ShoreGap, ShoreWall } from '@/core/document/schema';
import { untagged } from '@/core/document/shore-tag';
import { timberGrades } from '@/core/shoring/timber-grades';
import { formatQuantity } from '@/core/units';
import { Fold, Pair } from '@/ui/workings/fold';
import { freshId } from '@/job/editing/fresh-id';
import type { LinePlan } from '@/core/document/views';
import { SmallButton } from '@/ui/small-button';
import { useLinePlan } from '../shared/parts-of';
import { numbersIn } from '../shared/numbers-in';
import { StandsOn } from '../shared/stands-on';
import { TagFields } from './tag-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

export function newShoreWall(id: string, plan: LinePlan, storey: string, side: ShoreWall['side']): ShoreWall {
  const american = plan.job.ruleSet === 'us-asd';
  return {
    id,
    unsaid: ['setback'],
    name: `${plan.shoring.storeys.find((one) => one.id === storey)?.name ?? 'Wall'}, ${side}`,
    storey,
    side,
    setback: 0.9,
    stud: american ? { width: 0.0381, depth: 0.0889, grade: 'SPF No.2' } : { width: 0.045, depth: 0.095, grade: 'C24' },
    missing: [],
    braces: 1,
    bracing: null,
    diagonals: null,
    gaps: [],
    plate: american ? { count: 3, thickness: 0.0381, width: 0.0889 } : { count: 3, thickness: 0.045, width: 0.095 },
    tightFit: 0.003,
    sole: { width: american ? 0.0889 : 0.095, allowable: null, on: '' },
    holdDown: null,
    tag: untagged(),
    standsOn: [],
  };
}

const newDiagonals = (): Diagonals => ({ count: 2, angleDeg: 45, board: 0.025, screws: 4, diameter: 0.005, length: 0.08 });
const newGap = (id: string, wall: ShoreWall): ShoreGap => ({
  id,
  from: 3,
  to: 3,
  header: { width: wall.stud.width, depth: 0.2, plies: 2, grade: wall.stud.grade },
  posts: 2,
});

/** A temporary stud wall on one side of the line. */
export function ShoreWallFields({ wall }: { wall: ShoreWall }) {
  const plan = useLinePlan();
  const edit = useEdit('shoreWalls', wall.id);
  const { open, figure, whole, words, choice } = useInputs();
  const { stud, plate, sole } = wall;
  const below = plan.shoring.storeys[plan.shoring.storeys.findIndex((one) => one.id === wall.storey) - 1];
  return (
    <Fold
      thing={wall.id}
      title={wall.name || 'Wall'}
      note={wall.unsaid?.includes('setback') ? 'how far from the line?' : `${formatQuantity(wall.setback, 'length', plan.job.units)} from the line`}
      tools={<ThingTools station="shores" thing={wall} list="shoreWalls" />}
    >
      <Pair>
        {words('Name', wall.name, (name) => edit({ name }, 'name'))}
        {choice(
          'In the storey',
          wall.storey,
          plan.shoring.storeys.map((one) => [one.id, one.name] as const),
          (storey) => edit({ storey }, 'storey'),
        )}
        {choice('Side of the line', wall.side, same(['left', 'right'] as const), (side) => edit({ side }, 'side'))}
        {figure('Back from the line', 'length', saidOf(wall, 'setback', wall.setback), (setback) => edit({ setback }, 'setback'))}
        {choice('Grade', stud.grade, same(timberGrades), (grade) => edit({ stud: { ...stud, grade } }, 'grade'))}
        {whole('Rows of bracing across', wall.braces, 0, (braces) => edit({ braces }, 'braces'))}
        {figure('Stud, along the wall', 'dimension', stud.width, (width) => edit({ stud: { ...stud, width } }, 'stud width'))}
        {figure('Stud, through it', 'dimension', stud.depth, (depth) => edit({ stud: { ...stud, depth } }, 'stud depth'))}
        {whole('Plates, top and bottom', plate.count, 1, (count) => edit({ plate: { ...plate, count } }, 'plates'))}
        {figure('Plate, thick', 'dimension', plate.thickness, (thickness) => edit({ plate: { ...plate, thickness } }, 'plate thickness'))}
        {figure('Plate, wide', 'dimension', plate.width, (width) => edit({ plate: { ...plate, width } }, 'plate width'))}
        {figure('Cut longer, to tap in', 'dimension', wall.tightFit, (tightFit) => edit({ tightFit }, 'tight fit'))}
        {open('Each joist is held down by', 'force', wall.holdDown, (holdDown) => edit({ holdDown }, 'hold down'))}
        {words('Sole plate lies on', sole.on, (on) => edit({ sole: { ...sole, on } }, 'sole on'), { placeholder: 'not known' })}
        {figure('Spread under it, wide', 'dimension', sole.width, (width) => edit({ sole: { ...sole, width } }, 'sole width'))}
        {open('That may be pressed', 'pressure', sole.allowable, (allowable) => edit({ sole: { ...sole, allowable } }, 'sole allowable'))}
        {words('Studs left out, from the left', wall.missing.join(', '), (text) => edit({ missing: numbersIn(text) }, 'missing'), { placeholder: 'none' })}
      </Pair>
      <DiagonalFields wall={wall} />
      <GapFields wall={wall} />
      <TagFields tag={wall.tag} onChange={(tag, name) => edit({ tag }, name)} />
      {below ? (
        <p className="mt-2 text-[12.5px] text-soft">It stands on the floor over {below.name}, over the shore there.</p>
      ) : (
        <StandsOn name={wall.name} standsOn={wall.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
      )}
    </Fold>
  );
}

/** What braces the wall along its length: boards and screws, or the engineer’s figure. */
function DiagonalFields({ wall }: { wall: ShoreWall }) {
  const edit = useEdit('shoreWalls', wall.id);
  const { open, figure, whole, choice } = useInputs();
  const { diagonals } = wall;
  const put = (changes: Partial<Diagonals>, field: string) => edit({ diagonals: diagonals && { ...diagonals, ...changes } }, field);
  return (
    <div className="mt-2">
      <Pair>
        {choice(
          'Diagonal boards',
          diagonals ? 'yes' : 'no',
          [
            ['no', 'not told'],
            ['yes', 'screwed across the studs'],
          ],
          (value) => edit({ diagonals: value === 'yes' ? newDiagonals() : null }, 'diagonals'),
        )}
        {open('Or they hold, along it', 'force', wall.bracing, (bracing) => edit({ bracing }, 'bracing'), { placeholder: 'by their screws' })}
        {diagonals && (
          <>
            {whole('Boards', diagonals.count, 1, (count) => put({ count }, 'boards'))}
            {figure('From the floor, at', 'angle', diagonals.angleDeg, (angleDeg) => put({ angleDeg }, 'board angle'))}
            {figure('Board, thick', 'dimension', diagonals.board, (board) => put({ board }, 'board'))}
            {whole('Screws in each end', diagonals.screws, 1, (screws) => put({ screws }, 'screws'))}
            {figure('Screw shank, across', 'dimension', diagonals.diameter, (diameter) => put({ diameter }, 'screw'))}
            {figure('Screw, long', 'dimension', diagonals.length, (length) => put({ length }, 'screw length'))}
          </>
        )}
      </Pair>
    </div>
  );
}

/** Gaps where no stud can stand: a header carries the joists to the studs at its ends. */
function GapFields({ wall }: { wall: ShoreWall }) {
  const edit = useEdit('shoreWalls', wall.id);
  const { figure, whole, choice } = useInputs();
  const put = (id: string, changes: Partial<ShoreGap>, field: string) =>
    edit({ gaps: wall.gaps.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${field}`);
  return (
    <div className="mt-2">
      <div className="flex items-baseline justify-between text-[12.5px] text-soft">
        <span>Headers past a gap</span>
        <SmallButton onClick={() => edit({ gaps: [...wall.gaps, newGap(freshId('gp'), wall)] }, 'gap')}>
          <Plus size={13} aria-hidden /> Header
        </SmallButton>
      </div>
      {wall.gaps.map((gap, i) => (
        <div key={gap.id} className="mt-1 border-t border-dotted border-line pt-1.5">
          <Pair>
            {whole('No stud from joist', gap.from, 1, (from) => put(gap.id, { from, to: Math.max(from, gap.to) }, 'from'))}
            {whole('To joist', gap.to, gap.from, (to) => put(gap.id, { to }, 'to'))}
            {figure('Header ply, wide', 'dimension', gap.header.width, (width) => put(gap.id, { header: { ...gap.header, width } }, 'width'))}
            {figure('Header, deep', 'dimension', gap.header.depth, (depth) => put(gap.id, { header: { ...gap.header, depth } }, 'depth'))}
            {whole('Plies', gap.header.plies, 1, (plies) => put(gap.id, { header: { ...gap.header, plies } }, 'plies'))}
            {choice('Header grade', gap.header.grade, same(timberGrades), (grade) => put(gap.id, { header: { ...gap.header, grade } }, 'grade'))}
            {whole('Studs at each end', gap.posts, 1, (posts) => put(gap.id, { posts }, 'posts'))}
            <span className="self-end text-right">
              <SmallButton danger label={`Remove header ${i + 1}`} onClick={() => edit({ gaps: wall.gaps.filter((one) => one.id !== gap.id) }, 'gap')}>
                <X size={14} />
              </SmallButton>
            </span>
          </Pair>
        </div>
      ))}
    </div>
  );
}
