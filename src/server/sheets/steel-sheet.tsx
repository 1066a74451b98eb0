import { wayViews } from '@/core/document/views';
import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import { settle } from '@/core/settle/settle';
import { describe } from '@/core/verdict/describe';
import type { Derived } from '@/core/checks/steel/derived';
import { madeOf } from '@/core/document/made-of';
import { memberWeight } from '@/core/settle/member-weight';
import { Missing } from '@/core/verdict/missing';
import type { Member, Plan } from '@/core/document/schema';
import { dayWords } from '@/core/units/day';
import { delivered } from '@/core/settle/travel';
import { truckLength } from '@/core/document/trucks';
import { carriedOf } from '@/core/settle/way-pieces';
import { rulesOf, type Rules } from '@/core/rules/rule-sets';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { Line2, Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

/** A length to cut is printed to the millimetre. */
const figure = ({ value, kind }: Derived, units: UnitSystem): string =>
  kind === 'length' && units === 'metric' ? `${value.toFixed(3)} m` : formatQuantity(value, kind, units);

/** Truck, day and permit of a mark that is still to come. */
function travelWords(plan: Plan, { state, travel }: Member): string {
  if (delivered.has(state)) return '';
  const truck = plan.transport.trucks.find((one) => one.id === travel.truck);
  const permit = plan.transport.permits.find((one) => one.id === travel.permit);
  return [
    truck && `comes on ${truck.name}${truck.steered ? ', rear axles steered' : ''}`,
    travel.on && dayWords(travel.on),
    permit && `permit ${permit.number || 'asked for'}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** Trucks in use, tight turns of the road, and permits with what they ask; nothing where no piece is still to come on one. */
function TransportList({ plan }: { plan: Plan }) {
  const { units } = plan.job;
  const coming = plan.members.filter((member) => !delivered.has(member.state));
  const permits = plan.transport.permits.filter((permit) => coming.some((member) => member.travel.permit === permit.id));
  if (coming.length === 0 || plan.transport.trucks.length === 0) return null;
  const axles = (steered: boolean | null) => (steered === null ? 'steering NOT KNOWN' : steered ? 'rear axles steered' : 'rear axles fixed');
  const show = (value: number | null) => (value === null ? 'NOT KNOWN' : formatQuantity(value, 'length', units));
  return (
    <View>
      <Text style={styles.heading}>Transport</Text>
      {plan.transport.trucks.map((truck) => (
        <Line2
          key={truck.id}
          label={`${truck.name}: takes ${show(truckLength(truck))} and ${formatQuantity(truck.mass, 'mass', units)}`}
          value={axles(truck.steered)}
        />
      ))}
      {plan.transport.turns.map((turn) => (
        <Line2 key={turn.id} label={`${turn.name}: outer radius ${show(turn.outerRadius)}`} value={`road ${show(turn.width)} wide`} />
      ))}
      {permits.map((permit) => (
        <Line2
          key={permit.id}
          label={`Permit ${permit.number || 'NOT GIVEN YET'}${permit.by ? `, ${permit.by}` : ''}: loads up to ${show(permit.longest)}${permit.conditions ? `; ${permit.conditions}` : ''}`}
          value={permit.from && permit.until ? `${dayWords(permit.from)} to ${dayWords(permit.until)}` : 'days NOT KNOWN'}
        />
      ))}
    </View>
  );
}

/** Rows on one stretch of pages: the layout of a page costs as much as all that still has to be laid out after it. */
const STRETCH = 60;
const cell = { paddingHorizontal: 3, paddingVertical: 2 } as const;
const widths = { mark: 60, section: 120, length: 56, count: 26, weight: 62 } as const;

/** What the fabricator and the crew on the way in need: lengths to cut, the pieces, and each leg of the way with what it stops. */
export function steelPages({ head, paper, evaluation }: SheetWork): ReactElement[] {
  const plan = settle(head.plan);
  const { units } = plan.job;
  const { checks, derived } = evaluation;
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const carriedIn = wayViews(plan).flatMap((view) => {
    const carried = carriedOf(view, rules);
    return carried instanceof Missing ? [] : [carried];
  });
  const mine = checks.filter((check) => check.station === 'measure' || check.station === 'steel' || check.station === 'wayIn');
  const tight = mine.filter((check) => check.verdict === 'tight');
  const way = mine.filter((check) => check.id.startsWith('way.') && !['way.splice', 'way.transport', 'way.gear'].includes(check.id));
  const rows = plan.members.map((member) => <MemberRow key={member.id} plan={plan} member={member} rules={rules} />);
  const stretches = Array.from({ length: Math.max(1, Math.ceil(rows.length / STRETCH)) }, (_, i) => rows.slice(i * STRETCH, (i + 1) * STRETCH));
  return stretches.map((stretch, i) => {
    const last = i === stretches.length - 1;
    return (
      <SheetPage key={i} paper={paper} title="Steel and way in" head={head}>
        {i === 0 && <StopBand plan={plan} checks={checks} />}
        {i === 0 &&
          tight.map((check, n) => (
            <View key={n} style={[styles.row, { marginTop: 3 }]} wrap={false}>
              <Mark verdict={check.verdict} />
              <Text style={{ marginLeft: 4, flex: 1 }}>TIGHT: {describe(check, units)}</Text>
            </View>
          ))}
        {i === 0 && derived.length > 0 && (
          <View>
            <Text style={styles.heading}>To cut and to set, from the tape</Text>
            {derived.map((one, n) => (
              <Line2 key={n} label={`${one.subject}: ${one.title}`} value={figure(one, units)} strong={one.id === 'cut'} />
            ))}
          </View>
        )}
        {rows.length > 0 && (
          <View>
            <Text style={styles.heading}>Pieces{stretches.length > 1 ? `, ${i * STRETCH + 1} to ${i * STRETCH + stretch.length} of ${rows.length}` : ''}</Text>
            <View style={[styles.row, { fontWeight: 700, borderBottomWidth: 0.8 }]}>
              <Text style={[cell, { width: widths.mark }]}>Mark</Text>
              <Text style={[cell, { width: widths.section }]}>Made of</Text>
              <Text style={[cell, { width: widths.length, textAlign: 'right' }]}>Length</Text>
              <Text style={[cell, { width: widths.count, textAlign: 'right' }]}>No</Text>
              <Text style={[cell, { width: widths.weight, textAlign: 'right' }]}>To lift, each</Text>
              <Text style={[cell, { flex: 1 }]}>Lies at</Text>
            </View>
          </View>
        )}
        {stretch}
        {last && <TransportList plan={plan} />}
        {(last ? carriedIn : []).map((carried, n) => (
          <View key={n}>
            <Text style={styles.heading}>
              {carried.member.mark} goes in as {carried.pieces.length === 1 ? 'one piece' : `${carried.pieces.length} pieces`}
            </Text>
            {carried.pieces.map((piece) => (
              <Line2
                key={piece.name}
                label={`${piece.name}, from ${formatQuantity(piece.from, 'length', units)} to ${formatQuantity(piece.to, 'length', units)} of the left end`}
                value={`${formatQuantity(piece.length, 'length', units)}, ${formatQuantity(piece.mass, 'mass', units)}, balances at ${formatQuantity(piece.cg, 'length', units)}`}
              />
            ))}
          </View>
        ))}
        {last && way.length > 0 && (
          <View>
            <Text style={styles.heading}>The way in, leg by leg</Text>
            {way.map((check, n) => (
              <View key={n} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1.5 }]} wrap={false}>
                <Mark verdict={check.verdict} />
                <Text style={{ marginLeft: 4, flex: 1 }}>{describe(check, units)}</Text>
              </View>
            ))}
          </View>
        )}
        {last && <Signatures plan={plan} />}
      </SheetPage>
    );
  });
}

function MemberRow({ plan, member, rules }: { plan: Plan; member: Member; rules: Rules }) {
  const { units } = plan.job;
  const weight = memberWeight(member, rules);
  return (
    <View style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]} wrap={false}>
      <Text style={[cell, styles.bold, { width: widths.mark }]}>{member.mark}</Text>
      <Text style={[cell, { width: widths.section }]}>{madeOf(member)}</Text>
      <Text style={[cell, { width: widths.length, textAlign: 'right' }]}>{formatQuantity(member.length, 'length', units)}</Text>
      <Text style={[cell, { width: widths.count, textAlign: 'right' }]}>{member.count}</Text>
      <Text style={[cell, { width: widths.weight, textAlign: 'right' }]}>
        {weight instanceof Missing ? 'NOT KNOWN' : formatQuantity(weight.lifted, 'mass', units)}
      </Text>
      <Text style={[cell, { flex: 1 }]}>
        {[member.place, member.stack === null ? '' : `layer ${member.stack}`, member.faceUp, travelWords(plan, member)].filter(Boolean).join('; ')}
      </Text>
    </View>
  );
}
