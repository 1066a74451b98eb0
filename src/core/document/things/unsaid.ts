import { Type } from 'typebox';
import { oneOf } from '../../calc/fields';

/**
 * What a new thing has to be given before anyone has said how big it is or where it stands: figures that only serve to draw it.
 * They are named here until somebody types them; meanwhile fields show them empty and the plan asks for them.
 */
export const unsaidWords = {
  at: 'the place',
  azimuthDeg: 'which way it is turned',
  grade: 'the grade of the steel',
  start: 'the place before the lift',
  section: 'the section',
  level: 'the level',
  length: 'the length',
  width: 'the width',
  height: 'the height',
  mass: 'the weight',
  massPerLength: 'the weight along the length',
  thickness: 'the thickness',
  seatLength: 'the length of the seat',
  seatWidth: 'the width of the seat',
  pitchDeg: 'the pitch',
  slopeDeg: 'the slope',
  friction: 'the friction',
  starting: 'the friction to start moving',
  rolling: 'the friction while rolling',
  reach: 'the reach of the hands',
  travel: 'the height of one lift',
  setback: 'the distance from the line',
  from: 'the place of the first one',
  spacing: 'the spacing',
  pivotBack: 'the foot pin’s distance behind the slew centre',
  pivotHeight: 'the height of its foot pin, or of a level jib',
  boomDepth: 'the depth of its boom or jib',
  boomWidth: 'the width of its boom or jib',
  hookDrop: 'the distance from boom tip or jib to the hook',
  baseLength: 'the size of what it stands on, front to rear',
  baseWidth: 'the size of what it stands on, side to side',
  tailRadius: 'the radius of its tail or counter-jib',
  legs: 'the length of the sling legs',
  left: 'the pick point at the left end',
  right: 'the pick point at the right end',
  boom: 'the length of the boom',
  liftOver: 'the height over the seats',
  make: 'the section',
  count: 'the number of them',
  'make.webDepth': 'the depth of the web',
  'make.web': 'the thickness of the web',
  'make.topFlange.width': 'the width of the top flange',
  'make.topFlange.thickness': 'the thickness of the top flange',
  'make.bottomFlange.width': 'the width of the bottom flange',
  'make.bottomFlange.thickness': 'the thickness of the bottom flange',
  'foot.length': 'the length of the foot',
  'foot.width': 'the width of the foot',
  'header.section': 'the section of the header',
  'header.length': 'the length of the header',
  'post.section': 'the section of the posts',
  'post.height': 'the height of the posts',
  'post.baseLevel': 'the level the post stands at',
  'post.plates': 'the thickness of plates and packs',
  'pad.length': 'the length of the pads',
  'pad.width': 'the width of the pads',
  'arms.left': 'the distance from wall to left prop',
  'arms.right': 'the distance from wall to right prop',
  pivotShare: 'the share held from one end',
  force: 'what it weighs',
  'bundle.force': 'what the whole bundle weighs',
  'bundle.joists': 'on how many joists the bundle lies',
  'bundle.edge': 'how far the edge of the bundle is from the end of the joists',
  'bolt.grade': 'the grade of its bolts',
  'bolt.planes': 'the number of shear planes through one bolt',
} as const;

export type Unsaid = keyof typeof unsaidWords;
const keys = Object.keys(unsaidWords) as Unsaid[];

/** Field of a thing that can be made before its figures are known. */
export const unsaid = () =>
  Type.Optional(Type.Array(oneOf(keys), { maxItems: keys.length, description: 'fields nobody has filled yet: what stands there only serves to draw it' }));

export interface MayBeUnsaid {
  unsaid?: Unsaid[];
}

/** The figure a field shows: none while nobody has said it. */
export const saidOf = <V>(thing: MayBeUnsaid, key: Unsaid, value: V): V | null => (thing.unsaid?.includes(key) ? null : value);

/** For an edit of a part of a field: what stays unsaid once this one is said. */
export const nowSaid = (thing: MayBeUnsaid, ...said: Unsaid[]): MayBeUnsaid =>
  thing.unsaid === undefined ? {} : { unsaid: thing.unsaid.filter((key) => !said.includes(key)) };

/** Changes a thing; a field that is changed whole is said by that. */
export function change(one: object, changes: object): void {
  const thing: MayBeUnsaid = Object.assign(one, changes);
  if (thing.unsaid !== undefined && !('unsaid' in changes)) thing.unsaid = thing.unsaid.filter((key) => !(key in changes));
  if (thing.unsaid?.length === 0) delete thing.unsaid;
}
