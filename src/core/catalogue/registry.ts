import { floatBarge } from '../float/barge.calc';
import { daysMakespan } from '../days/makespan.calc';
import { baseAnchors } from '../frame/base-anchors.calc';
import { crawler } from '../cranes/crawler.calc';
import { handRung } from '../handling/rung.calc';
import { twoPlaces } from '../handling/two-places.calc';
import { liftDrift } from '../lift/drift.calc';
import { liftTail } from '../lift/tail.calc';
import { liftTurn } from '../lift/turn.calc';
import { levelLegs } from '../rigging/level-legs.calc';
import { liftingBeam } from '../rigging/lifting-beam.calc';
import { spreader } from '../rigging/spreader.calc';
import { underBar } from '../rigging/under-bar.calc';
import { threeLegs } from '../rigging/three-legs.calc';
import { guyAndBlock } from '../frame/guy.calc';
import { frameSway } from '../frame/sway.calc';
import { fitClosure } from '../fit/closure.calc';
import { boltGroup } from '../strength/bolt-group.calc';
import { boltTorque } from '../strength/bolt-torque.calc';
import { braceBeam } from '../strength/brace-beam.calc';
import { stageLine } from '../stage/line.calc';
import { launchSweep } from '../launch/sweep.calc';
import { weatherWindows } from '../weather/windows.calc';
import type { Calc } from '../calc/define';
import { twoSupports } from '../beams/two-supports.calc';
import { concreteGate } from '../gates/concrete-gate.calc';
import { releaseBolts } from '../gates/release.calc';
import { sequenceNeeds } from '../gates/sequence.calc';
import { statementCompare } from '../gates/statement.calc';
import { grossLoad } from '../cranes/gross-load.calc';
import { headRoom } from '../cranes/head-room.calc';
import { radiusUnderLoad } from '../cranes/under-load.calc';
import { padPressure } from '../cranes/pad-pressure.calc';
import { groundEdge } from '../cranes/edge.calc';
import { bearingLength } from '../fit/bearing-length.calc';
import { pickMoments } from '../rigging/pick-moments.calc';
import { slingRating } from '../rigging/sling-rating.calc';
import { slingGrip } from '../rigging/grip.calc';
import { hitchRating } from '../rigging/hitch.calc';
import { combined } from '../strength/combined.calc';
import { hangingStrength } from '../strength/hanging-strength.calc';
import { memberLength } from '../fit/member-length.calc';
import { pocketSize } from '../fit/pocket.calc';
import { boltPattern } from '../fit/bolt-pattern.calc';
import { postCut } from '../fit/post-cut.calc';
import { levelAdjust } from '../fit/level-adjust.calc';
import { levelStack } from '../fit/level-stack.calc';
import { spanSum } from '../fit/span-sum.calc';
import { offDrawing } from '../fit/off-drawing.calc';
import { contactPressure } from '../path/contact-pressure.calc';
import { linkLoad } from '../path/link-load.calc';
import { accessOpening } from '../access/opening.calc';
import { accessStairs } from '../access/stairs.calc';
import { accessSwing } from '../access/swing.calc';
import { accessFloor } from '../access/floor.calc';
import { splitSearch } from '../access/split.calc';
import { teamCarry } from '../handling/team.calc';
import { nioshLift } from '../handling/niosh.calc';
import { moveRollers } from '../handling/rollers.calc';
import { boltEn } from '../strength/bolt-en.calc';
import { boltTensionAisc } from '../strength/bolt-tension-aisc.calc';
import { localEn } from '../strength/local-en.calc';
import { pressedArea } from '../strength/pressed.calc';
import { splice } from '../strength/splice.calc';
import { simpleSpan } from '../beams/simple-span.calc';
import { weightTruth } from '../steel/weight-truth.calc';
import { accessCorner } from '../access/corner.calc';
import { beamContinuous } from '../beams/continuous.calc';
import { craneBoom } from '../cranes/boom.calc';
import { craneChart } from '../cranes/chart.calc';
import { craneOutriggers } from '../cranes/outriggers.calc';
import { cranePowerLine } from '../cranes/power-line.calc';
import { powerLineEu } from '../cranes/power-line-eu.calc';
import { oneEndLanded } from '../cranes/one-end.calc';
import { craneTandem } from '../cranes/tandem.calc';
import { craneWindLimit } from '../cranes/wind-limit.calc';
import { fitThermal } from '../fit/thermal.calc';
import { hoistBracket } from '../handling/bracket.calc';
import { moveRamp } from '../handling/ramp.calc';
import { riggingHook } from '../rigging/hook.calc';
import { twoPointPick } from '../rigging/two-point-pick.calc';
import { shoreOverhang } from '../shoring/overhang.calc';
import { steelProp } from '../shoring/steel-prop.calc';
import { timberPost } from '../shoring/timber-post.calc';
import { plateGirder } from '../steel/plate-girder.calc';
import { steelSection } from '../steel/section.calc';
import { steelWeight } from '../steel/weight.calc';
import { boltShearAisc } from '../strength/bolt-shear-aisc.calc';
import { columnAisc } from '../strength/column-aisc.calc';
import { columnEn } from '../strength/column-en.calc';
import { flexureAisc } from '../strength/flexure-aisc.calc';
import { flexureEn } from '../strength/flexure-en.calc';
import { hanging } from '../strength/hanging.calc';
import { localAisc } from '../strength/local-aisc.calc';
import { pairGlobal } from '../strength/pair-global.calc';
import { joistOnShore } from '../shoring/joist-on-shore.calc';
import { needle } from '../shoring/needle.calc';
import { strikeSteps } from '../shoring/strike.calc';
import { strikeThrough } from '../shoring/strike-through.calc';
import { timberScrew } from '../shoring/timber-screw.calc';
import { timberScrewEn } from '../shoring/timber-screw-en.calc';
import { accessSweep } from '../access/sweep.calc';
import { roadTurn } from '../access/road-turn.calc';
import { windForce } from '../strength/wind-force.calc';
import { webClear } from '../fit/web-clear.calc';
import { propOffCentre } from '../shoring/prop-off-centre.calc';
import { takedown } from '../shoring/takedown.calc';
import { timberBeam } from '../shoring/timber-beam.calc';
import { timberPostEn } from '../shoring/timber-post-en.calc';
import { shearAisc } from '../strength/shear-aisc.calc';
import { shearEn } from '../strength/shear-en.calc';
import { webAisc } from '../strength/web-aisc.calc';
import { webEn } from '../strength/web-en.calc';
import { windRollover } from '../strength/wind-rollover.calc';

/** Every calculation a check or a person can name. */
const all: readonly Calc<never, never>[] = [
  steelSection,
  plateGirder,
  steelWeight,
  riggingHook,
  twoPointPick,
  craneChart,
  craneTandem,
  oneEndLanded,
  craneOutriggers,
  craneWindLimit,
  craneBoom,
  cranePowerLine,
  powerLineEu,
  moveRamp,
  hoistBracket,
  shoreOverhang,
  timberPost,
  steelProp,
  flexureAisc,
  localEn,
  pressedArea,
  localAisc,
  columnAisc,
  webAisc,
  columnEn,
  flexureEn,
  webEn,
  hanging,
  pairGlobal,
  windRollover,
  boltShearAisc,
  accessCorner,
  fitThermal,
  bearingLength,
  beamContinuous,
  twoSupports,
  pickMoments,
  slingRating,
  grossLoad,
  headRoom,
  radiusUnderLoad,
  padPressure,
  groundEdge,
  combined,
  hangingStrength,
  statementCompare,
  concreteGate,
  releaseBolts,
  sequenceNeeds,
  memberLength,
  pocketSize,
  boltPattern,
  postCut,
  levelAdjust,
  levelStack,
  spanSum,
  offDrawing,
  contactPressure,
  linkLoad,
  accessOpening,
  accessSwing,
  accessFloor,
  splitSearch,
  teamCarry,
  nioshLift,
  moveRollers,
  boltEn,
  boltTensionAisc,
  splice,
  simpleSpan,
  weightTruth,
  shearAisc,
  shearEn,
  accessStairs,
  timberPostEn,
  timberBeam,
  takedown,
  joistOnShore,
  needle,
  strikeSteps,
  strikeThrough,
  timberScrew,
  timberScrewEn,
  propOffCentre,
  webClear,
  windForce,
  accessSweep,
  roadTurn,
  stageLine,
  launchSweep,
  weatherWindows,
  floatBarge,
  daysMakespan,
  baseAnchors,
  guyAndBlock,
  frameSway,
  boltGroup,
  boltTorque,
  braceBeam,
  fitClosure,
  threeLegs,
  levelLegs,
  spreader,
  hitchRating,
  slingGrip,
  underBar,
  liftingBeam,
  liftTurn,
  liftTail,
  liftDrift,
  crawler,
  twoPlaces,
  handRung,
] as unknown as readonly Calc<never, never>[];

export const registry: ReadonlyMap<string, Calc> = new Map(all.map((calc) => [calc.id, calc as unknown as Calc]));
