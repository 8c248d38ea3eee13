import { computed, ref } from 'vue';
import {
  calibrate,
  expandedUncertainty,
  offsetParameters,
  proposeOffset,
  shownBeforeAndAfter,
} from '@brine/core/judgement/calibration';
import { resolutionOf, scaleOf } from '@brine/core/controllers/definitions';
import { parseNumber, quantity, valueIn, difference } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';

/** A calibration as it is typed, with what follows from it: the new value in the control's own code, classes, uncertainty, and the display before and after. */
export function useCalibration(job: OpenJob) {
  const display = useDisplay();
  const rows = ref([{ reads: '', truth: '' }]);
  const code = ref('');
  const existing = ref('');
  const uncertainty = ref('');
  const offsets = computed(() => (job.replacement.value ? offsetParameters(job.replacement.value) : []));
  const chosen = computed(
    () => offsets.value.find((o) => o.parameter.code === code.value) ?? offsets.value[0] ?? null,
  );
  const shown = computed(() => job.program.value.display ?? { unit: display.unit, decimal: false });
  const celsius = (text: string) => {
    const read = readTemperature(text.trim(), display.unit);
    return read.ok ? valueIn(read.value, 'degC') : null;
  };
  const points = computed(() =>
    rows.value.flatMap(({ reads, truth }) => {
      const [reading, reference] = [celsius(reads), celsius(truth)];
      return reading === null || reference === null ? [] : [{ reading, reference }];
    }),
  );
  /** What stands in the control: as typed, else as it was keyed in. */
  const standing = computed(() => {
    const typed = parseNumber(existing.value.trim().replace('−', '-'));
    if (typed !== null) return typed;
    const row = job.program.value.rows.find((r) => r.code === chosen.value?.parameter.code);
    return row && typeof row.value === 'number' && row.state !== 'open' ? row.value : 0;
  });
  const unitText = computed(() => {
    if (!chosen.value) return '';
    const { unit } = scaleOf(chosen.value.parameter.encoding, shown.value);
    return unit === 'deltaF' ? 'dF' : 'K';
  });
  const proposal = computed(() => {
    if (!chosen.value || points.value.length === 0 || !job.replacement.value) return null;
    // Several points are brought to one: their mean difference is what an offset can mend.
    const mean = points.value.reduce((sum, p) => sum + p.reference - p.reading, 0) / points.value.length;
    const first = points.value[0]!;
    return proposeOffset({
      definition: job.replacement.value,
      parameter: chosen.value.parameter,
      display: shown.value,
      reads: quantity(first.reading, 'degC'),
      truth: quantity(first.reading + mean, 'degC'),
      existing: standing.value,
    });
  });
  const fitted = computed(() => (points.value.length === 0 ? null : calibrate(points.value)));
  const spread = computed(() => {
    if (!fitted.value || !chosen.value) return null;
    const step = resolutionOf(chosen.value.parameter.encoding, shown.value);
    return expandedUncertainty({
      reference: difference(
        parseNumber(uncertainty.value.trim()) ?? 0,
        display.unit === 'degF' ? 'deltaF' : 'K',
      ),
      resolution: difference(step, unitText.value === 'dF' ? 'deltaF' : 'K'),
      residuals: fitted.value.offsetOnly.residuals,
      fitted: 1,
    });
  });
  const kelvinOf = (value: number) =>
    difference(value, unitText.value === 'dF' ? 'deltaF' : 'K') *
    (chosen.value?.parameter.encoding.sign ?? 1);
  /** The display at three true temperatures: a freezer's, ice, and a warm room. */
  const before = computed(() => {
    if (!proposal.value || points.value.length === 0) return [];
    const mean = points.value.reduce((sum, p) => sum + p.reading - p.reference, 0) / points.value.length;
    const bare = (t: number) => t + mean - kelvinOf(standing.value);
    return shownBeforeAndAfter(
      [-18, 0, 20],
      bare,
      { slope: 1, offsetK: kelvinOf(standing.value) },
      { slope: 1, offsetK: kelvinOf(proposal.value.value) },
    );
  });
  return {
    rows,
    code,
    existing,
    uncertainty,
    offsets,
    chosen,
    points,
    standing,
    unitText,
    proposal,
    fitted,
    spread,
    before,
  };
}
