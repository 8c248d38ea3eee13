import { computed } from 'vue';
import { useSessionStorage } from '@vueuse/core';
import {
  cycleOf,
  notYet,
  offsetAtOnce,
  usualOfKind,
  whoIsRight,
  type Check,
  type InstrumentKind,
  type InstrumentPlace,
  type InstrumentReading,
  type MadeCheck,
} from '@brine/core/judgement/instruments';
import { parseNumber, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { readTemperature } from '../../shared/display/readTemperature.ts';
import { unreadNumber } from '../../shared/display/unreadNumber.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { usePredicted } from '../../shared/job/usePredicted.ts';

/** An instrument as it is typed. */
export interface TypedInstrument {
  readonly id: string;
  kind: InstrumentKind;
  place: InstrumentPlace;
  reads: string;
  /** Minutes since it was put there; empty: long. */
  minutes: string;
  accuracy: string;
  months: string;
}

const usualPlace: Readonly<Record<InstrumentKind, InstrumentPlace>> = {
  display: 'returnAir',
  thermometer: 'returnAir',
  gun: 'surface',
  logger: 'boxAir',
  product: 'goods',
};

/** Instruments that disagree: what is typed of them, whether it is the moment to compare, who is wrong, and the check that decides. Kept for this tab. */
export function useWhoIsRight(job: OpenJob) {
  const display = useDisplay();
  const made = (id: number, kind: InstrumentKind): TypedInstrument => ({
    id: String(id),
    kind,
    place: usualPlace[kind],
    reads: '',
    minutes: '',
    accuracy: '',
    months: '',
  });
  const typed = useSessionStorage(`brine-right:${job.id}`, {
    rows: [made(1, 'display'), made(2, 'thermometer')],
    running: 'notLooked' as 'notLooked' | 'runs' | 'rests',
    inDefrost: false,
    checks: [] as { check: Check; a: string; b: string }[],
  });
  const { predicted } = usePredicted(job);
  const cycle = computed(() => cycleOf(job.program.value.inForce, predicted.value));

  const celsius = (text: string): number | null => {
    const read = readTemperature(text.trim(), display.unit);
    return read.ok ? valueIn(read.value, 'degC') : null;
  };
  /** The first field that cannot be read; null where all can. */
  const unread = computed(() => {
    for (const row of typed.value.rows) {
      if (row.reads.trim() === '') continue;
      const read = readTemperature(row.reads.trim(), display.unit);
      if (!read.ok) return `${usualOfKind[row.kind].name}: ${read.problem}`;
    }
    return unreadNumber(
      typed.value.rows.flatMap(({ kind, minutes, accuracy, months }) => [
        { label: `${usualOfKind[kind].name}, minutes in place`, text: minutes },
        { label: `${usualOfKind[kind].name}, largest error`, text: accuracy, positive: true },
        { label: `${usualOfKind[kind].name}, months since its check`, text: months },
      ]),
    );
  });
  const instruments = computed<readonly (InstrumentReading & { readonly inPlace: number | null })[]>(() =>
    typed.value.rows.flatMap((row) => {
      const reads = celsius(row.reads);
      if (reads === null) return [];
      const minutes = parseNumber(row.minutes);
      const accuracy = parseNumber(row.accuracy);
      return [
        {
          id: row.id,
          kind: row.kind,
          place: row.place,
          reads,
          accuracyK:
            accuracy === null || accuracy <= 0 ? null : display.unit === 'degF' ? accuracy / 1.8 : accuracy,
          lag: null,
          monthsSinceCheck: parseNumber(row.months),
          inPlace: minutes === null ? null : minutes * 60,
        },
      ];
    }),
  );
  const waits = computed(() =>
    instruments.value.length < 2
      ? null
      : notYet({
          instruments: instruments.value,
          inDefrost: typed.value.inDefrost,
          band: cycle.value,
          period: cycle.value?.period ?? null,
        }),
  );
  const checks = computed<readonly MadeCheck[]>(() =>
    typed.value.checks.flatMap(({ check, a, b }) => {
      const [first, second] = [celsius(a), check.kind === 'iceWater' ? 0 : celsius(b)];
      return first === null || second === null ? [] : [{ ...check, found: first - second }];
    }),
  );
  const said = computed(() =>
    instruments.value.length < 2 || waits.value !== null
      ? null
      : whoIsRight({
          instruments: instruments.value,
          cycle: cycle.value,
          running: typed.value.running === 'notLooked' ? null : typed.value.running === 'runs',
          made: checks.value,
        }),
  );

  /** How long a whole cycle takes, s, where the display may not be set right by what another reads at this moment; null where it may, or there is nothing to compare it with. */
  const wholeCycle = computed(() => {
    const own = instruments.value.find(({ kind }) => kind === 'display');
    const period = cycle.value?.period ?? null;
    if (!own || period === null) return null;
    const beside = instruments.value.filter((one) => one !== own && one.place === own.place);
    return beside.length === 0 || beside.some((one) => offsetAtOnce(own, one, period)) ? null : period;
  });

  function add(): void {
    const next = Math.max(0, ...typed.value.rows.map(({ id }) => Number(id))) + 1;
    const kinds = typed.value.rows.map(({ kind }) => kind);
    const kind = (['logger', 'product', 'gun'] as const).find((one) => !kinds.includes(one)) ?? 'thermometer';
    typed.value.rows.push(made(next, kind));
  }
  function remove(id: string): void {
    typed.value.rows = typed.value.rows.filter((row) => row.id !== id);
    typed.value.checks = typed.value.checks.filter(
      ({ check }) => check.of !== id && !(check.kind === 'sideBySide' && check.beside === id),
    );
  }
  function clear(): void {
    typed.value = {
      rows: [made(1, 'display'), made(2, 'thermometer')],
      running: 'notLooked',
      inDefrost: false,
      checks: [],
    };
  }

  return {
    typed,
    unread,
    instruments,
    waits,
    said,
    wholeCycle,
    add,
    remove,
    clear,
    usualPlace,
  };
}
