import { stageLine } from '../../stage/line.calc';
import { phrase } from '../../calc/work';
import { flatStop, missingCheck, told } from '../../verdict/build';
import { hangsWith } from '../../document/joined';
import type { Brace, Joint, Move } from '../../document/schema';
import type { Ground } from './ground';
import { pointAt } from '../../document/place';
import { windThen } from '../../settle/wind';
import { frameRows, sayRows } from './frame-checks';
import { frameForces, toldAnew } from './frame-forces';
import type { Line } from './forces';
import { diagonalOf } from './diagonal';
import { isPortal, isStiffBent } from './frame-model';
import { hoodsOf, type Hood } from '../../replay/hoods';
import { holdsNothing } from './at-foot';
import { about, place } from './places';
import { keep, sameThings } from '../../document/keep';
import { beamAt, braceAt, isMade, jointAt, type StructureMoment } from '../../replay/moment';
import type { Said } from './worst';

/** So many columns may stand by their anchors before the first bay has to be braced both ways. */
const FIRST_BAY = 4;
/** A brace that rises less than one in four holds nothing up against sway. */
const RISES = 0.25;

/** Which way a brace holds, seen from above, a rope only against what would stretch it; null: nobody says. */
type Way = { x: number; y: number; pullsOnly: boolean } | null;

/** Of what a brace holds, so much has to be along the way that is asked about: it lies no more than 60° from it. */
const ALONG = 0.5;

/** Pieces joined to each other, with their columns, a beam to look along, and what braces them. */
interface Group {
  members: string[];
  columns: string[];
  beam: string | null;
  ways: Way[];
  /** the same thing while it is of the same pieces with the same surroundings, done to it in the same order */
  token: object;
  /** the same as far as it leans by that */
  leans: object;
}

/** What a thing becomes by what is done to it: the same for the same thing and the same deeds. */
const next = new WeakMap<object, { by: readonly unknown[]; then: object }[]>();
function after(token: object, ...by: unknown[]): object {
  let known = next.get(token);
  if (!known) next.set(token, (known = []));
  let found = known.find((one) => sameThings(one.by, by));
  if (!found) {
    found = { by, then: {} };
    known.push(found);
    // Of those that came of it by earlier edits only the last are kept.
    if (known.length > 8) known.shift();
  }
  return found.then;
}
const NOTHING: object = {};

/** Frames of columns and beams, and what holds each sideways, kept as the moves go. */
export class Sway {
  private readonly groups = new Map<string, Group>();
  private readonly braces: Map<string, Brace>;
  private readonly joints: Map<string, Joint>;
  /** braces that are in, by the piece they are fixed to, before that piece is set */
  private readonly waiting = new Map<string, Way[]>();

  private readonly hoods: ReadonlyMap<string, Hood>;
  /** pieces joined since their frame was judged */
  private readonly unjudged = new Set<string>();
  private history = NOTHING;
  private start = { token: NOTHING, leans: NOTHING };

  constructor(private readonly ground: Ground) {
    const { structure } = ground.context.plan;
    this.braces = new Map(structure.braces.map((one) => [one.id, one]));
    this.joints = new Map(structure.joints.map((one) => [one.id, one]));
    this.hoods = hoodsOf(ground.context.plan);
  }

  after(move: Move, moment: StructureMoment, lines: readonly Line[]): void {
    this.history = after(this.history, move);
    this.group(move, moment);
    for (const line of lines)
      for (const group of this.of(line.beams)) {
        group.token = after(group.token, line);
        group.leans = after(group.leans, line.token);
      }
    for (const group of this.of(this.touched(move))) {
      group.token = after(group.token, move);
      group.leans = after(group.leans, move);
    }
  }

  private of(pieces: readonly string[]): Set<Group> {
    const found = new Set<Group>();
    for (const id of pieces) {
      const group = this.groups.get(id);
      if (group) found.add(group);
    }
    return found;
  }

  private group(move: Move, moment: StructureMoment): void {
    switch (move.kind) {
      case 'piece.letGo':
        for (const id of this.along(move.beam)) if (beamAt(moment, id).where === 'set') this.add(id, moment);
        return;
      case 'joint.make': {
        const joint = this.joints.get(move.joint)!;
        if (isMade(jointAt(moment, joint.id))) this.join(joint.a.piece, joint.b.piece);
        return;
      }
      case 'brace.fix': {
        const brace = this.braces.get(move.brace)!;
        const way = this.wayOf(brace);
        if (way === undefined) return;
        const group = this.groups.get(brace.a.piece);
        if (group) group.ways.push(way);
        else this.waiting.set(brace.a.piece, [...(this.waiting.get(brace.a.piece) ?? []), way]);
        return;
      }
      case 'joint.free':
      case 'brace.free':
      case 'piece.hang':
        // What falls apart is put together again from what is left.
        if (move.kind === 'piece.hang' && !this.along(move.beam).some((id) => this.groups.has(id))) return;
        return this.anew(moment);
      default:
    }
  }

  /** A piece and what hangs with it. */
  private along(beam: string): string[] {
    return [beam, ...hangsWith(this.ground.context.plan, beam)];
  }

  private anew(moment: StructureMoment): void {
    // What stands so stands by all that was done before.
    const hoods = [...this.hoods.values()];
    this.start = { token: after(this.history, ...hoods), leans: after(this.history, ...hoods.map(({ leans }) => leans)) };
    this.groups.clear();
    this.waiting.clear();
    for (const brace of this.braces.values()) {
      const way = braceAt(moment, brace.id) ? this.wayOf(brace) : undefined;
      if (way !== undefined) this.waiting.set(brace.a.piece, [...(this.waiting.get(brace.a.piece) ?? []), way]);
    }
    for (const id of this.ground.beams.keys()) if (beamAt(moment, id).where === 'set') this.add(id, moment);
  }

  private add(id: string, moment: StructureMoment): void {
    if (this.groups.has(id)) return;
    const stands = this.ground.beams.get(id)?.place;
    this.groups.set(id, {
      members: [id],
      columns: stands?.upright ? [id] : [],
      beam: stands && !stands.upright ? id : null,
      ways: this.waiting.get(id) ?? [],
      token: after(this.hoods.get(id)!, this.start.token),
      leans: after(this.hoods.get(id)!.leans, this.start.leans),
    });
    this.waiting.delete(id);
    for (const { joint, other } of this.ground.by.joints.get(id) ?? []) if (isMade(jointAt(moment, joint.id))) this.join(id, other);
  }

  private join(one: string, other: string): void {
    const [a, b] = [this.groups.get(one), this.groups.get(other)];
    if (!a || !b || a === b) return;
    const [large, small] = a.members.length >= b.members.length ? [a, b] : [b, a];
    for (const id of small.members) this.groups.set(id, large);
    large.members.push(...small.members);
    large.columns.push(...small.columns);
    large.ways.push(...small.ways);
    large.beam ??= small.beam;
    large.token = after(large.token, small.token);
    large.leans = after(large.leans, small.leans);
  }

  /** Undefined where a brace holds nothing sideways. */
  private wayOf(brace: Brace): Way | undefined {
    const { beams } = this.ground;
    if (brace.stops === 'twist' || holdsNothing(this.ground, brace)) return undefined;
    const from = beams.get(brace.a.piece)?.place;
    if (!brace.b) {
      const turn = brace.towardsDeg === null ? null : (brace.towardsDeg * Math.PI) / 180;
      return turn === null ? null : { x: Math.cos(turn), y: Math.sin(turn), pullsOnly: brace.kind === 'guy' };
    }
    const to = beams.get(brace.b.piece)?.place;
    if (!from || !to) return undefined;
    const [a, b] = [pointAt(from, brace.a.at), pointAt(to, brace.b.at)];
    const flat = Math.hypot(b.x - a.x, b.y - a.y);
    return flat > 0 && Math.abs(b.z - a.z) / flat > RISES ? { x: (b.x - a.x) / flat, y: (b.y - a.y) / flat, pullsOnly: brace.kind === 'guy' } : undefined;
  }

  /** A frame that nothing holds sideways one way or the other. */
  check(start: string, move: string | null, moment: StructureMoment, atEnd: boolean, said: Said): void {
    const group = this.groups.get(start);
    if (!group || group.columns.length < 2 || group.beam === null || (!atEnd && group.columns.length <= FIRST_BAY)) return;
    const { beams } = this.ground;
    const { beam, place: lies } = beams.get(group.beam)!;
    const { along } = lies!;
    // A beam that keeps its angle to a column holds it along itself, both ways.
    const portals = group.members.flatMap((id): Way[] => {
      const line = this.ground.latest.get(id);
      return line && (isPortal(this.ground, line, moment) || isStiffBent(this.ground, line, moment))
        ? [{ ...beams.get(id)!.place!.along, pullsOnly: false }]
        : [];
    });
    // So does an inclined piece: it pulls its upper end towards its lower one.
    const diagonals = group.members.flatMap((id): Way[] => {
      const found = diagonalOf(this.ground, id, moment);
      if (!found) return [];
      const { along: runs, from, to } = found.place;
      const sign = to.z > from.z ? -1 : 1;
      return [{ x: sign * runs.x, y: sign * runs.y, pullsOnly: found.pullsOnly }];
    });
    const ways = [...group.ways, ...portals, ...diagonals];
    for (const [part, way, words] of [
      ['along', along, `along ${beam.mark}`],
      ['across', { x: -along.y, y: along.x }, `square to ${beam.mark}`],
    ] as const) {
      const holds = ways.flatMap((one) => {
        const part = one ? one.x * way.x + one.y * way.y : 0;
        if (!one || Math.abs(part) < ALONG) return [];
        return one.pullsOnly ? [Math.sign(part)] : [1, -1];
      });
      if (holds.includes(1) && holds.includes(-1)) continue;
      const names = group.columns
        .map((id) => beams.get(id)!.beam.mark)
        .slice(0, 8)
        .join(', ');
      const head = beams.get([...group.columns].sort()[0]!)!.beam;
      const where = place(
        'frame.sideways',
        about('beam', head, names, part),
        move,
        stageLine.id,
        'Statics: every level is held both ways; 29 CFR 1926.754(a), structural stability at all times',
      );
      if (group.ways.includes(null))
        said.put(missingCheck(where, 'angle', `Which way do the guys and braces of ${names} pull, seen from above? Something has to hold them ${words}.`));
      else
        said.put(
          flatStop(
            where,
            'count',
            told(
              holds.length === 0
                ? phrase`Nothing holds ${names} sideways, ${words}: brace the bay, guy it both ways or fill joints that hold a moment before more steel is hung on it.`
                : phrase`What holds ${names} sideways, ${words}, are guys that all pull to one side, and a rope does not push: guy it to the other side too, or brace the bay, before more steel is hung on it.`,
            ),
            [],
          ),
        );
    }
  }

  /** What wind and lean bring into the frames a move touched, as they stand after it. */
  push(move: Move, moment: StructureMoment, said: Said): void {
    // A joint between pieces that stand already only adds to what holds them, but for one that brings a moment: it is judged with what
    // comes next, or at the end.
    if (move.kind === 'load.off' || (move.kind === 'joint.make' && this.joints.get(move.joint)!.moment === null))
      for (const id of this.touched(move)) this.unjudged.add(id);
    else this.judge(this.touched(move), move, moment, said);
  }

  /** What was joined since it was last judged, as it stands when all is done. */
  end(move: Move, moment: StructureMoment, said: Said): void {
    this.judge([...this.unjudged], move, moment, said);
  }

  private judge(pieces: readonly string[], move: Move, moment: StructureMoment, said: Said): void {
    const { ground } = this;
    const { plan, rules } = ground.context;
    ground.wind = windThen(plan, ground.nights.inShift.has(move));
    for (const group of this.of(pieces)) {
      if (this.unjudged.size > 0) for (const id of group.members) this.unjudged.delete(id);
      if (group.columns.length === 0) continue;
      const parts = { members: [...group.members].sort(), columns: [...group.columns].sort(), beam: group.beam };
      const winds = [rules, plan.site.standingGust ?? null, plan.site.forecastGust, ground.wind.forShift];
      const rows = keep(`frame ${parts.members[0]!}`, move, [group.token, ...winds], () => {
        const forces = keep(`frame forces ${parts.members[0]!}`, move, [group.leans, rules, ground.wind.gust], () => frameForces(ground, parts, moment));
        return frameRows(ground, parts, toldAnew(forces, ground), moment, move.id);
      });
      sayRows(rows, move.id, said);
    }
  }

  private touched(move: Move): string[] {
    const { by } = this.ground;
    switch (move.kind) {
      case 'piece.letGo':
        return this.along(move.beam).flatMap((id) => [id, ...(by.joints.get(id) ?? []).map(({ other }) => other)]);
      case 'joint.make':
      case 'joint.free': {
        const { a, b } = this.joints.get(move.joint)!;
        return [a.piece, b.piece];
      }
      case 'brace.fix':
      case 'brace.free': {
        const { a, b } = this.braces.get(move.brace)!;
        return b ? [a.piece, b.piece] : [a.piece];
      }
      case 'load.on':
      case 'load.off':
        return this.ground.context.plan.structure.loads.filter(({ id }) => id === move.load).map(({ piece }) => piece);
      case 'support.strike':
        return this.ground.context.plan.structure.supports.filter(({ id }) => id === move.support).flatMap(({ seats }) => seats.map(({ piece }) => piece));
      case 'day.end':
        return [...(this.ground.nights.touched.get(move) ?? [])];
      default:
        return [];
    }
  }

  /** Each frame once. */
  heads(): string[] {
    return [...new Set(this.groups.values())].flatMap(({ columns }) => columns.slice(0, 1));
  }
}
