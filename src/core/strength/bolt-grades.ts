import { boltGrades } from './bolt-en.calc';

/** Grades a bolt of a joint may be of: metric property classes and the American grades. */
export const jointBoltGrades = [...boltGrades, 'A307', 'A325', 'A490'] as const;
export type JointBoltGrade = (typeof jointBoltGrades)[number];
export type MetricGrade = (typeof boltGrades)[number];

const A307 = { shear: 186e6, tension: 310e6 } as const;
const A325 = { shear: 372e6, tension: 620e6 } as const;
const A490 = { shear: 469e6, tension: 779e6 } as const;

/** Nominal stresses, threads in the shear plane (AISC 360 Table J3.2, from memory); of a metric class those of the American grade that stands nearest. */
export const nominalStress: Readonly<Record<JointBoltGrade, { shear: number; tension: number }>> = {
  '4.6': A307,
  '5.6': A307,
  '8.8': A325,
  '10.9': A490,
  A307,
  A325,
  A490,
};

export const isMetric = (grade: JointBoltGrade): grade is MetricGrade => (boltGrades as readonly string[]).includes(grade);
