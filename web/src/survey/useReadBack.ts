import { computed, ref } from 'vue';
import { isVisible, type ControllerDefinition, type SheetRow } from '@brine/core/controllers/definitions';
import {
  afterReading,
  CannotPlan,
  machineOf,
  presentValues,
  strokesToRead,
  type ReadingStrokes,
} from '@brine/core/controllers/panel';

/** Reading the old control by key strokes: which code comes next, and the strokes that bring its value on the display. */
export function useReadBack(definition: () => ControllerDefinition | null, sheet: () => readonly SheetRow[]) {
  const machine = computed(() => {
    const known = definition();
    return known ? machineOf(known) : null;
  });
  /** What was read so far; a value that is none of this family keeps nobody from reading on. */
  const known = computed(() => {
    const family = definition();
    if (!family) return new Map<string, number | string>();
    const usable = sheet().filter((row) => {
      try {
        presentValues(family, [row]);
        return true;
      } catch {
        return false;
      }
    });
    return presentValues(family, usable);
  });
  const skipped = ref<readonly string[]>([]);
  /** Where the display stands: a code of the menu, or null for the standard display. */
  const from = ref<string | null>(null);

  const codes = computed(() => {
    const m = machine.value;
    if (!m) return [];
    const held = new Set([...m.codes.values()].flat());
    return m.definition.parameters.filter((p) => held.has(p.code) && p.encoding.type !== 'reading');
  });
  /** Codes still to be read that can be in the menu as far as is known. */
  const open = computed(() =>
    codes.value.filter(
      (p) =>
        !known.value.has(p.code) &&
        !skipped.value.includes(p.code) &&
        (p.visibleWhen === undefined ||
          (known.value.has(p.visibleWhen.code) && isVisible(machine.value!.definition, p, known.value))),
    ),
  );
  const current = computed(() => open.value[0] ?? null);
  const planned = computed<{ readonly strokes: ReadingStrokes | null; readonly problem: string | null }>(
    () => {
      if (!machine.value || !current.value) return { strokes: null, problem: null };
      try {
        return {
          strokes: strokesToRead(machine.value, known.value, current.value.code, from.value),
          problem: null,
        };
      } catch (error) {
        if (!(error instanceof CannotPlan)) throw error;
        return { strokes: null, problem: error.message };
      }
    },
  );

  /** Told before the value is written to the sheet: where the display then stands may hang on it. */
  function taken(code: string, value: string): void {
    const family = definition();
    if (!machine.value || !family) return;
    try {
      const read = presentValues(family, [{ code, value }]).get(code);
      from.value =
        read === undefined
          ? code
          : afterReading(machine.value, known.value, { code, value: read }, from.value);
    } catch {
      from.value = code;
    }
  }

  return {
    machine,
    codes,
    isRead: (code: string) => known.value.has(code),
    read: computed(() => codes.value.filter((p) => known.value.has(p.code)).length),
    open,
    current,
    planned,
    from,
    taken,
    skip: (code: string) => (skipped.value = [...skipped.value, code]),
  };
}

export type LiveReading = ReturnType<typeof useReadBack>;
