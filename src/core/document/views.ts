import type { Plan, ShoredLine, WayIn } from './schema';

/** The plan as one of its shored lines sees it: `shoring` is that line, with the bents and the stock all lines share. */
export type LinePlan<P extends Plan = Plan> = P & { shoring: ShoredLine };
/** The plan as one of its ways in sees it. */
export type WayPlan<P extends Plan = Plan> = P & { wayIn: WayIn };

export const viewOfLine = <P extends Plan>(plan: P, line: ShoredLine): LinePlan<P> => ({
  ...plan,
  shoring: { ...plan.shoring, ...line },
});
/** Every shored line of the plan. */
export const lineViews = <P extends Plan>(plan: P): LinePlan<P>[] => plan.shoring.lines.map((line) => viewOfLine(plan, line));

export const viewOfWay = <P extends Plan>(plan: P, way: WayIn): WayPlan<P> => ({ ...plan, wayIn: way });
/** Every way in of the plan. */
export const wayViews = <P extends Plan>(plan: P): WayPlan<P>[] => plan.ways.map((way) => viewOfWay(plan, way));

export const allWalls = ({ shoring }: Plan) => shoring.lines.flatMap((line) => line.walls);
export const allRows = ({ shoring }: Plan) => shoring.lines.flatMap((line) => line.rows);
/** Temporary walls and rows of props of every line. */
export const lineShores = (plan: Plan) => plan.shoring.lines.flatMap((line) => [...line.walls, ...line.rows]);
/** Whatever stands for a time only and is written under Shores: walls, rows and bents. */
export const allShores = (plan: Plan) => [...lineShores(plan), ...plan.shoring.bents];

/** The shored line a thing of it belongs to, by the ids of both. */
export const lineOf = (plan: Plan, thing: string): ShoredLine | undefined =>
  plan.shoring.lines.find(
    (line) =>
      line.id === thing ||
      line.opening === thing ||
      [line.storeys, line.walls, line.rows, line.strike, line.watch].some((list) => list.some((one) => one.id === thing)),
  );
export const wayOf = (plan: Plan, thing: string): WayIn | undefined => plan.ways.find((way) => way.id === thing || way.legs.some((leg) => leg.id === thing));
/** The way a mark of the piece list is brought in; that it is on two is told by a check. */
export const wayOfMember = (plan: Plan, member: string): WayIn | undefined => plan.ways.find((way) => way.member === member);
