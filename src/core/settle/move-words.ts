import { allShores, lineOf } from '../document/views';
import { hangsWith, hungWith } from '../document/joined';
import { bearingOf, markLifted, pickOf, pieceOf, standOf, standsOfPick } from '../document/lookups';
import type { Move, MoveKind, Plan } from '../document/schema';
import { dayWords } from '../units/day';
import { strikeGroups } from '../document/strike-groups';
import { workDays } from '../document/work-days';

export const moveKindName: Record<MoveKind, string> = {
  'bearing.ready': 'Bearing ready',
  'crane.set': 'Set the crane',
  'piece.deliver': 'Piece on site',
  'piece.sling': 'Sling',
  'pick.trial': 'Short raise, hold',
  'pick.lift': 'Lift, swing, over',
  'piece.land': 'Land',
  'end.bolt': 'Bolt an end',
  'hook.release': 'Let the hook go',
  'piece.plumb': 'Plumb and level',
  'piece.tighten': 'Tighten, grout',
  'crane.leave': 'Crane leaves',
  'shore.set': 'Shore set',
  'line.open': 'Open the line',
  'member.set': 'Set by hand',
  'shore.strike': 'Strike',
  'support.ready': 'Support ready',
  'support.level': 'Raise or lower',
  'support.strike': 'Strike support',
  'piece.hang': 'Hang in place',
  'piece.letGo': 'Let the hook go',
  'beam.plumb': 'Plumb and level',
  'joint.make': 'Join',
  'joint.free': 'Free a joint',
  'brace.fix': 'Brace',
  'brace.free': 'Take a brace out',
  'load.on': 'Put a load on',
  'load.off': 'Take a load off',
  'launch.build': 'Build on rollers',
  'launch.push': 'Push',
  'launch.stop': 'Side stops on',
  'launch.lower': 'Lower onto its seats',
  'day.end': 'End of the day',
  other: 'Other',
};

/** Name of the opening a shored line stands for. */
const openingOf = (plan: Plan, line: string): string =>
  plan.survey.openings.find((one) => one.id === plan.shoring.lines.find(({ id }) => id === line)?.opening)?.name ?? '';
const namedIn = (list: readonly { id: string; name: string }[], id: string): string => list.find((one) => one.id === id)?.name || id;
const markIn = ({ structure }: Plan, id: string): string => structure.pieces.find((one) => one.id === id)?.mark || id;
const marksIn = (plan: Plan, ids: readonly string[]): string => ids.map((id) => markIn(plan, id)).join(' + ');

export interface MoveWords {
  title: string;
  /** the thing it is done to */
  about: string;
}

/** By what a piece is hung: the cranes of its pick, or what somebody wrote. */
function hungBy(plan: Plan, { pick, by }: Extract<Move, { kind: 'piece.hang' }>): string {
  const lift = pick ? plan.picks.find((one) => one.id === pick) : undefined;
  return lift
    ? standsOfPick(lift)
        .map((id) => standOf(plan, id).name)
        .join(' and ')
    : by || 'by what?';
}

/** A move in the few words that fit on its card. */
export function moveWords(plan: Plan, move: Move): MoveWords {
  const title = moveKindName[move.kind];
  switch (move.kind) {
    case 'bearing.ready':
      return { title: `${bearingOf(plan, move.bearing).name} ready`, about: bearingOf(plan, move.bearing).carriedBy };
    case 'crane.set':
    case 'crane.leave': {
      const stand = standOf(plan, move.stand);
      return { title: move.kind === 'crane.set' ? `Crane to ${stand.name}` : `Crane leaves ${stand.name}`, about: stand.name };
    }
    case 'piece.deliver':
      return { title: `${pieceOf(plan, move.piece).mark} on site`, about: 'on the truck' };
    case 'end.bolt': {
      const piece = pieceOf(plan, move.piece);
      const at = bearingOf(plan, piece.seat[move.end]).name;
      return { title: `Bolt at ${at}`, about: move.bolts === null ? 'how many?' : `${move.bolts} ${move.bolts === 1 ? 'bolt' : 'bolts'}` };
    }
    case 'piece.plumb':
    case 'piece.tighten':
      return { title, about: pieceOf(plan, move.piece).mark };
    case 'shore.set': {
      return {
        title: `Set ${allShores(plan).find((one) => one.id === move.shore)?.name ?? move.shore}`,
        about: 'plumb, braced, tapped in tight',
      };
    }
    case 'line.open':
      return { title: plan.shoring.lines.length > 1 ? `Open ${namedIn(plan.shoring.lines, move.line)}` : title, about: openingOf(plan, move.line) };
    case 'member.set': {
      const opening = plan.survey.openings.find((one) => one.id === move.opening);
      const mark = plan.members.find((one) => one.id === opening?.member)?.mark ?? 'the piece';
      const preload = Math.max(0, ...plan.shoring.lines.filter((line) => line.opening === move.opening).map((line) => line.preload));
      return { title: `Set ${mark}`, about: preload > 0 ? `wedge ${Math.round(preload * 100)} % onto it` : (opening?.name ?? '') };
    }
    case 'shore.strike': {
      const line = lineOf(plan, move.step);
      const groups = line ? strikeGroups(line) : [];
      const n = groups.findIndex((group) => group.steps.some((step) => step.id === move.step));
      return { title: `${title} ${n + 1}${line && plan.shoring.lines.length > 1 ? ` of ${line.name}` : ''}`, about: groups[n]?.name ?? '' };
    }
    case 'support.ready':
    case 'support.level':
    case 'support.strike': {
      const name = namedIn(plan.structure.supports, move.support);
      return {
        title: { 'support.ready': `${name} ready`, 'support.level': `Level ${name}`, 'support.strike': `Strike ${name}` }[move.kind],
        about: move.kind === 'support.level' ? 'to another level' : '',
      };
    }
    case 'piece.hang':
      return { title: `Hang ${marksIn(plan, [move.beam, ...hungWith(plan, move)])} in place`, about: hungBy(plan, move) };
    case 'piece.letGo':
      return {
        title: `${move.keeps > 0 ? 'Ease the hook of' : 'Let go of'} ${marksIn(plan, [move.beam, ...hangsWith(plan, move.beam)])}`,
        about: move.keeps > 0 ? 'part of it kept' : '',
      };
    case 'beam.plumb':
      return { title: `Plumb ${markIn(plan, move.beam)}`, about: move.off === null ? 'not read yet' : 'read' };
    case 'joint.make': {
      const { pins, bolts } = move;
      return {
        title: `Join ${namedIn(plan.structure.joints, move.joint)}`,
        about: `${pins > 0 ? `${pins} pins, ` : ''}${bolts === null ? 'how many bolts?' : `${bolts} bolts`}`,
      };
    }
    case 'joint.free':
      return { title: `Free ${namedIn(plan.structure.joints, move.joint)}`, about: '' };
    case 'load.on':
    case 'load.off': {
      const load = plan.structure.loads.find((one) => one.id === move.load);
      return { title: `${move.kind === 'load.on' ? 'Put on' : 'Take off'} ${load?.what || move.load}`, about: load ? markIn(plan, load.piece) : '' };
    }
    case 'brace.fix':
    case 'brace.free':
      return { title: `${move.kind === 'brace.fix' ? 'Fix' : 'Take out'} ${namedIn(plan.structure.braces, move.brace)}`, about: '' };
    case 'launch.build':
    case 'launch.push':
    case 'launch.stop':
    case 'launch.lower': {
      const name = namedIn(plan.launches ?? [], move.launch);
      const words = { 'launch.build': `Build ${name} on rollers`, 'launch.push': `Push ${name}`, 'launch.stop': title, 'launch.lower': `Lower ${name}` };
      return {
        title: words[move.kind],
        about: move.kind === 'launch.push' ? `to ${Math.round(move.to * 100) / 100} m` : move.kind === 'launch.stop' ? name : '',
      };
    }
    case 'day.end': {
      const day = workDays(plan.moves).find(({ end }) => end?.id === move.id);
      return { title: day ? `End of day ${day.number}` : title, about: move.on === null ? '' : dayWords(move.on) };
    }
    case 'other':
      return { title: move.what || 'Other', about: '' };
    case 'piece.land': {
      const piece = pieceOf(plan, pickOf(plan, move.pick).piece);
      return { title: `Land on ${bearingOf(plan, piece.seat.left).name}, ${bearingOf(plan, piece.seat.right).name}`, about: piece.mark };
    }
    case 'piece.sling':
    case 'pick.trial':
    case 'pick.lift':
    case 'hook.release': {
      const mark = markLifted(plan, pickOf(plan, move.pick));
      return { title: move.kind === 'piece.sling' ? `Sling ${mark}` : title, about: mark };
    }
  }
}
