'use client';
import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import type { StrikeStep, Watch } from '@/core/document/schema';
import { shoreState } from '@/core/replay/shore-state';
import { shoringMoves } from '@/core/edit/shoring-moves';
import { strikeGroups } from '@/core/document/strike-groups';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob } from '@/job/job-context';
import { useLinePlan } from '../shared/parts-of';
import { numbersIn } from '../shared/numbers-in';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** The strike, step by step: what goes, what the shores left carry, and the drawing after each step. */
export function StrikeFields() {
  const plan = useLinePlan();
  const act = useAct();
  const { figure } = useInputs();
  const field = useField();
  const goTo = useJob((state) => state.goTo);
  const replay = useJob((state) => state.survey.evaluation.replay);
  const cursor = useJob((state) => state.cursor);
  const { struck } = shoreState(plan, replay.steps[cursor]?.after ?? replay.before);
  const unmade = shoringMoves(plan, () => '');
  const groups = strikeGroups(plan.shoring);
  const moveOf = (n: number) => plan.moves.findIndex((move) => move.kind === 'shore.strike' && groups[n]?.steps.some((step) => step.id === move.step));
  const strike = useJob((state) => state.survey.evaluation.strikes[plan.shoring.id] ?? null);
  const checks = useJob((state) => state.survey.evaluation.checks);
  const { shoring } = plan;
  const edit = useEdit('shoredLines', shoring.id);
  const shores = [...shoring.walls, ...shoring.rows];
  const steps = strike?.steps ?? [];
  const [first] = shores;
  return (
    <Fold
      first
      title="Strike"
      note={groups.length === 0 ? 'no order written down' : `${groups.length} steps`}
      tools={
        first && (
          <SmallButton
            onClick={() => act('addTo', { list: 'strike', of: shoring.id, thing: { id: freshId('sk'), shore: first.id, units: [], together: false } })}
          >
            <Plus size={13} aria-hidden /> Step
          </SmallButton>
        )
      }
    >
      <div className="grid grid-cols-2 gap-x-4 gap-y-2">
        {figure('Wedged onto the beam first', 'fraction', shoring.preload, (preload) => edit({ preload }, 'preload'))}
      </div>
      {unmade.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-2 text-[12.5px] text-soft">
          {unmade.length} moves of the shores are not on the run sheet.
          <SmallButton onClick={() => act('addMoves', { moves: shoringMoves(plan, () => freshId('m')), at: plan.moves.length })}>
            <Plus size={13} aria-hidden /> Put them there
          </SmallButton>
        </p>
      )}
      {steps.length > 0 && (
        <table className="mt-2 w-full text-[12.5px]">
          <thead className="text-left text-soft">
            <tr>
              <th className="font-normal">After</th>
              <th className="text-right font-normal">most in one</th>
              <th className="text-right font-normal">on the beam</th>
              <th className="text-right font-normal">sag</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {steps.map((step, i) => {
              const check = checks.find((one) => one.id === 'shore.strike' && one.about.id === step.id);
              const most = Math.max(0, ...step.loads.map((load, n) => load * (strike?.units[n]?.lever ?? 1)));
              return (
                <tr key={i} className={`border-t border-line ${struck === i + 1 ? 'bg-white font-semibold' : ''}`} data-strike={i + 1}>
                  <td className="py-0.5">
                    {moveOf(i) < 0 ? (
                      i + 1
                    ) : (
                      <button
                        type="button"
                        aria-label={`Draw it after step ${i + 1}`}
                        onClick={() => goTo(moveOf(i))}
                        className="min-h-[24px] min-w-[24px] text-left underline decoration-pencil decoration-dotted underline-offset-2 hover:decoration-ink"
                      >
                        {i + 1}
                      </button>
                    )}
                  </td>
                  <td className="text-right">{formatQuantity(most, 'force', field.system)}</td>
                  <td className="text-right">{formatQuantity(step.left + step.right, 'force', field.system)}</td>
                  <td className="text-right">{formatQuantity(step.deflection, 'dimension', field.system)}</td>
                  <td className="w-[22px] pl-1">{check && <VerdictMark verdict={check.verdict} size={14} />}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <div className="mt-2">
        <Fold title="Order" note={groups.length === 0 ? undefined : 'what comes out, and what together'} first={groups.length === 0}>
          <ol className="mt-1">
            {shoring.strike.map((step, i) => (
              <StrikeRow key={step.id} step={step} index={i} number={groups.findIndex((group) => group.steps.includes(step)) + 1} shores={shores} />
            ))}
          </ol>
        </Fold>
      </div>
      <Readings />
    </Fold>
  );
}

function StrikeRow({ step, index, number, shores }: { step: StrikeStep; index: number; number: number; shores: readonly { id: string; name: string }[] }) {
  const act = useAct();
  const { words } = useInputs();
  const edit = useEdit('strike', step.id);
  const count = useLinePlan().shoring.strike.length;
  return (
    <li className="grid grid-cols-[1.3fr_1fr_auto] items-end gap-2 border-t border-dotted border-line py-1.5">
      <ChoiceField
        label={index > 0 && step.together ? 'together with it' : `${number}, out comes`}
        value={step.shore}
        choices={shores.map((one) => ({ value: one.id, label: one.name }))}
        onValue={(shore) => edit({ shore }, 'shore')}
      />
      {words('Which ones', step.units.join(', '), (text) => edit({ units: numbersIn(text) }, 'units'), { placeholder: 'all' })}
      <span className="flex gap-1">
        {index > 0 && (
          <SmallButton
            label={step.together ? `Step ${index + 1} after the one before` : `Step ${index + 1} together with the one before`}
            onClick={() => edit({ together: !step.together }, 'together')}
          >
            {step.together ? '⇉' : '→'}
          </SmallButton>
        )}
        {index > 0 && (
          <SmallButton label={`Step ${index + 1} sooner`} onClick={() => act('shiftIn', { list: 'strike', id: step.id, to: index - 1 })}>
            <ArrowUp size={14} />
          </SmallButton>
        )}
        {index < count - 1 && (
          <SmallButton label={`Step ${index + 1} later`} onClick={() => act('shiftIn', { list: 'strike', id: step.id, to: index + 1 })}>
            <ArrowDown size={14} />
          </SmallButton>
        )}
        <SmallButton danger label={`Remove step ${index + 1}`} onClick={() => act('removeFrom', { list: 'strike', id: step.id })}>
          <X size={14} />
        </SmallButton>
      </span>
    </li>
  );
}

/** Props, cracks and levels read before and after. */
function Readings() {
  const plan = useLinePlan();
  const act = useAct();
  return (
    <div className="mt-3">
      <div className="flex items-baseline justify-between text-[12.5px] text-soft">
        <span>Readings before and after</span>
        <SmallButton
          onClick={() =>
            act('addTo', { list: 'watch', of: plan.shoring.id, thing: { id: freshId('wt'), at: 'Reading', before: null, after: null, by: '', on: '' } })
          }
        >
          <Plus size={13} aria-hidden /> Reading
        </SmallButton>
      </div>
      {plan.shoring.watch.map((one) => (
        <Reading key={one.id} reading={one} />
      ))}
    </div>
  );
}

function Reading({ reading }: { reading: Watch }) {
  const act = useAct();
  const { date, open, words } = useInputs();
  const edit = useEdit('watch', reading.id);
  return (
    <div className="grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-x-2 gap-y-1 border-t border-dotted border-line py-1.5">
      {words('Prop, crack or level', reading.at, (at) => edit({ at }, 'at'))}
      {open('Before', 'dimension', reading.before, (before) => edit({ before }, 'before'))}
      {open('After', 'dimension', reading.after, (after) => edit({ after }, 'after'))}
      <SmallButton danger label={`Remove ${reading.at}`} onClick={() => act('removeFrom', { list: 'watch', id: reading.id })}>
        <X size={14} />
      </SmallButton>
      {words('Read by', reading.by, (by) => edit({ by }, 'by'))}
      <div className="col-span-2">{date('Read on', reading.on, (on) => edit({ on }, 'on'))}</div>
    </div>
  );
}
