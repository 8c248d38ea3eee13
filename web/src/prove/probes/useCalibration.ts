import { computed, ref } from 'vue';
import { judgeComparison, offsetParameters, offsetUnitText } from '@brine/core/judgement/calibration';
import { parseNumber, valueIn, difference } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { unreadNumber } from '../../shared/display/unreadNumber.ts';
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
    const typed = parseNumber(existing.value);
    if (typed !== null) return typed;
    const row = job.program.value.rows.find((r) => r.code === chosen.value?.parameter.code);
    return row && typeof row.value === 'number' && row.state !== 'open' ? row.value : 0;
  });
  /** The control, its parameter and its display; null while no control is chosen. */
  const place = computed(() => {
    const [definition, parameter] = [job.replacement.value, chosen.value?.parameter];
    return definition && parameter ? { definition, parameter, display: shown.value } : null;
  });
  const unitText = computed(() => (place.value ? offsetUnitText(place.value) : ''));
  /** What was typed and cannot be read: nothing is proposed from it. */
  const unread = computed(() => {
    for (const { reads, truth } of rows.value)
      for (const [label, text] of [
        ['Display reads', reads],
        ['Reference', truth],
      ] as const) {
        const read = text.trim() === '' ? null : readTemperature(text.trim(), display.unit);
        if (read && !read.ok) return `${label}: ${read.problem}`;
      }
    return unreadNumber([{ label: chosen.value?.parameter.code ?? 'Offset', text: existing.value }]);
  });
  const uncertaintyUnread = computed(() =>
    unreadNumber([{ label: '± by certificate', text: uncertainty.value }]),
  );
  const result = computed(() =>
    !place.value || points.value.length === 0 || unread.value
      ? null
      : judgeComparison({
          ...place.value,
          points: points.value,
          existing: standing.value,
          referenceK: difference(
            parseNumber(uncertainty.value) ?? 0,
            display.unit === 'degF' ? 'deltaF' : 'K',
          ),
        }),
  );
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
    unread,
    uncertaintyUnread,
    result,
  };
}
