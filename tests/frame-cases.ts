/** A frame pushed along x, as `frame.sway` takes it and as CalculiX is given it. */
export interface FrameCase {
  name: string;
  columns: { id: string; x: number; stiffness: number; canStand: boolean; nodes: { z: number; down: number; push: number }[] }[];
  /** node against node, stiffness along itself */
  ties: { id: string; a: [number, number]; b: [number, number]; stiffness: number }[];
  /** from a node to what does not move, upwards or downwards from the horizontal */
  /** level beams stiffly joined to the columns at both ends, and what lies on each metre of them [N/m] */
  rails?: { id: string; a: [number, number]; b: [number, number]; stiffness: number; load: number }[];
  /** pieces between two columns, bent at places so far from the first and so high above it; what lies on each metre seen from above */
  rafters?: { id: string; a: [number, number]; b: [number, number]; bends: { x: number; z: number }[]; stiffness: number; load: number }[];
  braces: { id: string; a: [number, number]; slopeDeg: number; towards: 1 | -1; stiffness: number; pullsOnly: boolean }[];
}

export const frameCases: FrameCase[] = [
  {
    name: 'cantilever',
    columns: [{ id: 'C1', x: 0, stiffness: 6e6, canStand: true, nodes: [{ z: 6, down: 100e3, push: 2e3 }] }],
    ties: [],
    braces: [],
  },
  {
    name: 'cantilever-in-storeys',
    columns: [
      {
        id: 'C1',
        x: 0,
        stiffness: 9e6,
        canStand: true,
        nodes: [
          { z: 2.5, down: 80e3, push: 1e3 },
          { z: 5.5, down: 60e3, push: 1.5e3 },
          { z: 8, down: 20e3, push: 0.5e3 },
        ],
      },
    ],
    ties: [],
    braces: [],
  },
  {
    name: 'leaning-on-a-guyed-one',
    columns: [
      {
        id: 'C1',
        x: 0,
        stiffness: 5e6,
        canStand: false,
        nodes: [
          { z: 4, down: 30e3, push: 3e3 },
          { z: 8, down: 90e3, push: 1e3 },
        ],
      },
      {
        id: 'C2',
        x: 7,
        stiffness: 8e6,
        canStand: false,
        nodes: [
          { z: 4, down: 0, push: 0 },
          { z: 8, down: 120e3, push: 2e3 },
        ],
      },
    ],
    ties: [{ id: 'B', a: [0, 1], b: [1, 1], stiffness: 4e6 }],
    braces: [{ id: 'G', a: [1, 1], slopeDeg: -45, towards: -1, stiffness: 900e3, pullsOnly: true }],
  },
  {
    name: 'held-at-half-height',
    columns: [
      {
        id: 'C1',
        x: 0,
        stiffness: 7e6,
        canStand: false,
        nodes: [
          { z: 4.5, down: 10e3, push: 0 },
          { z: 8, down: 60e3, push: 2.5e3 },
        ],
      },
    ],
    ties: [],
    braces: [{ id: 'S', a: [0, 0], slopeDeg: -30, towards: 1, stiffness: 6e6, pullsOnly: false }],
  },
  {
    name: 'portal-on-pins',
    columns: [
      { id: 'C1', x: 0, stiffness: 9e6, canStand: false, nodes: [{ z: 5, down: 60e3, push: 6e3 }] },
      { id: 'C2', x: 8, stiffness: 6e6, canStand: false, nodes: [{ z: 5, down: 90e3, push: 2e3 }] },
    ],
    ties: [],
    rails: [{ id: 'R', a: [0, 0], b: [1, 0], stiffness: 14e6, load: 3e3 }],
    braces: [],
  },
  {
    name: 'two-bays-one-higher',
    columns: [
      {
        id: 'C1',
        x: 0,
        stiffness: 8e6,
        canStand: false,
        nodes: [
          { z: 4, down: 40e3, push: 3e3 },
          { z: 7, down: 30e3, push: 2e3 },
        ],
      },
      {
        id: 'C2',
        x: 6,
        stiffness: 9e6,
        canStand: false,
        nodes: [
          { z: 4, down: 70e3, push: 0 },
          { z: 7, down: 30e3, push: 0 },
        ],
      },
      { id: 'C3', x: 13, stiffness: 7e6, canStand: false, nodes: [{ z: 4, down: 50e3, push: 1e3 }] },
    ],
    ties: [],
    rails: [
      { id: 'R1', a: [0, 0], b: [1, 0], stiffness: 12e6, load: 4e3 },
      { id: 'R2', a: [1, 0], b: [2, 0], stiffness: 15e6, load: 2e3 },
      { id: 'R3', a: [0, 1], b: [1, 1], stiffness: 10e6, load: 1e3 },
    ],
    braces: [],
  },
  {
    name: 'gable-on-pins',
    columns: [
      { id: 'C1', x: 0, stiffness: 16e6, canStand: false, nodes: [{ z: 5, down: 5e3, push: 4e3 }] },
      { id: 'C2', x: 16, stiffness: 22e6, canStand: false, nodes: [{ z: 5, down: 8e3, push: 1e3 }] },
    ],
    ties: [],
    rafters: [{ id: 'R', a: [0, 0], b: [1, 0], bends: [{ x: 8, z: 2.2 }], stiffness: 18e6, load: 1.5e3 }],
    braces: [],
  },
  {
    name: 'bent-thrice-lopsided',
    columns: [
      { id: 'C1', x: 0, stiffness: 9e6, canStand: false, nodes: [{ z: 4, down: 3e3, push: 2e3 }] },
      { id: 'C2', x: 12, stiffness: 7e6, canStand: false, nodes: [{ z: 4, down: 9e3, push: 0 }] },
    ],
    ties: [],
    rafters: [
      {
        id: 'R',
        a: [0, 0],
        b: [1, 0],
        bends: [
          { x: 2, z: 2 },
          { x: 7, z: 3 },
          { x: 10, z: 1.5 },
        ],
        stiffness: 12e6,
        load: 2e3,
      },
    ],
    braces: [],
  },
];

/** Loads of a rail in the deck: so many equal ones at equal distances, and half at each end. */
export const RAIL_PARTS = 12;
