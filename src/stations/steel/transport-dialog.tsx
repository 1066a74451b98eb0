'use client';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { delivered, travellersOf } from '@/core/settle/travel';
import { rulesOf } from '@/core/rules/rule-sets';
import { formatQuantity } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { CheckList } from '@/ui/workings/check-list';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { LoadsList } from './loads-list';
import { newPermit, newTruck, newTurn, PermitFields, TruckFields, TurnFields } from './transport-fields';
import { TravelFields } from './travel-fields';
import { settle } from '@/core/settle/settle';
import { SmallButton } from '@/ui/small-button';

const checked = new Set(['steel.truck', 'steel.turn', 'steel.permit']);

/** How the steel gets to the site: the long pieces first, then what carries them, where the road is tight, and the loads. */
export function TransportDialog({ onClose }: { onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const system = plan.job.units;
  const all = useJob((state) => state.survey.evaluation.checks);
  const checks = useMemo(() => all.filter((check) => checked.has(check.id)), [all]);
  const { trucks, turns, permits } = plan.transport;
  const { long, free } = useMemo(() => {
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    const free = rules.value('freeTransport');
    const wide = rules.value('freeTransportWidth');
    const over = plan.members.filter(
      (member) => !delivered.has(member.state) && travellersOf(settle(plan), member, rules).some((part) => part.length > free || (part.width ?? 0) > wide),
    );
    return { long: over, free };
  }, [plan]);
  const add = (what: string, onClick: () => void) => (
    <SmallButton onClick={onClick}>
      <Plus size={13} aria-hidden /> {what}
    </SmallButton>
  );
  return (
    <Modal
      open
      onOpenChange={(next) => !next && onClose()}
      title="Transport"
      about="Which truck brings each piece, whether it turns on the road, on which permit and day, and how many loads it takes."
      wide
    >
      <div className="space-y-4">
        <section aria-label="Long pieces">
          <Head title={`Over the free length of ${formatQuantity(free, 'length', system)}`} />
          {long.length === 0 && <p className="text-soft">No piece still to come is longer or wider than travels without a permit.</p>}
          {long.map((member) => (
            <TravelFields key={member.id} member={member} />
          ))}
          {checks.length > 0 && (
            <div className="mt-2 border-x border-b border-line">
              <CheckList checks={checks} system={system} empty="" />
            </div>
          )}
        </section>
        <section aria-label="Trucks">
          <Head title="Trucks" tools={add('Truck', () => act('addTo', { list: 'trucks', thing: newTruck(freshId('tr'), trucks.length + 1) }))} />
          {trucks.length === 0 && (
            <p className="text-missing">No truck is known. Each piece goes on the smallest that takes it, or on the one chosen for it.</p>
          )}
          {trucks.map((truck) => (
            <TruckFields key={truck.id} truck={truck} />
          ))}
        </section>
        <section aria-label="Turns of the road">
          <Head title="Tight turns of the road" tools={add('Turn', () => act('addTo', { list: 'turns', thing: newTurn(freshId('tn'), turns.length + 1) }))} />
          {turns.length === 0 && <p className="text-soft">None recorded. A long load is asked about the tightest turn between the works and the site.</p>}
          {turns.map((turn) => (
            <TurnFields key={turn.id} turn={turn} />
          ))}
        </section>
        <section aria-label="Permits">
          <Head title="Permits" tools={add('Permit', () => act('addTo', { list: 'permits', thing: newPermit(freshId('pm')) }))} />
          {permits.length === 0 && <p className="text-soft">None.</p>}
          {permits.map((permit) => (
            <PermitFields key={permit.id} permit={permit} />
          ))}
        </section>
        <section aria-label="Loads">
          <Head title="Loads" />
          <LoadsList />
        </section>
      </div>
    </Modal>
  );
}

function Head({ title, tools }: { title: string; tools?: React.ReactNode }) {
  return (
    <div className="mb-1 flex items-baseline justify-between gap-2">
      <h3 className="text-[16px] text-gear">{title}</h3>
      {tools}
    </div>
  );
}
