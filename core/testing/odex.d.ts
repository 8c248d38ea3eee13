/** The part of odex that the tests use: Hairer and Wanner's extrapolation method with its own step control. It ships its source, which is not for our compiler. */
export class Solver {
  constructor(dimension: number);
  absoluteTolerance: number | number[];
  relativeTolerance: number | number[];
  maxSteps: number;
  solve(
    rates: (x: number, y: number[]) => number[],
    from: number,
    at: readonly number[],
    to: number,
  ): { readonly y: number[]; readonly nStep: number; readonly nEval: number };
}
