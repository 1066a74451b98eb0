import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const track = () => closed({ load: nonNegative('N'), pressure: nonNegative('Pa', 'greatest'), bearing: nonNegative('m', 'length in contact') });

/** What two crawler tracks press on the ground with. */
export const crawler = defineCalc({
  id: 'crane.crawler',
  title: 'Ground pressure under crawler tracks',
  input: closed({
    weight: positive('N', 'crane, load and rigging'),
    gauge: positive('m', 'track centre to track centre'),
    trackLength: positive('m', 'in contact'),
    trackWidth: positive('m'),
    momentFront: real('N·m', { description: 'about the middle, pressing the front' }),
    momentLeft: real('N·m', { description: 'about the middle, pressing the left' }),
  }),
  output: closed({ left: track(), right: track() }),
  source: { basis: 'statics', text: 'Rigid tracks; pressure as a trapezoid, as a triangle when part of a track lifts' },
  compute({ weight, gauge, trackLength, trackWidth, momentFront, momentLeft }) {
    const off = Math.abs(momentFront) / weight;
    if (!(off < trackLength / 2)) refuse('momentFront', `The crane tips over the ${momentFront > 0 ? 'front' : 'back'} of its tracks.`);
    const tips = Math.abs(momentLeft) / gauge - weight / 2;
    if (tips > 1e-9 * weight) refuse('momentLeft', `The crane tips over its ${momentLeft > 0 ? 'left' : 'right'} track.`);
    const under = (load: number) => {
      const whole = off <= trackLength / 6;
      const bearing = whole ? trackLength : 3 * (trackLength / 2 - off);
      const pressure = whole ? (load / (trackWidth * trackLength)) * (1 + (6 * off) / trackLength) : (2 * load) / (trackWidth * bearing);
      return { load, pressure, bearing };
    };
    return { left: under(Math.max(0, weight / 2 + momentLeft / gauge)), right: under(Math.max(0, weight / 2 - momentLeft / gauge)) };
  },
  work: (i, o) =>
    (['left', 'right'] as const).flatMap((side) => [
      {
        label: `The ${side} track carries`,
        formula: 'W/2 ± M/g',
        numbers: phrase`${q(i.weight, 'force')} / 2, ${q(i.momentLeft, 'moment')} / ${q(i.gauge, 'length')}`,
        result: q(o[side].load, 'force'),
      },
      {
        label: `It presses the ground with up to`,
        formula: o[side].bearing < i.trackLength ? '2·P/(b·3·(L/2 − e))' : 'P/(b·L)·(1 + 6·e/L)',
        numbers: phrase`over ${q(o[side].bearing, 'length')}`,
        result: q(o[side].pressure, 'pressure'),
      },
    ]),
});
