import { isFileProblem } from '@brine/core/files';
import { gapSentence, logGaps, readLog, replay, simulate } from '@brine/core/simulation';
import { advise, judge, tryVariant } from '@brine/core/tuning';
import type { CoreAnswer, CoreRequest } from './coreJobs.ts';

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
    case 'judge':
      return judge(request.unit, request.values, request.display, request.found);
    case 'replay': {
      const rows = readLog(request.text);
      return isFileProblem(rows)
        ? rows
        : { ...replay(request.config, rows), gaps: gapSentence(logGaps(rows)) };
    }
  }
}

scope.onmessage = ({ data: { id, request } }) => {
  try {
    scope.postMessage({ id, result: work(id, request) });
  } catch (error) {
    scope.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
};
