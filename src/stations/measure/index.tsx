'use client';
import { Plus } from 'lucide-react';
import { formatQuantity } from '@/core/units';
import { seatOf } from '@/core/settle/seat-geometry';
import { settle } from '@/core/settle/settle';
import { bearingMore } from '@/core/document/migrations';
import { Missing } from '@/core/verdict/missing';
import { DerivedList } from '@/ui/workings/derived-list';
import { Fold } from '@/ui/workings/fold';
import { BearingFields } from './bearing-fields';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { LoadPathFields } from './load-path-fields';
import { OpeningFields } from './opening-fields';
import { newOpening } from '@/core/document/things/survey';
import { SmallButton } from '@/ui/small-button';
import { OverlayFields, newOverlay } from './overlay-fields';
import { Group, Panel } from '../shared/panel';
import { PatternFields, newPattern } from './pattern-fields';
import { useField } from '@/job/editing/use-edit';
import { SupportList } from './support-fields';
import { useInputs } from '@/job/editing/use-inputs';

/** The tape: openings, bearing points, anchor bolts and what everything stands on, drawn beside measured. */
export function MeasureStation() {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const { system } = field;
  const { date, words, open } = useInputs();
  const { lookedOver } = plan.survey;
  const derived = useJob((state) => state.survey.evaluation.derived);
  const figures = derived.filter((one) => one.id !== 'splice');
  const settled = settle(plan);
  const seats = plan.pieces.map((piece) => {
    const seat = seatOf(settled, piece);
    return { piece, known: seat instanceof Missing ? null : seat };
  });
  const only = seats.length === 1 ? (seats.find(({ known }) => known)?.known ?? null) : null;
  const [first, second] = plan.bearings;
  return (
    <Panel
      title="Measure"
      about={
        only
          ? `${formatQuantity(only.clear, 'length', system)} clear, ${formatQuantity(only.span, 'length', system)} between centres`
          : 'What the tape found goes before what is drawn'
      }
      station="measure"
    >
      {figures.length > 0 && (
        <section>
          <h3 className="mb-1 text-[15px] text-gear">Follows from the tape</h3>
          <DerivedList figures={figures} system={system} />
        </section>
      )}
      {seats.map(({ piece, known }) => (
        <Group key={piece.id} thing={piece.id} title={`${piece.mark} on its seats`}>
          {open(
            `Bearing at ${plan.bearings.find((b) => b.id === piece.seat.left)?.name ?? 'the left'}`,
            'dimension',
            piece.seat.leftBearing,
            (leftBearing) => act('editPiece', { id: piece.id, changes: { seat: { ...piece.seat, leftBearing } } }, `left bearing ${piece.id}`),
            { note: known ? `leaves ${formatQuantity(known.bearing.right, 'dimension', system)} at ${known.right.name}` : undefined },
          )}
          {open('Span by drawing', 'length', piece.seat.statedSpan, (statedSpan) =>
            act('editPiece', { id: piece.id, changes: { seat: { ...piece.seat, statedSpan } } }, `stated span ${piece.id}`),
          )}
        </Group>
      ))}
      <Group title="Before the tape">
        {date('Last strip-out on', plan.survey.strippedOn, (strippedOn) => act('editSurvey', { changes: { strippedOn } }, 'stripped'), {
          note: 'a measure older than this is stopped',
        })}
        {date('Layout last changed on', plan.survey.changedOn, (changedOn) => act('editSurvey', { changes: { changedOn } }, 'changed'), {
          note: 'and so is one older than this',
        })}
        {(
          [
            ['design', 'Design in force, revision'],
            ['survey', 'Measured by revision'],
            ['cutList', 'Cut list by revision'],
          ] as const
        ).map(([key, label]) =>
          words(label, plan.survey.revisions[key], (revision) =>
            act('editSurvey', { changes: { revisions: { ...plan.survey.revisions, [key]: revision } } }, `revision ${key}`),
          ),
        )}
        {date('Cut list is of', plan.survey.cutListOn, (cutListOn) => act('editSurvey', { changes: { cutListOn } }, 'cut list'))}
        {words('Answers for a wrong measure', plan.survey.owner, (owner) => act('editSurvey', { changes: { owner } }, 'owner'), { placeholder: 'not named' })}
        {words('Opened up, looked over by', lookedOver.by, (by) => act('editSurvey', { changes: { lookedOver: { ...lookedOver, by } } }, 'looked by'), {
          placeholder: 'nobody yet',
          note: 'for rot, cracks, missing footings',
        })}
        {date('Looked over on', lookedOver.on, (on) => act('editSurvey', { changes: { lookedOver: { ...lookedOver, on } } }, 'looked on'))}
      </Group>
      <div className="border-b border-line">
        {plan.survey.openings.map((opening) => (
          <OpeningFields key={opening.id} opening={opening} />
        ))}
        {plan.bearings.map((bearing) => (
          <BearingFields key={bearing.id} bearing={bearing} />
        ))}
        <SupportList />
        {plan.survey.patterns.map((pattern) => (
          <PatternFields key={pattern.id} pattern={pattern} />
        ))}
        {plan.survey.overlays.map((overlay) => (
          <OverlayFields key={overlay.id} overlay={overlay} />
        ))}
        <LoadPathFields />
        {plan.survey.lines.map((line) => (
          <Fold key={line.id} title={line.name || 'Spans'} note="against the stated total">
            {open(`${line.bearings.length} bearings in line, stated`, 'length', line.stated, (stated) =>
              act('editIn', { list: 'lines', id: line.id, changes: { stated } }, `${line.id} stated`),
            )}
          </Fold>
        ))}
      </div>
      <div className="flex flex-wrap gap-1.5">
        {first && second && (
          <SmallButton onClick={() => act('addTo', { list: 'openings', thing: newOpening(freshId('op'), first.id, second.id) })}>
            <Plus size={13} aria-hidden /> Opening
          </SmallButton>
        )}
        <SmallButton
          onClick={() =>
            act('addTo', {
              list: 'bearings',
              thing: {
                id: freshId('p'),
                unsaid: ['at', 'level', 'seatLength', 'seatWidth'],
                name: `P${plan.bearings.length + 1}`,
                at: { x: (plan.bearings[plan.bearings.length - 1]?.at.x ?? 0) + 3, y: 0 },
                level: plan.bearings[0]?.level ?? 3,
                seatLength: 0.2,
                seatWidth: 0.2,
                carriedBy: '',
                capacity: null,
                capacityBasis: plan.job.ruleSet === 'us-asd' ? 'allowable' : 'design',
                footing: { kind: 'other', what: '' },
                ...bearingMore(),
              },
            })
          }
        >
          <Plus size={13} aria-hidden /> Bearing
        </SmallButton>
        {first && (
          <SmallButton onClick={() => act('addTo', { list: 'patterns', thing: newPattern(freshId('bp'), first.id) })}>
            <Plus size={13} aria-hidden /> Bolt pattern
          </SmallButton>
        )}
        <SmallButton onClick={() => act('addTo', { list: 'overlays', thing: newOverlay(freshId('ov')) })}>
          <Plus size={13} aria-hidden /> Clash of drawings
        </SmallButton>
        {first && second && plan.survey.lines.length === 0 && (
          <SmallButton
            onClick={() =>
              act('addTo', { list: 'lines', thing: { id: freshId('ln'), name: 'Spans', bearings: plan.bearings.map((one) => one.id), stated: null } })
            }
          >
            <Plus size={13} aria-hidden /> Sum of spans
          </SmallButton>
        )}
      </div>
    </Panel>
  );
}
