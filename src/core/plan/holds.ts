import type { HoldId } from './hold-ids';

/** A hold point: work below it does not begin until a named person has recorded a pass with its evidence and time. */
export interface Hold {
  id: HoldId;
  title: string;
  /** what the person is asked to put down */
  evidence: string;
  signs: string;
}

export const holds: readonly Hold[] = [
  { id: 'HP0', title: 'Method and member chosen', evidence: 'the method, and why the others were not taken', signs: 'owner, engineer, erector' },
  { id: 'HP1', title: 'Design issued', evidence: 'drawing numbers and revision', signs: 'engineer' },
  { id: 'HP2', title: 'Permit held', evidence: 'permit number', signs: 'inspector' },
  { id: 'HP3', title: 'Way in and clashes checked', evidence: 'longest piece against each turn, opening and gap', signs: 'erector, fabricator' },
  { id: 'HP4', title: 'Shop drawings signed', evidence: 'drawing numbers and revision', signs: 'fabricator' },
  { id: 'HP5', title: 'Site measured after the last strip-out', evidence: 'date of strip-out, date of measure, who measured', signs: 'fabricator' },
  { id: 'HP6', title: 'Trial fit or works inspection passed', evidence: 'what was fitted or inspected, and the result', signs: 'inspector' },
];
