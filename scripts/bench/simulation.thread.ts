import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { parentPort, workerData } from 'node:worker_threads';
import { readScenario, simulate, type Scenario } from '@brine/core/machines/simulation';

const { kind, file, variants, half } = workerData as {
  kind: 'sweep' | 'month';
  file: { settings: object };
  variants: number;
  half: number;
};

/** Half a sweep over defrost end and interval, three days each, at the stride that tuning screens with. */
function sweep(): number {
  const work = (i: number) => {
    const settings = {
      ...file.settings,
      'defrost.endTemperature': { value: 4 + (i % 20) * 0.6, unit: 'degC' },
      'defrost.interval': { value: 3 + ((i * 7) % 11) * 0.5, unit: 'h' },
    };
    simulate(readScenario({ ...file, settings, warmUpHours: 0, hours: 72 }) as Scenario, { stride: 5 });
  };
  work(0);
  const began = performance.now();
  for (let i = 0; i < variants; i += 1) work(half * variants + i);
  return performance.now() - began;
}

/** Heap in MB before a month and at most during it, garbage that nobody asked for left out by collecting at each look. */
function month(): { peak: number; settled: number } {
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc') as () => void;
  const heap = () => {
    collect();
    return process.memoryUsage().heapUsed / 2 ** 20;
  };
  const settled = heap();
  let peak = settled;
  simulate(readScenario({ ...file, warmUpHours: 0, hours: 720 }) as Scenario, {
    sampleEvery: 300,
    progress: () => {
      peak = Math.max(peak, heap());
      return true;
    },
  });
  return { peak, settled };
}

parentPort!.postMessage(kind === 'sweep' ? sweep() : month());
