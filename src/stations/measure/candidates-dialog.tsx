'use client';
import { Fragment, useMemo, useState } from 'react';
import { Feather, X } from 'lucide-react';
import { settle } from '@/core/settle/settle';
import { candidatesOf, lightestThatDo, type Candidate, type Fit } from '@/core/checks/measure/candidates';
import { limitWords } from '@/core/checks/measure/carries';
import { Missing } from '@/core/verdict/missing';
import type { Opening } from '@/core/document/schema';
import { ruleSetName, type RuleSetId } from '@/core/rules/rule-sets';
import { findSection, sections } from '@/core/steel/sections';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { Modal } from '@/ui/dialogs/modal';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SectionField } from '@/ui/fields/section-field';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { Traces } from '@/ui/workings/check-line';
import { SmallButton } from '@/ui/small-button';
import { useAct, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useEdit, useField } from '@/job/editing/use-edit';

const schools: readonly RuleSetId[] = ['us-asd', 'eu-ls'];

/** Sections side by side for one opening: flush between the joists or dropped below them, by both code schools. */
export function CandidatesDialog({ opening, onClose }: { opening: Opening; onClose: () => void }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const { system } = field;
  const edit = useEdit('openings', opening.id);
  const { choice } = opening;
  const put = (changes: Partial<typeof choice>, name: string) => edit({ choice: { ...choice, ...changes } }, `choice ${name}`);
  const settled = useMemo(() => settle(plan), [plan]);
  const candidates = useMemo(() => candidatesOf(settled, opening), [settled, opening]);
  const member = plan.members.find((one) => one.id === opening.member);
  const current = member?.make.kind === 'section' ? findSection(member.make.section)?.designation : undefined;
  const [open, setOpen] = useState<string | null>(null);
  const [nothing, setNothing] = useState(false);
  const suggest = () => {
    const families = new Set((candidates instanceof Missing ? [] : candidates).map((one) => one.section.family));
    const among = sections.filter((one) => families.size === 0 || families.has(one.family)).map((one) => one.designation);
    const found = lightestThatDo(settled, opening, among);
    setNothing(found.length === 0);
    if (found.length > 0) put({ candidates: [...new Set([...choice.candidates, ...found])].slice(0, 12) }, 'suggest');
  };
  return (
    <Modal
      wide
      open
      onOpenChange={onClose}
      title={`Sections for ${opening.name}`}
      about="Flush goes up between the joists, dropped stays under them. Simple span, bearing centre to bearing centre; the engineer decides the section."
    >
      <Group title="What it spans and carries">
        <QuantityField
          {...field}
          label="Carries along it, in all"
          kind="forcePerLength"
          value={opening.lineLoad}
          clearable
          onValue={(lineLoad) => edit({ lineLoad }, 'line load')}
        />
        <QuantityField
          {...field}
          label="Of that, comes and goes"
          kind="forcePerLength"
          value={choice.live}
          clearable
          onValue={(live) => put({ live }, 'live')}
        />
        <QuantityField
          {...field}
          label="Top flange held every"
          kind="length"
          value={choice.unbraced}
          clearable
          onValue={(unbraced) => put({ unbraced }, 'unbraced')}
        />
        <QuantityField
          {...field}
          label="Joist bay or pocket height"
          kind="dimension"
          value={opening.bay.height}
          clearable
          onValue={(height) => edit({ bay: { ...opening.bay, height } }, 'bay height')}
        />
        <QuantityField
          {...field}
          label="Floor to underside of joists"
          kind="length"
          value={choice.ceiling}
          clearable
          onValue={(ceiling) => put({ ceiling }, 'ceiling')}
        />
        <QuantityField
          {...field}
          label="Head room to keep under it"
          kind="length"
          value={choice.headLeast}
          clearable
          onValue={(headLeast) => put({ headLeast }, 'head')}
        />
      </Group>
      <div className="mt-4 mb-1 flex items-end justify-between gap-3">
        <div className="w-[260px]">
          <SectionField
            label="Put beside it"
            value={choice.candidates[choice.candidates.length - 1] ?? current ?? ''}
            system={system}
            onValue={(designation) => choice.candidates.length < 12 && put({ candidates: [...new Set([...choice.candidates, designation])] }, 'candidate')}
          />
        </div>
        <SmallButton onClick={suggest}>
          <Feather size={13} aria-hidden /> Lightest of these families that hold and fit
        </SmallButton>
      </div>
      {nothing && (
        <p role="status" className="text-[13px] text-missing">
          No listed section of these families is known to hold and fit. What is missing stands in the table.
        </p>
      )}
      {candidates instanceof Missing ? (
        <p className="text-missing">{candidates.questions.join(' ')}</p>
      ) : candidates.length === 0 ? (
        <p className="text-soft">No section yet: choose the piece over the opening, or put a section beside it.</p>
      ) : (
        <table className="w-full border-collapse text-[14px]">
          <thead>
            <tr className="border-b border-ink text-left text-[12.5px] text-soft">
              <th className="py-1 pr-2 font-normal">Section</th>
              <th className="px-2 text-right font-normal">Weight</th>
              <th className="px-2 text-right font-normal">Depth</th>
              <th className="px-2 font-normal">Flush</th>
              <th className="px-2 font-normal">Dropped</th>
              {schools.map((id) => (
                <th key={id} className={`px-2 font-normal ${id === plan.job.ruleSet ? 'text-ink' : ''}`}>
                  {ruleSetName[id]}
                </th>
              ))}
              <th>
                <span className="sr-only">Choose</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {candidates.map((one) => (
              <Fragment key={one.designation}>
                <tr className={`border-b border-line align-top ${one.designation === current ? 'bg-white' : ''}`} data-candidate={one.designation}>
                  <th scope="row" className="py-1.5 pr-2 text-left">
                    <button
                      type="button"
                      aria-expanded={open === one.designation}
                      onClick={() => setOpen(open === one.designation ? null : one.designation)}
                      className="min-h-[24px] text-left font-semibold whitespace-nowrap underline decoration-pencil underline-offset-2"
                    >
                      {one.designation}
                    </button>
                    {one.designation === current && <span className="block text-[12.5px] font-normal text-soft">in the piece list</span>}
                  </th>
                  <td className="px-2 py-1.5 text-right whitespace-nowrap">{formatQuantity(one.mass, 'mass', system)}</td>
                  <td className="px-2 py-1.5 text-right whitespace-nowrap">{formatQuantity(one.section.depth, 'dimension', system)}</td>
                  <FitCell fit={one.flush} system={system} />
                  <FitCell fit={one.dropped} system={system} />
                  {schools.map((id) => (
                    <SchoolCell key={id} candidate={one} school={id} />
                  ))}
                  <td className="py-1.5 text-right whitespace-nowrap">
                    {one.designation !== current && (
                      <span className="inline-flex gap-1">
                        {member && (
                          <SmallButton
                            onClick={() =>
                              act(
                                'editIn',
                                { list: 'members', id: member.id, changes: { make: { kind: 'section', section: one.designation } } },
                                `${member.id} section`,
                              )
                            }
                          >
                            Use for {member.mark}
                          </SmallButton>
                        )}
                        {choice.candidates.includes(one.designation) && (
                          <SmallButton
                            danger
                            label={`Take ${one.designation} out`}
                            onClick={() =>
                              put({ candidates: choice.candidates.filter((name) => findSection(name)?.designation !== one.designation) }, 'candidate')
                            }
                          >
                            <X size={14} />
                          </SmallButton>
                        )}
                      </span>
                    )}
                  </td>
                </tr>
                {open === one.designation && (
                  <tr>
                    <td colSpan={8} className="border-b border-line bg-board px-3 py-2">
                      <div className="grid grid-cols-2 gap-6">
                        {schools.map((id) => (
                          <Uses key={id} candidate={one} school={id} system={system} />
                        ))}
                      </div>
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      )}
    </Modal>
  );
}

function FitCell({ fit, system }: { fit: Fit; system: UnitSystem }) {
  return (
    <td className="px-2 py-1.5">
      <span className="flex items-start gap-1.5">
        <VerdictMark verdict={fit.verdict} size={15} />
        <span className="text-[12.5px] leading-[1.3]">
          {fit.room === null ? fit.question : `${formatQuantity(fit.needed ?? 0, 'dimension', system)} of ${formatQuantity(fit.room, 'dimension', system)}`}
        </span>
      </span>
    </td>
  );
}

function SchoolCell({ candidate, school }: { candidate: Candidate; school: RuleSetId }) {
  const { worst, verdict } = candidate.schools[school];
  return (
    <td className="px-2 py-1.5" data-school={school} data-verdict={verdict}>
      <span className="flex items-start gap-1.5">
        <VerdictMark verdict={verdict} size={15} />
        <span className="text-[12.5px] leading-[1.3]">
          {worst.question ?? (
            <>
              <b className="text-[14px]">{Math.round((worst.ratio ?? 0) * 100)} %</b> {limitWords[worst.limit]}
            </>
          )}
        </span>
      </span>
    </td>
  );
}

function Uses({ candidate, school, system }: { candidate: Candidate; school: RuleSetId; system: UnitSystem }) {
  return (
    <section>
      <h4 className="text-[14px] text-gear">{ruleSetName[school]}</h4>
      <ul className="mt-1 space-y-1 text-[13px]">
        {candidate.schools[school].uses.map((use) => {
          const kind = use.limit === 'bending' ? 'moment' : use.limit === 'shear' || use.limit === 'web' ? 'force' : 'dimension';
          return (
            <li key={use.limit}>
              <span className="flex items-start gap-1.5">
                <VerdictMark verdict={use.verdict} size={14} />
                <span>
                  {limitWords[use.limit]}:{' '}
                  {use.question ?? `${formatQuantity(use.demand ?? 0, kind, system)} of ${formatQuantity(use.capacity ?? 0, kind, system)}`}
                </span>
              </span>
              {use.traces.length > 0 && (
                <details className="ml-5">
                  <summary className="cursor-pointer text-[12.5px] text-soft">working</summary>
                  <Traces traces={use.traces} system={system} />
                </details>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
