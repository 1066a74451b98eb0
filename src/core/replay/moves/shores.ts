import type { Plan } from '../../document/schema';
import { allStrikeGroups, strikeGroups } from '../../document/strike-groups';
import { allShores, lineOf } from '../../document/views';
import { before } from '../now';
import { onBearings, type MovesOf } from './contract';

const shoreName = (plan: Plan, id: string): string => allShores(plan).find((one) => one.id === id)?.name ?? id;

/** What is shored, opened, set by hand under its shores, and struck. */
export const shoringMoves: MovesOf<'shore.set' | 'line.open' | 'member.set' | 'shore.strike'> = {
  'shore.set': {
    ...onBearings,
    needs: (plan, move, now) => {
      // Setting tightens it. What stands under it is tightened before: an upper wall tapped in first lifts the floor off nothing.
      const { storeys, walls } = lineOf(plan, move.shore) ?? { storeys: [], walls: [] };
      const wall = walls.find((one) => one.id === move.shore);
      const level = storeys.findIndex((one) => one.id === wall?.storey);
      const below = level > 0 ? walls.filter((one) => one.storey === storeys[level - 1]!.id && one.side === wall?.side) : [];
      return [
        // What was struck is not put up again: the strike of it has been worked out.
        ...before(now.shoresSet[move.shore], `${shoreName(plan, move.shore)} is not set yet`),
        ...below.map((one) => ({
          what: `${one.name} under it is set and tightened`,
          done: now.shoresSet[one.id] ?? false,
          by: [{ kind: 'shore.set' as const, shore: one.id }],
        })),
      ];
    },
    after: (_, move, now) => ({ ...now, shoresSet: { ...now.shoresSet, [move.shore]: true } }),
  },
  'line.open': {
    ...onBearings,
    needs: (plan, move, now) => {
      const line = plan.shoring.lines.find((one) => one.id === move.line);
      return [
        ...before(now.linesOpen[move.line], 'the line is not open yet'),
        ...[...(line?.walls ?? []), ...(line?.rows ?? [])].map((shore) => ({
          what: `${shore.name} stands`,
          done: now.shoresSet[shore.id] ?? false,
          by: [{ kind: 'shore.set' as const, shore: shore.id }],
        })),
      ];
    },
    after: (_, move, now) => ({ ...now, linesOpen: { ...now.linesOpen, [move.line]: true } }),
  },
  'member.set': {
    ...onBearings,
    needs: (plan, move, now) => {
      const opening = plan.survey.openings.find((one) => one.id === move.opening);
      const seats = [opening?.left, opening?.right].map((id) => plan.bearings.find((one) => one.id === id)).filter((one) => one !== undefined);
      const open = plan.shoring.lines.flatMap((line) =>
        line.opening === move.opening
          ? [{ what: 'the line is open', done: now.linesOpen[line.id] ?? false, by: [{ kind: 'line.open' as const, line: line.id }] }]
          : [],
      );
      return [
        ...before(now.membersSet[move.opening], `the new piece over ${opening?.name ?? move.opening} is not in yet`),
        ...open,
        ...seats.map((seat) => ({
          what: `${seat.name} is ready`,
          done: now.bearingsReady[seat.id] ?? false,
          by: [{ kind: 'bearing.ready' as const, bearing: seat.id }],
        })),
      ];
    },
    after: (_, move, now) => ({ ...now, membersSet: { ...now.membersSet, [move.opening]: true } }),
  },
  'shore.strike': {
    ...onBearings,
    needs: (plan, move, now) => {
      const line = lineOf(plan, move.step);
      const groups = line ? strikeGroups(line) : [];
      const n = groups.findIndex((group) => group.id === move.step || group.steps.some((step) => step.id === move.step));
      const over = line?.opening ?? null;
      const own = groups[n];
      return [
        ...before(own !== undefined && now.struck[own.id], `${own?.name ?? 'it'} is not struck yet`),
        ...(over === null ? [] : [{ what: 'the new piece is in', done: now.membersSet[over] ?? false, by: [{ kind: 'member.set' as const, opening: over }] }]),
        ...groups
          .slice(Math.max(0, n - 1), n)
          .map((group) => ({ what: `${group.name} is struck`, done: now.struck[group.id] ?? false, by: [{ kind: 'shore.strike' as const, step: group.id }] })),
      ];
    },
    after: (plan, move, now) => {
      const group = allStrikeGroups(plan).find((one) => one.steps.some((step) => step.id === move.step));
      return group ? { ...now, struck: { ...now.struck, [group.id]: true } } : now;
    },
  },
};
