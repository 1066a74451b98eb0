'use client';
import { useMemo, useState } from 'react';
import { lorryPieces, type TruckLoad } from '@/core/evaluate/lorry-pieces';
import { truckLength } from '@/core/document/trucks';
import { rulesOf } from '@/core/rules/rule-sets';
import type { LoadPlan } from '@/core/steel/lists/loads';
import { formatQuantity } from '@/core/units';
import { PlainButton } from '@/ui/plain-button';
import { usePlan } from '@/job/job-context';

interface Bundled {
  load: TruckLoad;
  plan: LoadPlan;
}

async function bundle({ truck, pieces }: TruckLoad): Promise<LoadPlan | string> {
  const lorry = { deckLength: truck.deckLength, deckWidth: truck.deckWidth, mass: truck.mass, layers: truck.layers, overhang: truck.overhang };
  const reply = await fetch('/api/loads', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ pieces, lorry }),
  }).catch(() => null);
  const said = (await reply?.json().catch(() => null)) as (LoadPlan & { detail?: string }) | null;
  return reply?.ok && said ? said : (said?.detail ?? 'The server did not answer. Try again.');
}

/** Trips by truck and by piece: by weight, deck and erection order; what is needed first lies on top. */
export function LoadsList() {
  const plan = usePlan();
  const system = plan.job.units;
  const { byTruck, lacking, refused } = useMemo(() => lorryPieces(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)), [plan]);
  const [answer, setAnswer] = useState<{ of: typeof byTruck; bundled: Bundled[]; problems: string[] } | null>(null);
  const total = byTruck.reduce((sum, one) => sum + one.pieces.length, 0);
  const work = async () => {
    const answers = await Promise.all(byTruck.map(async (load) => ({ load, plan: await bundle(load) })));
    setAnswer({
      of: byTruck,
      bundled: answers.flatMap(({ load, plan }) => (typeof plan === 'string' ? [] : [{ load, plan }])),
      problems: answers.flatMap(({ load, plan }) => (typeof plan === 'string' ? [`${load.truck.name}: ${plan}`] : [])),
    });
  };
  // Loads of an older list are not loads.
  const shown = answer?.of === byTruck ? answer : null;
  const trips = shown?.bundled.reduce((sum, one) => sum + one.plan.loads.length, 0) ?? 0;
  return (
    <div>
      {refused.length > 0 && <p className="mb-2 text-stop">On no truck: {refused.join(', ')}. Take a larger truck, or split them.</p>}
      {lacking.length > 0 && <p className="mb-2 text-missing">Left out, their weight or width is not known: {lacking.join(', ')}.</p>}
      {byTruck.length > 0 && (
        <table className="mb-2 w-full text-[14px]">
          <thead>
            <tr className="border-b border-line text-left text-[12.5px] text-soft">
              <th className="font-normal">Truck</th>
              <th className="text-right font-normal">Pieces</th>
              <th className="text-right font-normal">Longest, of what it takes</th>
              <th className="text-right font-normal">Together</th>
              <th className="text-right font-normal">Trips</th>
            </tr>
          </thead>
          <tbody>
            {byTruck.map(({ truck, pieces }) => {
              const trip = shown?.bundled.find((one) => one.load.truck.id === truck.id)?.plan;
              return (
                <tr key={truck.id} className="border-b border-line" data-truck={truck.name}>
                  <td>{truck.name}</td>
                  <td className="text-right">{pieces.length}</td>
                  <td className="text-right">
                    {formatQuantity(Math.max(...pieces.map((one) => one.length)), 'length', system)} of {formatQuantity(truckLength(truck), 'length', system)}
                  </td>
                  <td className="text-right">
                    {formatQuantity(
                      pieces.reduce((sum, one) => sum + one.mass, 0),
                      'mass',
                      system,
                    )}
                  </td>
                  <td className="text-right" data-trips={truck.name}>
                    {trip ? (trip.loads.length <= trip.least ? trip.loads.length : `${trip.loads.length}, ${trip.least} at least`) : 'not bundled'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <PlainButton strong disabled={total === 0} onClick={() => void work()}>
        Bundle {total} pieces
      </PlainButton>
      {shown?.problems.map((one) => (
        <p key={one} className="mt-2 text-stop">
          {one}
        </p>
      ))}
      {shown && shown.bundled.length > 0 && (
        <div className="mt-3">
          <p className="sign text-[17px]">
            {trips} {trips === 1 ? 'load' : 'loads'}
            {shown.bundled.every(({ plan }) => plan.loads.length <= plan.least) ? ', and fewer cannot be' : ''}
          </p>
          {shown.bundled.map(({ load, plan }) => (
            <section key={load.truck.id}>
              {plan.loads.length > plan.least && (
                <p className="text-[13px] text-soft">
                  {load.truck.name}: no fewer than {plan.least} could be (filled {plan.how === 'solver' ? 'by the solver' : 'in order'})
                </p>
              )}
              <ol className="mt-1 space-y-1.5">
                {plan.loads.map((one, i) => (
                  <li key={i} className="border border-line bg-white px-2 py-1.5 text-[13.5px]">
                    <b>
                      {load.truck.name}, load {i + 1}
                    </b>
                    : {formatQuantity(one.mass, 'mass', system)} of {formatQuantity(load.truck.mass, 'mass', system)},{' '}
                    {formatQuantity(one.deck, 'fraction', system)} of the deck. On in this order: {one.pieces.map((piece) => piece.name).join(', ')}.
                  </li>
                ))}
              </ol>
            </section>
          ))}
        </div>
      )}
    </div>
  );
}
