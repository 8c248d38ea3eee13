import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { factsOf, frostLooksOf, humidityOf } from '@brine/core/record/job';
import { tools, toolsFor, type ToolId, type ToolInput, type ToolReport } from '@brine/core/judgement/tools';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** The tools that a job has besides the stations every job has. */
export function jobTools(job: OpenJob): readonly ToolId[] {
  const { unit, inForce } = job.program.value;
  return unit ? toolsFor({ unit, values: inForce, definition: job.replacement.value }) : [];
}

/** A tool's report, worked out in a worker whenever what it stands on changes; can be stopped. */
export function useTool(job: OpenJob, tool: Ref<ToolId | null>) {
  const display = useDisplay();
  const facts = computed(() => factsOf(job.state.value, job.program.value.unit));
  const humidity = computed(() => humidityOf(job.state.value));
  const frost = computed(() => frostLooksOf(job.state.value));
  const input = computed<Omit<ToolInput, 'now'> | null>(() => {
    const { unit, inForce, found } = job.program.value;
    return unit
      ? {
          unit,
          values: inForce,
          // What is fixed in the old control says nothing while no code of it was read.
          found: found && found.codes.size > 0 ? found.values : null,
          facts: facts.value,
          display: display.unit,
          definition: job.replacement.value,
          humidity: humidity.value,
          frost: frost.value,
        }
      : null;
  });
  const told = shallowRef<ToolReport | string | null>(null);
  /** The tool whose report stands. */
  const standsFor = ref<ToolId | null>(null);
  const share = ref(0);
  const { running, problem, start, stop } = latestRun();
  function run(): void {
    const [asked, which] = [input.value, tool.value];
    if (!asked || !which) return stop();
    share.value = 0;
    // What goes to a worker is plain data; a definition from the store is not.
    const plain = JSON.parse(JSON.stringify({ ...asked, now: new Date().toISOString() })) as ToolInput;
    void start(async ({ signal, isCurrent }) => {
      const result = await core.run(
        'tool',
        { tool: which, input: plain },
        { signal, share: (s: number) => isCurrent() && (share.value = s) },
      );
      if (!isCurrent()) return;
      told.value = result;
      standsFor.value = which;
    });
  }
  watch(
    () => JSON.stringify([tool.value, { ...input.value, definition: input.value?.definition?.id }]),
    run,
    { immediate: true },
  );
  const report = computed(() =>
    standsFor.value === tool.value && typeof told.value === 'object' ? told.value : null,
  );
  const refusal = computed(() =>
    standsFor.value === tool.value && typeof told.value === 'string' ? told.value : null,
  );
  const asked = computed(() => (tool.value ? tools[tool.value].facts : []));
  return { facts, humidity, frost, report, refusal, asked, share, running, problem, stop, run };
}
