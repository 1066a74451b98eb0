import type { LineJoint, LinePiece, LineSupport } from '../src/core/stage/line';

export interface CalculixCase {
  name: string;
  pieces: LinePiece[];
  supports: LineSupport[];
  joints: LineJoint[];
}

const piece = (id: string, from: number, to: number, load: number, stiffness: number, loads: LinePiece['loads'] = []): LinePiece => ({
  id,
  from,
  to,
  stretches: [{ to, stiffness, load }],
  loads,
});
const seat = (id: string, x: number, more: Partial<LineSupport> = {}): LineSupport => ({ id, x, level: 0, spring: null, tie: false, ...more });

/** Lines solved by CalculiX too: joined straight and with an angle, hinged, on seats at other levels and on seats that do not touch. */
export const calculixCases: CalculixCase[] = [
  {
    name: 'three-spans',
    pieces: [piece('a', 0, 24, 11000, 3e9), piece('b', 24, 52, 12000, 3.4e9)],
    supports: [seat('A', 0.5), seat('T', 22), seat('B', 30, { level: 0.004 }), seat('C', 51.5)],
    joints: [{ x: 24, angle: 0 }],
  },
  {
    name: 'joined-at-an-angle',
    pieces: [piece('a', 0, 20, 7000, 8e8), piece('b', 20, 40, 9000, 6e8, [{ x: 31, force: 40000 }])],
    supports: [seat('A', 0.4), seat('T', 18), seat('B', 39)],
    joints: [{ x: 20, angle: -0.004 }],
  },
  {
    name: 'hinged',
    pieces: [piece('a', 0, 14, 6000, 5e8), piece('b', 14, 22, 5000, 4e8), piece('c', 22, 40, 8000, 7e8)],
    supports: [seat('A', 0.3), seat('B', 11, { level: 0.003 }), seat('C', 26, { level: -0.006 }), seat('D', 39.5)],
    joints: [
      { x: 14, angle: null },
      { x: 22, angle: null },
    ],
  },
  {
    name: 'lifted-off',
    pieces: [piece('a', 0, 30, 4000, 2e9), piece('b', 30, 42, 15000, 1.2e9)],
    supports: [seat('A', 0.2), seat('T', 8, { level: -0.03 }), seat('B', 27), seat('H', 29.5, { level: 0.01 }), seat('C', 41)],
    joints: [{ x: 30, angle: 0 }],
  },
];
