import { isFileProblem } from '@brine/core/foundation/files';
import { gapSentence, logGaps, readLog, replay, simulate } from '@brine/core/machines/simulation';
import { causeDays, fanCauseDays } from '@brine/core/judgement/complaints';
import { faultSpeed, tryFloat, tryLoop } from '@brine/core/judgement/condenserFans';
import { runCondenser } from '@brine/core/machines/condenser';
import { predict } from '@brine/core/judgement/commissioning';
import { askController } from '@brine/core/judgement/asking';
import { forecastVisit, planVisit } from '@brine/core/judgement/leaving';
import { beforePower } from '@brine/core/judgement/energise';
import { holdAgainst, learnUnit, predictUnit } from '@brine/core/judgement/learning';
import { judgeLog } from '@brine/core/logs/against';
import { pairedOffset, tools } from '@brine/core/judgement/tools';
import { advise, tryVariant } from '@brine/core/judgement/tuning';
import { judgement } from '@brine/core/judgement/verdict';
import { diagnose } from '@brine/core/wiring/faults';
import { fit } from '@brine/core/judgement/fit';
import { narrow } from '@brine/core/wiring/unsure';
import { memoriesAtPanel } from '@brine/core/controllers/interrupted';
import { greyOf, prepare } from '@brine/core/controllers/pages';
import { proofOf } from '@brine/core/wiring/meter';
import { machineOf } from '@brine/core/controllers/panel';
import type { CoreAnswer, CoreRequest } from './coreJobs.ts';
import type { Log } from '@brine/core/logs/reading';
import { readLogFile } from './readLogFile.ts';

const scope = self as unknown as {
  onmessage:
    | ((event: MessageEvent<{ readonly id: number; readonly request: CoreRequest }>) => void | Promise<void>)
    | null;
  postMessage(answer: CoreAnswer, handedOver?: readonly ArrayBuffer[]): void;
};

/** Tells the page how far a job is. It is called off by ending the worker, so that it may always go on. */
const told = (id: number) => (share: number) => {
  scope.postMessage({ id, share });
  return true;
};

function work(id: number, request: CoreRequest): unknown {
  switch (request.kind) {
    case 'run':
      return simulate(request.scenario, {
        sampleEvery: request.sampleEvery,
        stride: request.stride,
        progress: told(id),
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
      return judgement(request);
    case 'replay': {
      const rows = readLog(request.text);
      return isFileProblem(rows)
        ? rows
        : { ...replay(request.config, rows), gaps: gapSentence(logGaps(rows)) };
    }
    case 'prepareScan':
      return prepare(greyOf(request.rgba, request.width, request.height));
    case 'prove':
      return proofOf(request.circuit);
    case 'diagnose':
      return diagnose(request.circuit, request.readings, {
        kinds: request.kinds,
        progress: (share) => {
          scope.postMessage({ id, share });
          return false;
        },
      });
    case 'narrow':
      return narrow(request.circuit, request.doubts, request.readings);
    case 'fit':
      return fit(request.needs, request.library);
    case 'readLog':
      return readAndJudge(id, request);
    case 'condenserDay':
      return runCondenser(request.run, request.sampleEvery);
    case 'condenserLoop':
      return tryLoop(request.run, request.config);
    case 'condenserFloat':
      return tryFloat(request.run, request.difference, request.config);
    case 'tool':
      return tools[request.tool].work(request.input, told(id));
    case 'pairedOffset':
      return pairedOffset(request.air, request.plate);
    case 'faultSpeed':
      return faultSpeed(request.log);
    case 'predict':
      return predict(request.unit, request.values, request.startsAt);
    case 'learn':
      return learnUnit({ ...request, progress: told(id) });
    case 'predictUnit':
      return predictUnit({ ...request, progress: told(id) });
    case 'holdAgainst':
      return holdAgainst(request);
    case 'beforePower':
      return beforePower(request);
    case 'askController':
      return askController(request.doubt, told(id));
    case 'planVisit': {
      const forecast = forecastVisit(request.unit, request.values, request.air);
      // What is no box has proofs of hands and clocks alone.
      return planVisit({ ...request, forecast: typeof forecast === 'string' ? null : forecast });
    }
    case 'memories': {
      const { definition, at } = request;
      const machine = machineOf(definition);
      return machine && memoriesAtPanel(machine, { ...at, before: new Map(Object.entries(at.before)) });
    }
    case 'fanCauses':
      return fanCauseDays(request.run, told(id));
    case 'causes':
      return causeDays(request.unit, request.values, told(id));
  }
}

/** Read and judged in one go: a log of a million rows goes to the page once, and never back. */
async function readAndJudge(
  id: number,
  { file, layout, settings, display }: Extract<CoreRequest, { readonly kind: 'readLog' }>,
) {
  const read = await readLogFile(file, layout, (share) => scope.postMessage({ id, share }));
  return 'problem' in read ? read : { ...read, judged: judgeLog(read.log, settings, display) };
}

/** Columns of readings, which are handed over instead of copied: the page has them without standing still. */
function columnsIn(result: unknown): readonly ArrayBuffer[] {
  const log = (result as { readonly log?: Log } | null)?.log;
  if (!(log?.time instanceof Float64Array)) return [];
  const columns = [log.time, ...Object.values(log.values)];
  return [...new Set(columns.map((column) => column.buffer as ArrayBuffer))];
}

scope.onmessage = async ({ data: { id, request } }) => {
  try {
    const result = await work(id, request);
    scope.postMessage({ id, result }, columnsIn(result));
  } catch (error) {
    scope.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
};
