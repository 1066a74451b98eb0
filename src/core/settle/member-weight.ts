import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import { plateGirder } from '../steel/plate-girder.calc';
import type { SectionRow } from '../steel/section-row';
import { findSection } from '../steel/sections';
import { weightTruth, type WeightUse } from '../steel/weight-truth.calc';
import { partsWeight } from './member-parts';
import { Missing } from '../verdict/missing';
import type { Member } from '../document/schema';

export interface MemberSize {
  massPerLength: number;
  width: number;
  depth: number;
  /** of the bare steel, for paint */
  surfacePerLength: number | null;
  section: SectionRow | null;
}

/** What a member is made of, in figures; null for a plain weight, and for parts of which nobody knows the overall size. */
export function memberSize(member: Member): MemberSize | Missing | null {
  const { make } = member;
  if (make.kind === 'plain') return null;
  if (make.kind === 'parts') {
    if (make.width === null || make.depth === null) return null;
    const weight = partsWeight(member, make);
    if (weight instanceof Missing) return weight;
    return { massPerLength: weight.mass / member.length, width: make.width, depth: make.depth, surfacePerLength: null, section: null };
  }
  if (make.kind === 'section') {
    const section = findSection(make.section);
    if (!section)
      return new Missing(
        make.section.trim() === ''
          ? `What is ${member.mark} made of? Its section is not said yet.`
          : `“${make.section}” is not in the section tables. What is ${member.mark} made of?`,
      );
    return { massPerLength: section.massPerLength, width: section.width, depth: section.depth, surfacePerLength: surfaceOf(section), section };
  }
  const { kind: _, ...plates } = make;
  const outcome = attempt(plateGirder, plates);
  if (!outcome.ok) return new Missing(outcome.error);
  const { topFlange, bottomFlange, webDepth, web } = make;
  return {
    massPerLength: outcome.output.massPerLength,
    width: Math.max(topFlange.width, bottomFlange.width),
    depth: webDepth + topFlange.thickness + bottomFlange.thickness,
    surfacePerLength: 2 * webDepth + 2 * (topFlange.width + bottomFlange.width) + 2 * (topFlange.thickness + bottomFlange.thickness) - 2 * web,
    section: null,
  };
}

/** Girth of an open I or a channel; a tube's outside. Fillets are left out. */
function surfaceOf({ family, depth, width, web }: SectionRow): number | null {
  if (family === 'HSS') return 2 * (depth + width);
  if (family === 'L') return null;
  return 2 * depth + 4 * width - 2 * web;
}

export interface MemberWeight {
  /** bare, by section and length; null for a plain weight */
  calculated: number | null;
  /** bare, the one the plan goes by */
  bare: number;
  by: 'calculated' | 'drawing' | 'weighed';
  spread: number;
  /** the heaviest figure anybody gave, bare */
  heaviest: number;
  /** with packing, attachments and the allowance on whatever was not weighed */
  lifted: number;
  cg: number;
  size: MemberSize | null;
  traces: Trace[];
}

/** Weight of one of the pieces of a mark. */
export function memberWeight(member: Member, rules: Rules): MemberWeight | Missing {
  const size = memberSize(member);
  // A section nobody knows can still be weighed.
  const known = size instanceof Missing ? null : size;
  const parts = member.make.kind === 'parts' ? partsWeight(member, member.make) : null;
  // Nobody can say where it balances while a part is not known.
  if (parts instanceof Missing && member.cg === null) return parts;
  const added = parts instanceof Missing ? null : parts;
  const calculated = added ? added.mass : known === null ? null : known.massPerLength * member.length;
  const input = { calculated, drawing: member.stated.drawing, weighed: member.stated.weighed, use: member.use as WeightUse };
  const outcome = attempt(weightTruth, input);
  if (!outcome.ok) return parts instanceof Missing ? parts : size instanceof Missing ? size : new Missing(`${member.mark}: ${outcome.error}`);
  const { mass, by, spread } = outcome.output;
  const dressed = mass + member.packing.mass + member.attachments;
  return {
    calculated,
    bare: mass,
    by,
    spread,
    heaviest: Math.max(...[calculated, member.stated.drawing, member.stated.weighed].filter((one): one is number => one !== null)),
    lifted: by === 'weighed' ? dressed : dressed * (1 + rules.value('weightAllowance')),
    cg: member.cg ?? added?.cg ?? member.length / 2,
    size: known,
    traces: [...(added?.traces ?? []), { calc: weightTruth.id, input, output: outcome.output }],
  };
}
