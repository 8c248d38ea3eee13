import { computed, ref, shallowRef, watch } from 'vue';
import {
  bestFloat,
  bestLoop,
  floatVariants,
  loopVariants,
  type FloatTrial,
  type LoopTrial,
} from '@brine/core/judgement/condenserFans';
import type { CondenserRun, CondenserRunResult } from '@brine/core/machines/condenser';
import { factsOf } from '@brine/core/record/job';
import { condenserRun } from '../../shared/job/condenserRun.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

const SAMPLE_EVERY = 30;
/** Bands are tried over the coldest hours: that is when fans hunt. */
const LOOP_HOURS = 6;

/** What may be tried on a day of the fans, in words. */
export const fanWhatIfs = {
  none: { words: 'nothing', run: {} },
  probeOpen: { words: 'regulating probe open, 12:00 to 15:00', run: { probeOpen: [12, 15] } },
  overload: { words: 'overload input, 12:00 to 13:00', run: { overload: [12, 13] } },
  quietContact: { words: 'quiet contact closed until 06:00', run: { quietContact: [0, 6] } },
} as const satisfies Readonly<
  Record<string, { readonly words: string; readonly run: Partial<CondenserRun> }>
>;
export type FanWhatIf = keyof typeof fanWhatIfs;

/** The condenser of a job: its day as set, and what is tried on it, in workers. */
export function useCondenser(job: OpenJob) {
  const facts = computed(() => factsOf(job.state.value, job.program.value.unit));
  const refrigerant = computed(() => job.program.value.unit?.refrigerant ?? '');
  const asSet = computed(() => condenserRun(job));
  const config = computed(() => asSet.value?.config ?? null);
  const whatIf = ref<FanWhatIf>('none');
  const run = computed<CondenserRun | null>(() =>
    asSet.value ? { ...asSet.value, ...fanWhatIfs[whatIf.value].run } : null,
  );
  const day = shallowRef<CondenserRunResult | null>(null);
  const daily = latestRun();
  watch(
    () => JSON.stringify(run.value),
    () => {
      const asked = run.value;
      if (!asked) return;
      void daily.start(async ({ signal, isCurrent }) => {
        const result = await core.run('condenserDay', { run: asked, sampleEvery: SAMPLE_EVERY }, { signal });
        if (isCurrent()) day.value = result;
      });
    },
    { immediate: true },
  );

  const loops = shallowRef<readonly LoopTrial[]>([]);
  const floats = shallowRef<readonly FloatTrial[]>([]);
  const share = ref<number | null>(null);
  const trying = latestRun();
  async function tryAll<Trial>(
    jobs: readonly ((signal: AbortSignal) => Promise<Trial>)[],
    keep: (list: readonly Trial[]) => void,
  ) {
    share.value = 0;
    await trying.start(async ({ signal, isCurrent }) => {
      let done = 0;
      const results = await Promise.all(
        jobs.map(async (work) => {
          const result = await work(signal);
          done += 1;
          if (isCurrent()) share.value = done / jobs.length;
          return result;
        }),
      );
      if (isCurrent()) keep(results);
    });
    share.value = null;
  }
  const tryLoops = () => {
    const asked = run.value;
    if (!asked) return;
    const short = { ...asked, hours: LOOP_HOURS };
    void tryAll(
      loopVariants(asked.config).map(
        (variant) => (signal) => core.run('condenserLoop', { run: short, config: variant }, { signal }),
      ),
      (list) => (loops.value = list),
    );
  };
  const tryFloats = () => {
    const asked = run.value;
    if (!asked) return;
    void tryAll(
      floatVariants(asked).map(
        ([difference, variant]) =>
          (signal) =>
            core.run('condenserFloat', { run: asked, difference, config: variant }, { signal }),
      ),
      (list) => (floats.value = list),
    );
  };
  return {
    whatIf,
    facts,
    refrigerant,
    config,
    day,
    dayProblem: daily.problem,
    loops,
    floats,
    share,
    problem: trying.problem,
    tryLoops,
    tryFloats,
    stop: () => {
      trying.stop();
      share.value = null;
    },
    bestLoop: computed(() => bestLoop(loops.value)),
    bestFloat: computed(() => bestFloat(floats.value)),
  };
}

export type CondenserView = ReturnType<typeof useCondenser>;
