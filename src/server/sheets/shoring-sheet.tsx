import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import { elevationScene } from '@/core/drawing/elevation-scene';
import { planScene } from '@/core/drawing/plan-scene';
import { settle } from '@/core/plan/settle';
import { describe } from '@/core/plan/describe';
import { worst } from '@/core/plan/check';
import { movesStand } from '@/core/plan/waits';
import { Missing } from '@/core/plan/missing';
import { allStanding } from '@/core/drawing/shore-moment';
import { acrossScene } from '@/core/drawing/across-scene';
import { shoreParts, shortfalls } from '@/core/plan/shore-parts';
import { formatQuantity } from '@/core/units';
import { DrawingOnPaper } from './drawing';
import { Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

/** The shores drawn, what each carries, the cut list, and the order in which they are struck with room for readings. */
export function shoringPages({ head, paper, evaluation }: SheetWork): ReactElement[] {
  const plan = settle(head.plan);
  const { units } = plan.job;
  const { checks, strike, replay } = evaluation;
  const stands = movesStand(plan, evaluation);
  const moveOf = new Map(plan.moves.flatMap((move, i) => (move.kind === 'shore.strike' ? [[move.step, i] as const] : [])));
  const mine = checks.filter((check) => check.station === 'shores');
  const parts = shoreParts(plan);
  const lacking = parts instanceof Missing ? [] : shortfalls(plan, parts);
  // Only the shores and what they hold: the way in and the rest of the site have sheets of their own.
  const bare = { ...plan, wayIn: { ...plan.wayIn, legs: [] }, site: { ...plan.site, obstructions: [] } };
  const moment = allStanding(plan, strike);
  const end = replay.steps[replay.steps.length - 1]?.after ?? replay.before;
  // Room beside the studs for what is written of them.
  const beside = elevationScene(bare, end, 'beam', moment, 'shores');
  beside.extent.max.x += 0.75 * (beside.extent.max.x - beside.extent.min.x);
  const cell = { paddingHorizontal: 3, paddingVertical: 1.5 } as const;
  const length = (value: number | null) => (value === null ? '' : units === 'metric' ? `${value.toFixed(3)} m` : formatQuantity(value, 'length', units));
  return [
    <SheetPage key="shoring" paper={paper} title="Shoring" head={head}>
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { marginTop: 6, gap: 8 }]}>
        <View style={styles.box}>
          <DrawingOnPaper drawing={planScene(bare, end, moment, 'shores')} width={262} height={190} />
        </View>
        <View style={styles.box}>
          <DrawingOnPaper drawing={beside} width={262} height={190} />
        </View>
      </View>
      {plan.shoring.storeys.length > 0 && (
        <View style={[styles.box, { marginTop: 6 }]} wrap={false}>
          <DrawingOnPaper drawing={acrossScene(bare, moment)} width={532} height={230} />
        </View>
      )}
      <Text style={styles.heading}>What each shore carries, and what it stands on</Text>
      {mine
        .filter((check) => check.id !== 'shore.strike' && check.verdict !== 'stop' && check.verdict !== 'missing')
        .map((check, i) => (
          <View key={i} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999', paddingVertical: 1 }]} wrap={false}>
            <Mark verdict={check.verdict} />
            <Text style={{ marginLeft: 4, flex: 1 }}>{describe(check, units)}</Text>
          </View>
        ))}
      <Text style={styles.heading}>Cut and pick list</Text>
      {parts instanceof Missing ? (
        <Text style={styles.bold}>MISSING: {parts.questions.join(' ')}</Text>
      ) : (
        parts.map((part, i) => {
          const short = lacking.find((one) => one.part === part);
          return (
            <View key={i} style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]} wrap={false}>
              <Text style={[cell, { width: 130 }]}>{part.for}</Text>
              <Text style={[cell, { width: 120 }]}>
                {part.what} {part.size}
              </Text>
              <Text style={[cell, { width: 60, textAlign: 'right' }]}>{length(part.length)}</Text>
              <Text style={[cell, { width: 40, textAlign: 'right' }]}>{part.count}</Text>
              <Text style={[cell, { width: 60, textAlign: 'right' }]}>{part.mass === null ? '' : formatQuantity(part.mass, 'mass', units)}</Text>
              <Text style={[cell, styles.bold, { flex: 1 }]}>{short ? `THE YARD HAS ${short.have}` : ''}</Text>
            </View>
          );
        })
      )}
      <Text style={styles.heading}>Strike, in this order; read before and after each step, stop at any surprise</Text>
      {(strike?.steps ?? []).map((step, i) => {
        const check = mine.find((one) => one.id === 'shore.strike' && one.about.id === step.id);
        // A step that its move, or one before it, may not make yet has no tick, however well the shores stand.
        const place = moveOf.get(step.id);
        const stand = place === undefined ? null : stands[place]!;
        const verdict = worst([...(check ? [check.verdict] : ['missing' as const]), ...(stand ? [stand.verdict] : ['missing' as const])]);
        const waits = stand !== null && stand.waitsFor !== null && (verdict === 'clear' || verdict === 'tight');
        return (
          <View key={i} style={[styles.row, { borderBottomWidth: 0.6, minHeight: 22 }]} wrap={false}>
            <Text style={[cell, styles.bold, { width: 20 }]}>{i + 1}</Text>
            <View style={[cell, { width: 44 }]}>{waits ? <Text>waits for {stand.waitsFor}</Text> : <Mark verdict={verdict} />}</View>
            <View style={[cell, { flex: 1 }]}>
              <Text style={styles.bold}>{step.name}</Text>
              <Text style={styles.small}>{check ? describe(check, units) : 'not worked out'}</Text>
            </View>
            <Text style={[cell, { width: 70, borderLeftWidth: 0.4, borderColor: '#999' }]}>before:</Text>
            <Text style={[cell, { width: 70, borderLeftWidth: 0.4, borderColor: '#999' }]}>after:</Text>
            <Text style={[cell, { width: 50, borderLeftWidth: 0.4, borderColor: '#999' }]}>by:</Text>
          </View>
        );
      })}
      <Signatures plan={plan} />
    </SheetPage>,
  ];
}
