import { demoPlan } from '../../../../tests/demo-plan';
import { applyCommand as apply } from '../../edit/apply';
import type { Command } from '../../edit/table';
import { newMember } from '../../edit/import-members';
import { newPlan } from '../../document/new-plan';
import type { Plan } from '../../document/schema';
import { nowSaid } from '../../document/things/unsaid';
import { evaluate } from '../../evaluate';

const asked = (plan: Plan, id: string) =>
  evaluate(plan)
    .checks.filter((check) => check.id === 'said.figure' && check.about.id === id)
    .map((check) => check.about.part);

const after = (plan: Plan, ...commands: Command[]): Plan =>
  commands.reduce((now, command) => {
    const done = apply(now, command);
    if (!done.ok) throw new Error(done.faults[0]?.error);
    return done.plan;
  }, plan);

const wall = {
  id: 'o9',
  unsaid: ['at' as const, 'length' as const, 'width' as const, 'height' as const],
  name: 'a wall',
  at: { x: 90, y: 90 },
  length: 4,
  width: 0.3,
  azimuthDeg: 0,
  height: 2.5,
};

describe('figures nobody has said', () => {
  it('asks for each of them until it is typed, the same figure too', () => {
    const plan = after(demoPlan(), { name: 'addObstruction', args: { obstruction: wall } });
    expect(asked(plan, 'o9')).toEqual(['at', 'length', 'width', 'height']);
    expect(evaluate(plan).verdict).toBe('missing');
    const typed = after(
      plan,
      { name: 'editObstruction', args: { id: 'o9', changes: { width: 0.3 } } },
      { name: 'editObstruction', args: { id: 'o9', changes: { at: { x: 80, y: 90 } } } },
    );
    expect(asked(typed, 'o9')).toEqual(['length', 'height']);
    const whole = after(typed, { name: 'editObstruction', args: { id: 'o9', changes: { length: 4, height: 2.5 } } });
    expect(asked(whole, 'o9')).toEqual([]);
    expect(whole.site.obstructions.find((one) => one.id === 'o9')).not.toHaveProperty('unsaid');
  });

  it('asks the length of a member made by hand, and nothing of one a file gave', () => {
    const plan = after(demoPlan(), { name: 'addTo', args: { list: 'members', thing: newMember('m9', { mark: 'M9' }) } });
    expect(asked(plan, 'm9')).toEqual(['length']);
    expect(asked(after(plan, { name: 'editIn', args: { list: 'members', id: 'm9', changes: { length: 1 } } }), 'm9')).toEqual([]);
    expect(newMember('m9', { length: 4 })).not.toHaveProperty('unsaid');
  });

  it('takes a part of a field only when it is named', () => {
    const thing = { unsaid: ['pad.length' as const, 'pad.width' as const] };
    expect(nowSaid(thing, 'pad.length')).toEqual({ unsaid: ['pad.width'] });
    expect(nowSaid({}, 'pad.length')).toEqual({});
  });

  it('asks everything of a new job that only the site, the drawing and the maker know', () => {
    const plan = newPlan({ name: 'N', place: '', units: 'metric', ruleSet: 'eu-ls' });
    expect(asked(plan, 'b1')).toEqual(['section', 'length', 'start', 'grade']);
    expect(asked(plan, 's1')).toEqual(['at', 'azimuthDeg']);
    expect(asked(plan, 'k1')).toEqual(['left', 'right', 'legs', 'boom', 'liftOver']);
    expect(plan.pieces[0]!.seat.leftBearing).toBeNull();
    expect(asked(plan, 'p2')).toEqual(['at', 'level', 'seatLength', 'seatWidth']);
    expect(asked(plan, 'c1')).toHaveLength(8);
  });
});
