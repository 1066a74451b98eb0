import { Text, View } from '@react-pdf/renderer';
import type { ReactElement } from 'react';
import type { Joint, Plan } from '@/core/document/schema';
import { boltCounts, jointsInOrder, type JointMade } from '@/core/checks/structure/bolts-by-size';
import { boltName, drawnBolt } from '@/core/checks/structure/joint-bolts';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { UNKNOWN } from './card-parts';
import { Line2, SheetPage, Signatures, StopBand, styles, type SheetWork } from './parts';

const cell = { paddingHorizontal: 3, paddingVertical: 2 } as const;
const box = { borderLeftWidth: 0.4, borderColor: '#999' } as const;
const widths = { name: 96, kind: 62, bolts: 84, holes: 34, when: 118, carries: 66, torque: 58 } as const;
const kindName: Record<Joint['kind'], string> = { splice: 'splice', onWeb: 'on a web', onColumn: 'on a column', seat: 'on a seat' };

/** Its bolts as they are drawn. */
function boltWords(joint: Joint, units: UnitSystem): string {
  const bolt = drawnBolt(joint);
  return bolt ? `${boltName(bolt, units)}${bolt.planes > 1 ? `, ${bolt.planes} planes` : ''}` : UNKNOWN;
}

/** Rows on one stretch of pages: the layout of a page costs as much as all that still has to be laid out after it. */
const STRETCH = 70;

/** Every joint in the order it is made, with its bolts by size, when they go in, and room for who tightened them; then the braces. */
export function connectionPages({ head, paper, evaluation }: SheetWork): ReactElement[] {
  const { plan } = head;
  const { joints, braces } = plan.structure;
  if (joints.length + braces.length === 0) return [];
  const { checks } = evaluation;
  const rows = [
    ...jointsInOrder(plan).map((made) => <JointRow key={made.joint.id} plan={plan} made={made} />),
    ...(braces.length > 0 ? [<BraceHead key="braces" />] : []),
    ...braces.map((brace) => <BraceRow key={brace.id} plan={plan} id={brace.id} />),
  ];
  const stretches = Array.from({ length: Math.ceil(rows.length / STRETCH) }, (_, i) => rows.slice(i * STRETCH, (i + 1) * STRETCH));
  return stretches.map((stretch, i) => {
    const last = i === stretches.length - 1;
    return (
      <SheetPage key={i} paper={paper} title="Connections" head={head}>
        {i === 0 && <StopBand plan={plan} checks={checks.filter(({ about }) => about.kind === 'joint' || about.kind === 'brace')} />}
        {i === 0 && <BoltsToTake plan={plan} />}
        {joints.length > 0 && <TableHead />}
        {last ? stretch.slice(0, -1) : stretch}
        {last && (
          <View wrap={false}>
            {stretch[stretch.length - 1]}
            <Signatures plan={plan} />
          </View>
        )}
      </SheetPage>
    );
  });
}

/** How many bolts of each size and grade, and how many joints nobody has said the bolts of. */
function BoltsToTake({ plan }: { plan: Plan }) {
  const { units } = plan.job;
  const { sizes, unsaid } = boltCounts(plan);
  return (
    <View wrap={false}>
      <Text style={styles.heading}>Bolts to take up, by size and grade; lengths and spares by whoever orders them</Text>
      {sizes.map(({ bolt, count, joints }) => (
        <Line2
          key={boltName(bolt, units)}
          label={`${boltName(bolt, units)}, in ${joints} ${joints === 1 ? 'joint' : 'joints'}`}
          value={count === null ? UNKNOWN : formatQuantity(count, 'count', units)}
          strong
        />
      ))}
      {unsaid > 0 && <Line2 label={`Joints whose bolts have no size here: ${unsaid}`} value={UNKNOWN} strong />}
    </View>
  );
}

function TableHead() {
  return (
    <View style={[styles.row, { borderBottomWidth: 1, marginTop: 6, fontWeight: 700 }]} fixed>
      <Text style={[cell, { width: widths.name }]}>Joint</Text>
      <Text style={[cell, { width: widths.kind }]}>Kind</Text>
      <Text style={[cell, { width: widths.bolts }]}>Bolts</Text>
      <Text style={[cell, { width: widths.holes }]}>Holes</Text>
      <Text style={[cell, { width: widths.when }]}>Goes in at move</Text>
      <Text style={[cell, { width: widths.carries }]}>One bolt carries</Text>
      <Text style={[cell, { flex: 1 }]}>Tightened, checked by</Text>
    </View>
  );
}

function JointRow({ plan, made: { joint, at } }: { plan: Plan; made: JointMade }) {
  const { units } = plan.job;
  return (
    <View style={[styles.row, { borderBottomWidth: 0.4, borderColor: '#999' }]} wrap={false}>
      <Text style={[cell, styles.bold, { width: widths.name }]}>{joint.name}</Text>
      <Text style={[cell, { width: widths.kind }]}>
        {kindName[joint.kind]}
        {joint.kind === 'onColumn' && joint.moment !== null ? `\nfilled holds ${formatQuantity(joint.moment, 'moment', units)}` : ''}
      </Text>
      <Text style={[cell, { width: widths.bolts }]}>{boltWords(joint, units)}</Text>
      <Text style={[cell, { width: widths.holes }]}>{joint.holes ?? '?'}</Text>
      <Text style={[cell, { width: widths.when }]}>{at.length === 0 ? 'NEVER MADE' : at.map(inWords).join('; ')}</Text>
      <Text style={[cell, { width: widths.carries }]}>
        {joint.boltShear === null ? (joint.kind === 'splice' ? 'by its moment' : UNKNOWN) : formatQuantity(joint.boltShear, 'force', units)}
      </Text>
      <Text style={[cell, box, { flex: 1 }]}> </Text>
    </View>
  );
}

const inWords = ({ number, pins, bolts, tight }: JointMade['at'][number]): string =>
  `${number}: ${[pins > 0 ? `${pins} pins` : '', bolts === null ? 'bolts NOT KNOWN' : `${bolts} bolts`].filter(Boolean).join(', ')}${tight === true ? ', tight' : tight === null ? ', tight?' : ''}`;

const BraceHead = () => <Text style={styles.heading}>Braces: none is taken away before the move that says so</Text>;

function BraceRow({ plan, id }: { plan: Plan; id: string }) {
  const brace = plan.structure.braces.find((one) => one.id === id)!;
  const number = (kind: 'brace.fix' | 'brace.free') => plan.moves.flatMap((move, i) => (move.kind === kind && move.brace === id ? [i + 1] : []));
  const [on, off] = [number('brace.fix'), number('brace.free')];
  return (
    <Line2
      label={`${brace.name}${brace.anchoredTo ? `, tied to ${brace.anchoredTo}` : ''}${brace.capacity === null ? '' : `; good for ${formatQuantity(brace.capacity, 'force', plan.job.units)}`}`}
      value={`${on.length === 0 ? 'NEVER FIXED' : `fixed at ${on.join(', ')}`}${off.length > 0 ? `, freed at ${off.join(', ')}` : ''}`}
    />
  );
}
