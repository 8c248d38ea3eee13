import { remedyFor } from '@brine/core/advice';
import { isFileProblem } from '@brine/core/files';
import { gapSentence, logGaps, readLog, replay, simulate } from '@brine/core/simulation';
import { advise, simulatedFindings, tryVariant } from '@brine/core/tuning';
import { findingKey, type CoreAnswer, type CoreJobs, type CoreRequest } from './coreJobs.ts';

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<{ readonly id: number; readonly request: CoreRequest }>) => void) | null;
  postMessage(answer: CoreAnswer): void;
};

function work(id: number, request: CoreRequest): unknown {
  switch (request.kind) {
    case 'run':
      return simulate(request.scenario, {
        sampleEvery: request.sampleEvery,
        stride: request.stride,
        progress: (share) => {
          scope.postMessage({ id, share });
          return true;
        },
      });
    case 'variants':
      return request.indices.map((index, i) => {
        const row = tryVariant(request.task, index);
        scope.postMessage({ id, share: (i + 1) / request.indices.length });
        return row;
      });
    case 'advise':
      return advise(request.task, request.rows);
    case 'findings':
      return findingsOf(request);
    case 'replay': {
      const rows = readLog(request.text);
      return isFileProblem(rows)
        ? rows
        : { ...replay(request.config, rows), gaps: gapSentence(logGaps(rows)) };
    }
  }
}

function findingsOf({
  unit,
  values,
  rules,
  display,
}: CoreJobs['findings']['asks']): CoreJobs['findings']['gives'] {
  const simulated = simulatedFindings(unit, values, display);
  return {
    simulated: typeof simulated === 'string' ? [] : simulated,
    remedies: Object.fromEntries(rules.map((f) => [findingKey(f), remedyFor(f, values, unit)])),
  };
}

scope.onmessage = ({ data: { id, request } }) => {
  try {
    scope.postMessage({ id, result: work(id, request) });
  } catch (error) {
    scope.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
};
