import { computed, ref, type Ref } from 'vue';
import {
  dimensionOf,
  isQuantity,
  parseNumber,
  parseQuantity,
  printNumber,
  shownUnit,
  unitSymbol,
  valueIn,
  type Quantity,
  type TemperatureUnit,
} from '@brine/core/foundation/quantities';
import { useDraft } from '../shared/ui/useDraft.ts';
import { settingOf, validateValue, type SettingId, type SettingValue } from '@brine/core/foundation/settings';

/** A field for a setting's amount in the reader's unit: a bare number is taken in the unit shown beside it, a unit may be typed. */
export function useSettingInput(
  id: SettingId,
  value: Ref<SettingValue>,
  unit: Ref<TemperatureUnit>,
  take: (value: SettingValue) => void,
) {
  const problem = ref<string | null>(null);
  const shown = computed(() => (isQuantity(value.value) ? shownUnit(value.value.unit, unit.value) : null));
  const symbol = computed(() => (shown.value === null ? '' : unitSymbol(shown.value)));

  const { text, settle, reset } = useDraft(() =>
    isQuantity(value.value) && shown.value
      ? printNumber(valueIn(value.value, shown.value), 2)
      : String(value.value),
  );

  function commit(): void {
    const read = readAmount(text.value);
    if (typeof read === 'string') {
      problem.value = read;
      return;
    }
    const wrong = validateValue(id, read);
    problem.value = wrong?.message ?? null;
    if (wrong) return;
    if (isQuantity(value.value) && isQuantity(read) && same(value.value, read)) {
      reset();
      return;
    }
    if (settle()) take(read);
  }

  /** The typed amount, or the sentence that refuses it. */
  function readAmount(typed: string): SettingValue | string {
    const bare = parseNumber(typed);
    if (shown.value === null) return bare ?? `“${typed}” is not a number; expected a bare number`;
    if (bare !== null) return { value: bare, unit: shown.value };
    const parsed = parseQuantity(typed, dimensionOf(shown.value));
    return parsed.ok ? parsed.value : `${settingOf(id).label}: ${parsed.problem}`;
  }

  return { text, problem, symbol, commit };
}

function same(a: Quantity, b: Quantity): boolean {
  return dimensionOf(a.unit) === dimensionOf(b.unit) && Math.abs(valueIn(a, b.unit) - b.value) < 0.005;
}
