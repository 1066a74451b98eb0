'use client';
import { useMemo, type ReactNode } from 'react';
import { describe } from '@/core/verdict/describe';
import { dayOf } from '@/core/units/day';
import { hoursWords, moneyWords, type Effort } from '@/core/settle/effort';
import { raisedLoad } from '@/core/checks/raise';
import { pickInstead, pickWays, raiseWays, withoutCrane, type RaiseWay, type WayUp } from '@/core/checks/lift/ways-up';
import type { Check, Verdict } from '@/core/verdict/check';
import type { RaiseKind } from '@/core/document/things/raise';
import { standOf } from '@/core/document/lookups';
import { Missing } from '@/core/verdict/missing';
import { replay } from '@/core/replay/replay';
import type { Pick, Plan, Raise } from '@/core/document/schema';
import { settle } from '@/core/settle/settle';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';

const byWords: Record<RaiseKind, string> = { mastLift: 'Two mast lifts', hoist: 'Two hoists', jack: 'Jacks, in steps', hands: 'By hand, one end at a time' };

function contextOf(drawn: Plan) {
  const plan = settle(drawn);
  return { plan, today: dayOf(new Date()), rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(plan) };
}

/** The move that hangs a piece, whatever by. */
const hangOf = ({ moves }: Plan, piece: string): string | null => moves.find((move) => move.kind === 'piece.hang' && move.beam === piece)?.id ?? null;

/** One load, and every way it may go up: by crane from each stand, by mast lifts, hoists, jacks and hands, with what each takes. */
export function WaysDialog({ mark, pick, raise, onClose }: { mark: string; pick?: Pick; raise?: Raise; onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const load = pick?.piece ?? raise!.load;
  const { cranes, others, asked, needs } = useMemo(() => {
    const context = contextOf(plan);
    const lifted = pick ?? pickInstead(context, load);
    const known = raisedLoad(context, load);
    return {
      cranes: lifted ? pickWays(context, lifted) : [],
      others: raiseWays(context, load),
      asked: known instanceof Missing && !plan.pieces.some(({ id }) => id === load) ? known.questions.join(' ') : null,
      needs: pick ? withoutCrane(context, pick) : null,
    };
  }, [plan, pick, load]);
  const group = `way up ${load}`;
  const byCrane = (wanted: Pick) => {
    if (pick) act('editPick', { id: pick.id, changes: { stand: wanted.stand, boom: wanted.boom, second: wanted.second } });
    else {
      const hang = hangOf(plan, load);
      const fresh = { ...wanted, id: freshId('k') };
      act('removeFrom', { list: 'raises', id: raise!.id }, group);
      act('planLifts', { picks: [fresh], hangs: hang ? [{ id: hang, pick: fresh.id }] : [], put: [] }, group);
      onClose();
    }
    done();
  };
  const without = ({ taken: wanted }: RaiseWay) => {
    if (raise) {
      const { id: _, load: __, ...changes } = wanted;
      act('editIn', { list: 'raises', id: raise.id, changes }, group);
    } else {
      const points = wanted.points.map((point) => ({ ...point, id: freshId('lp') }));
      act('removeFrom', { list: 'picks', id: pick!.id }, group);
      act('addTo', { list: 'raises', thing: { ...wanted, id: freshId('ra'), points } }, group);
    }
    done();
    onClose();
  };
  const system = plan.job.units;
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      wide
      title={`Ways to lift ${mark}`}
      about="By crane slung as it is, with the boom that suits each stand best; without one by what this job has, or with what is not known yet left open. All else is kept."
    >
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 font-semibold">How</th>
            <th className="pr-3 font-semibold">People, hours</th>
            <th className="pr-3 text-right font-semibold">Costs</th>
            <th className="font-semibold">So far</th>
            <th className="font-semibold">What governs it</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {cranes.map(({ way, pick: wanted, taken }) => (
            <Row
              key={`${way.stand.id} ${way.boom} ${wanted.second?.stand ?? ''}`}
              id={wanted.second ? `${way.stand.id} ${wanted.second.stand}` : way.stand.id}
              name={nameOf(plan, wanted)}
              about={craneWords(plan, way, wanted)}
              way={{ ...way, now: way.now && pick !== undefined }}
              plan={plan}
              take={() => byCrane(taken)}
            />
          ))}
          {others.map((way) => (
            <Row key={way.kind} id={way.kind} name={byWords[way.kind]} about={needWords(way, system)} way={way} plan={plan} take={() => without(way)} />
          ))}
          {cranes.length === 0 && plan.stands.length > 0 && (
            <tr>
              <td colSpan={6} className="py-2">
                No stand of this job reaches it with any boom of its charts, or where it lies and goes is not known yet.
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {asked && <p className="mt-2 text-[13.5px]">Without a crane: {asked}</p>}
      {others.length === 0 && needs && (
        <p className="mt-2 text-[13.5px]">
          Without a crane it would take two mast lifts or two hoists, each good for {formatQuantity(needs.each, 'mass', system)} at that load centre and height,{' '}
          {formatQuantity(needs.in, 'length', system)} in from either end, rising no more than {formatQuantity(needs.uneven, 'dimension', system)} unevenly; or{' '}
          {needs.people} people at each end.
        </p>
      )}
      <p className="mt-2 text-[12.5px] text-soft">
        Hours and people are the job’s own figures (Rules, “Hours and people”); prices are said in Gear. A second hook is looked at as rigged like the first,
        two places as rising 50 mm unevenly at the most: both are asked once it is taken so. Whether a crane stands there at that move is asked of the run
        sheet.
      </p>
    </Modal>
  );
}

const nameOf = (plan: Plan, { stand, second }: Pick): string =>
  second ? `Two cranes, from ${standOf(plan, stand).name} and ${standOf(plan, second.stand).name}` : `From ${standOf(plan, stand).name}`;

function craneWords(plan: Plan, { crane, boom, share }: WayUp, pick: Pick): string {
  const system = plan.job.units;
  const booms = [boom, ...(pick.second ? [pick.second.boom] : [])].map((one) => (one === null ? 'not said' : formatQuantity(one, 'length', system)));
  const other = pick.second ? ` and ${plan.cranes.find(({ id }) => id === standOf(plan, pick.second!.stand).crane)?.name ?? ''}` : '';
  return [
    `${crane}${other}`,
    `boom ${booms.join(' and ')}`,
    share === null ? 'chart not known' : `${formatQuantity(share, 'fraction', system)} of the chart`,
  ].join(', ');
}

function needWords({ kind, each, raise }: RaiseWay, system: Plan['job']['units']): string {
  const need = each === null || kind === 'hands' ? [] : [`each good for ${formatQuantity(each, 'mass', system)}`];
  return [...need, ...(raise.gear && raise.gear.length > 0 ? ['the strongest of the yard'] : [])].join(', ');
}

interface Shown {
  verdict: Verdict;
  governs: Check | null;
  now: boolean;
  effort: Effort;
}

function Row({ id, name, about, way, plan, take }: { id: string; name: string; about: ReactNode; way: Shown; plan: Plan; take: () => void }) {
  const { verdict, governs, now, effort } = way;
  const system = plan.job.units;
  return (
    <tr data-way={id} className={`border-b border-dotted border-line align-top ${now ? 'bg-tray' : ''}`}>
      <td className="py-2 pr-3 font-semibold">
        {name}
        <span className="block text-[12.5px] font-normal text-soft">{about}</span>
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">
        {effort.people ?? 'not said'}, {hoursWords(effort.hours)}
      </td>
      <td className="py-2 pr-3 text-right whitespace-nowrap">
        {effort.money === null ? (
          <span className="text-soft" title={effort.asks.join(' ')}>
            not priced
          </span>
        ) : (
          moneyWords(effort.money, plan)
        )}
        {effort.money !== null &&
          effort.lines.map((line) => (
            <span key={line.what} className="block text-[12px] text-soft">
              {line.what}: {moneyWords(line.money!, plan)}
            </span>
          ))}
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">
        <span className="inline-flex items-center gap-1.5">
          <VerdictMark verdict={verdict} /> {verdictWord[verdict]}
        </span>
      </td>
      <td className="py-2 pr-3 text-[12.5px]">{governs ? describe(governs, system) : ''}</td>
      <td className="py-2 text-right whitespace-nowrap">{now ? 'as it is' : <SmallButton onClick={take}>Lift it so</SmallButton>}</td>
    </tr>
  );
}
