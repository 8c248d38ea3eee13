/** The part of odex that the tests use: Hairer and Wanner's extrapolation method with its own step control. */
declare module 'odex' {
  export class Solver {
    constructor(dimension: number);
    absoluteTolerance: number | number[];
    relativeTolerance: number | number[];
    maxSteps: number;
    denseOutput: boolean;
    solve(
      rates: (x: number, y: number[]) => number[],
      from: number,
      at: readonly number[],
      to: number,
    ): { readonly y: number[]; readonly nStep: number; readonly nEval: number; readonly outcome: number };
  }
}
