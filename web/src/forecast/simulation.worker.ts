import { simulate, type Scenario, type Simulated } from '@brine/core/simulation';

/** What a page asks: a run, by a number of its own. */
export interface RunRequest {
  readonly id: number;
  readonly scenario: Scenario;
  readonly sampleEvery: number;
}

/** What comes back: how far it is, then the run. */
export type RunAnswer =
  { readonly id: number; readonly share: number } | { readonly id: number; readonly result: Simulated };

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<RunRequest>) => void) | null;
  postMessage(answer: RunAnswer): void;
};

scope.onmessage = ({ data: { id, scenario, sampleEvery } }) => {
  const result = simulate(scenario, {
    sampleEvery,
    progress: (share) => {
      scope.postMessage({ id, share });
      return true;
    },
  });
  if (result) scope.postMessage({ id, result });
};
