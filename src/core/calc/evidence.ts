/** What came out of one calculation inside a check, so that its working can be told later. */
export interface Trace {
  calc: string;
  input: unknown;
  output: unknown;
}
