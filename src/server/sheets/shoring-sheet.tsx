import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import { elevationScene } from '@/core/view/elevation-scene';
import { planScene } from '@/core/view/plan-scene';
import { settle, type SettledPlan } from '@/core/settle/settle';
import { lineOf, lineViews, type LinePlan } from '@/core/document/views';
import { describe } from '@/core/verdict/describe';
import { worst } from '@/core/verdict/check';
import { movesStand } from '@/core/evaluate/waits';
import { Missing } from '@/core/verdict/missing';
import { allStanding } from '@/core/view/shore-moment';
import { acrossScene } from '@/core/view/across-scene';
import { shoreParts, shortOf } from '@/core/settle/shore-parts';
import { shortTogether } from '@/core/checks/shores/stock';
import { formatQuantity } from '@/core/units';
import { DrawingOnPaper } from './drawing';
import { Mark, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

/** Each line with its shores drawn, what each carries, the cut list, and the order in which they are struck with room for readings. */
export function shoringPages(work: SheetWork): ReactElement[] {
  const plan = settle(work.head.plan);
  const lines: (LinePlan<SettledPlan> | null)[] = lineViews(plan);
  // Bents alone have a page too.
  const pages = lines.length > 0 ? lines : [null];
  return pages.map((line, n) => <ShoringPage key={n} work={work} plan={plan} line={line} first={n === 0} last={n === pages.length - 1} />);
}

function ShoringPage({
  work,
  plan,
  line,
  first,
  last,
}: {
  work: SheetWork;
  plan: SettledPlan;
  line: LinePlan<SettledPlan> | null;
  first: boolean;
  last: boolean;
}) {
  const { head, paper, evaluation } = work;
  const { units } = plan.job;
  const { checks, strikes, replay } = evaluation;
  const stands = movesStand(plan, evaluation);
  const moveOf = new Map(plan.moves.flatMap((move, i) => (move.kind === 'shore.strike' ? [[move.step, i] as const] : [])));
  const own = line?.shoring.id ?? null;
  const strike = own === null ? null : (strikes[own] ?? null);
  // What belongs to no line, bents and the yard, stands on the first page.
  const mine = checks.filter((check) => {
    if (check.station !== 'shores') return false;
    const of = lineOf(plan, check.about.id)?.id ?? null;
    return of === own || (of === null && first);
  });
  const parts = shoreParts(plan);
  const lacking = shortTogether(plan, strikes);
  // Only the shores and what they hold: the way in and the rest of the site have sheets of their own.
  const bare = { ...plan, ways: [], site: { ...plan.site, obstructions: [] } };
  const moment = allStanding(bare, strikes);
  const alone = allStanding(bare, strikes, own);
  const end = replay.steps[replay.steps.length - 1]?.after ?? replay.before;
  // Room beside the studs for what is written of them.
  const beside = elevationScene(bare, end, 'beam', alone, 'shores');
  beside.extent.max.x += 0.75 * (beside.extent.max.x - beside.extent.min.x);
  const across = alone.lines[0];
  const cell = { paddingHorizontal: 3, paddingVertical: 1.5 } as const;
  const length = (value: number | null) => (value === null ? '' : units === 'metric' ? `${value.toFixed(3)} m` : formatQuantity(value, 'length', units));
  const title = line !== null && plan.shoring.lines.length > 1 ? `Shoring, ${line.shoring.name}` : 'Shoring';
  return (
    <SheetPage paper={paper} title={title} head={head}>
      <StopBand plan={plan} checks={checks} />
      <View style={[styles.row, { marginTop: 6, gap: 8 }]}>
        <View style={styles.box}>
          <DrawingOnPaper drawing={planScene(bare, end, moment, 'shores')} width={262} height={190} />
        </View>
        <View style={styles.box}>
          <DrawingOnPaper drawing={beside} width={262} height={190} />
        </View>
      </View>
      {across && across.line.shoring.storeys.length > 0 && (
        <View style={[styles.box, { marginTop: 6 }]} wrap={false}>
          <DrawingOnPaper drawing={acrossScene(across)} width={532} height={230} />
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
      {last && <Text style={styles.heading}>Cut and pick list</Text>}
      {!last ? null : parts instanceof Missing ? (
        <Text style={styles.bold}>MISSING: {parts.questions.join(' ')}</Text>
      ) : (
        parts.map((part, i) => {
          const short = shortOf(lacking, part);
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
      {line && <Text style={styles.heading}>Strike, in this order; read before and after each step, stop at any surprise</Text>}
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
    </SheetPage>
  );
}
