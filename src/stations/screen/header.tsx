'use client';
import { BookOpen, FileDown, HelpCircle, History, Redo2, Undo2 } from 'lucide-react';
import * as Select from '@radix-ui/react-select';
import Link from 'next/link';
import { verdicts } from '@/core/verdict/check';
import { ruleSetName, type RuleSetId } from '@/core/rules/rule-sets';
import { useRunning } from '@/ui/use-running';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { Sheets } from './sheets-menu';
import type { OpenDialog } from './use-keys';

/** Which job, how it stands, and what holds for the whole of it. */
export function Header({ onDialog }: { onDialog: (dialog: OpenDialog) => void }) {
  const plan = usePlan();
  const act = useAct();
  const { counts } = useJob((state) => state.survey.evaluation);
  const reckoning = useJob((state) => state.reckoning);
  const history = useJob((state) => state.history);
  const undo = useJob((state) => state.undo);
  const redo = useJob((state) => state.redo);
  const id = useJob((state) => state.id);
  const { job } = plan;
  const icon = 'grid size-7 place-items-center text-[#e9e4d8] hover:bg-gear disabled:text-[#6d7478] disabled:hover:bg-transparent';
  return (
    <header className="flex h-[46px] items-center gap-3 bg-ink px-3 text-white max-[900px]:h-auto max-[900px]:flex-wrap max-[900px]:py-2">
      <Link href="/" className="sign shrink-0 text-[20px] font-bold tracking-[0.02em]">
        Keen<span className="text-timber">·</span>Trestle
      </Link>
      <div className="min-w-0 flex-1 border-l border-[#4a5257] pl-3 leading-[1.1] max-[900px]:basis-[55%]">
        <p className="sign truncate text-[17px]">{job.name}</p>
        <p className="truncate text-[12px] text-[#c9c4b8]">{job.place}</p>
      </div>
      <p className="flex shrink-0 gap-1.5" aria-label="How the plan stands">
        {reckoning && (
          <span role="status" className="sign bg-paper px-1.5 text-[15px] leading-6 text-missing">
            Working out the checks …
          </span>
        )}
        {!reckoning &&
          verdicts.map((verdict) => (
            <span
              key={verdict}
              data-count={verdict}
              className={`flex items-center gap-1 rounded-sm px-1.5 py-0.5 ${counts[verdict] === 0 ? 'text-[#b8b4aa]' : 'bg-paper text-ink'}`}
            >
              {counts[verdict] > 0 && <VerdictMark verdict={verdict} size={14} bare />}
              <span className="sign text-[15px] leading-5">
                {counts[verdict]} <span className="max-[1180px]:sr-only">{verdictWord[verdict]}</span>
              </span>
            </span>
          ))}
      </p>
      <span className="flex shrink-0">
        <button type="button" className={icon} aria-label="Undo" title="Undo (Ctrl Z)" disabled={history.past.length === 0} onClick={undo}>
          <Undo2 size={17} />
        </button>
        <button type="button" className={icon} aria-label="Redo" title="Redo (Ctrl Shift Z)" disabled={history.future.length === 0} onClick={redo}>
          <Redo2 size={17} />
        </button>
      </span>
      <span className="flex shrink-0 border border-[#5c656a]" role="group" aria-label="Units">
        {(['us', 'metric'] as const).map((units) => (
          <button
            key={units}
            type="button"
            aria-pressed={job.units === units}
            onClick={() => act('editJob', { changes: { units } })}
            className={`sign px-2 text-[15px] leading-6 ${job.units === units ? 'bg-paper text-ink' : 'text-[#e9e4d8] hover:bg-gear'}`}
          >
            {units === 'us' ? 'ft lb' : 'm kg'}
          </button>
        ))}
      </span>
      <Select.Root value={job.ruleSet} onValueChange={(ruleSet) => act('editJob', { changes: { ruleSet: ruleSet as RuleSetId } })}>
        <Select.Trigger aria-label="Rule set" className="sign shrink-0 border border-[#5c656a] px-2 text-[15px] leading-6 hover:bg-gear">
          {job.ruleSet === 'us-asd' ? 'US rules' : 'European rules'} ▾
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={4}
            align="end"
            className="z-50 border border-ink bg-white text-ink shadow-[3px_3px_0_rgba(34,40,44,.18)]"
          >
            <Select.Viewport>
              {(Object.keys(ruleSetName) as RuleSetId[]).map((rule) => (
                <Select.Item
                  key={rule}
                  value={rule}
                  className="cursor-pointer px-3 py-1.5 outline-none data-[highlighted]:bg-tray data-[state=checked]:font-semibold"
                >
                  <Select.ItemText>{ruleSetName[rule]}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
      <span className="flex shrink-0">
        <button type="button" className={icon} aria-label="Rules and thresholds" title="Rules and thresholds (R)" onClick={() => onDialog('rules')}>
          <BookOpen size={17} />
        </button>
        <Sheets id={id} className={icon} />
        <a className={icon} href={`/api/jobs/${id}/export`} aria-label="Save as a plan file" title="Save as a plan file (.trestle.json)" download>
          <FileDown size={17} />
        </a>
        <button
          type="button"
          className={icon}
          aria-label="Revisions"
          title="Revisions: every save, looked at or brought back"
          onClick={() => onDialog('revisions')}
        >
          <History size={17} />
        </button>
        <button type="button" className={icon} aria-label="Keys" title="Keys (?)" onClick={() => onDialog('keys')}>
          <HelpCircle size={17} />
        </button>
      </span>
      <SavedState />
    </header>
  );
}

function SavedState() {
  const running = useRunning();
  const saving = useJob((state) => state.saving);
  const revision = useJob((state) => state.revision);
  const words = {
    saved: `Saved, rev ${revision}`,
    unsaved: 'Saving …',
    saving: 'Saving …',
    offline: 'Not saved: no server',
    conflict: 'Not saved: conflict',
  }[saving.state];
  const bad = saving.state === 'offline' || saving.state === 'conflict';
  return (
    <p
      role="status"
      data-saving={running ? saving.state : 'opening'}
      title={saving.state === 'offline' ? saving.why : undefined}
      className={`w-[92px] shrink-0 truncate text-right text-[12.5px] ${bad ? 'bg-stop px-1 font-semibold text-white' : 'text-[#c9c4b8]'}`}
    >
      {running ? words : 'Opening …'}
    </p>
  );
}
