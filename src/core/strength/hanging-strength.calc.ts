import { Type } from 'typebox';
import { closed, oneOf, partialFactor, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';
import { reduction } from './curves-en';

/** What may be used of the critical moment of a hanging piece: M_cr/Ω, or χ_LT·W_pl·f_y/γ_M1 with λ̄ from M_cr. */
export const hangingStrength = defineCalc({
  id: 'member.hangingStrength',
  title: 'Usable moment of a hanging piece',
  input: closed({
    critical: positive('N·m'),
    rule: oneOf(['aisc', 'en']),
    safety: Type.Number({ unit: '1', minimum: 1, maximum: 10 }),
    plastic: positive('N·m', 'W_pl·f_y or Z·F_y'),
    curve: oneOf(['a', 'b', 'c', 'd']),
    gammaM1: partialFactor(),
  }),
  output: closed({ usable: positive('N·m') }),
  source: { basis: 'practice', text: 'Critical moment over Ω, not above the plastic moment over Ω; or EN 1993-1-1 6.3.2.2 with that critical moment' },
  compute(i) {
    if (i.rule === 'aisc') return { usable: Math.min(i.critical, i.plastic) / i.safety };
    return { usable: (reduction(Math.sqrt(i.plastic / i.critical), i.curve) * i.plastic) / i.gammaM1 };
  },
  work: (i, o) => [{ label: 'Usable moment', formula: i.rule === 'aisc' ? `min(M_cr, M_p)/${i.safety}` : 'χ_LT·M_pl/γ_M1', result: q(o.usable, 'moment') }],
});
