import { demoPlan } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { evaluate } from '../../evaluate/index';

interface Both {
  axial: number;
  moment: number;
}

describe('the squeeze of the slings on the piece they hold', () => {
  test.each([
    ['eu-ls', {}],
    ['eu-ls', { dynamicFactor: 1.5, loadFactor: 1.2 }],
    ['us-asd', { dynamicFactor: 1.4 }],
  ] as const)('is factored like its bending (%s, %j)', (ruleSet, thresholds) => {
    const plan = demoPlan();
    const own = { ...plan, job: { ...plan.job, ruleSet, thresholds: { ...plan.job.thresholds, ...thresholds } } };
    const { checks } = evaluate(own);
    const trace = (id: string, calc: string) => checks.find((one) => one.id === id)!.traces.find((one) => one.calc === calc)!;
    const hung = trace('rigging.tension', 'rigging.hook').output as { tension: [number, number]; angleDeg: [number, number] };
    const rating = trace('rigging.tension', 'rigging.slingRating').input as { dynamicFactor: number };
    const both = trace('pick.bending', 'member.combined').input as Both;
    const load = rulesOf(own.job.ruleSet, own.job.thresholds).value('loadFactor');
    const flat = Math.cos((hung.angleDeg[0] * Math.PI) / 180);
    expect(rating.dynamicFactor * load).not.toBe(1);
    expect(both.axial).toBeCloseTo(hung.tension[0] * flat * rating.dynamicFactor * load, 6);
  });
});
