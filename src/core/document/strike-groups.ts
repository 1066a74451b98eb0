import type { Plan, ShoredLine, StrikeStep } from './schema';

export interface StrikeGroup {
  /** of its first step: what a move of the run sheet names */
  id: string;
  steps: StrikeStep[];
  name: string;
}

/** The strike as it goes: steps that go together, as one. */
export function strikeGroups({ walls, rows, strike }: ShoredLine): StrikeGroup[] {
  const names = new Map([...walls, ...rows].map((one) => [one.id, one.name]));
  const groups: StrikeGroup[] = [];
  for (const step of strike) {
    const words = `${names.get(step.shore) ?? step.shore}${step.units.length === 0 ? '' : ` ${step.units.join(', ')}`}`;
    const last = groups[groups.length - 1];
    if (step.together && last) {
      last.steps.push(step);
      last.name += ` and ${words}`;
    } else groups.push({ id: step.id, steps: [step], name: words });
  }
  return groups;
}

/** The strikes of every line. */
export const allStrikeGroups = (plan: Plan): StrikeGroup[] => plan.shoring.lines.flatMap(strikeGroups);
