import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { minus, norm3, type Vec3 } from '../geometry/space';

const spot = () => closed({ x: real('m'), y: real('m'), z: real('m') });

/** Leg lengths with which a piece hangs level: the hook plumb over its balance point. */
export const levelLegs = defineCalc({
  id: 'rigging.levelLegs',
  title: 'Legs that hang a piece level',
  input: closed({ picks: Type.Array(spot(), { minItems: 1, maxItems: 12 }), cg: spot(), hookAboveCg: positive('m') }),
  output: closed({ legs: Type.Array(positive('m')) }),
  source: { basis: 'geometry', text: 'The hook is plumb over the balance point' },
  compute({ picks, cg, hookAboveCg }) {
    const hook: Vec3 = { x: cg.x, y: cg.y, z: cg.z + hookAboveCg };
    const under = picks.findIndex((pick) => !(hook.z > pick.z));
    if (under >= 0) refuse('hookAboveCg', `The hook is no higher than pick ${under + 1}: raise it.`);
    return { legs: picks.map((pick) => norm3(minus(hook, pick))) };
  },
  work: (i, o) =>
    o.legs.map((one, n) => ({
      label: `Leg ${n + 1}`,
      formula: '√(Δx² + Δy² + Δz²)',
      numbers: phrase`hook ${q(i.hookAboveCg, 'length')} over the balance point`,
      result: q(one, 'length'),
    })),
});
