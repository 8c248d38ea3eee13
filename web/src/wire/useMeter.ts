import { computed, type Ref } from 'vue';
import {
  Bench,
  DEAD,
  groundsOf,
  meterUnitOf,
  placeKey,
  placeStands,
  tolerance,
  type Ground,
  type MeterUnit,
  type Place,
} from '@brine/core/wiring/readings';
import { judgeReading } from '@brine/core/wiring/meter';
import { networkOf } from '@brine/core/wiring/solver';
import type { Circuit } from '@brine/core/wiring/circuit';
import { forTheFinder } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import { useDiagnosis } from './useDiagnosis.ts';
import { placeWords } from './meterWords.ts';
import { useProof } from './useProof.ts';

/** One line of the meter table. */
export interface MeterLine {
  readonly key: string;
  readonly place: Place;
  readonly words: string;
  readonly unit: MeterUnit;
  readonly expected: number;
  /** A winding is read as whole or not. */
  readonly ground: Ground;
  readonly tolerance: number;
  readonly read: number | null;
  readonly verdict: 'right' | 'off' | null;
  /** Asked for by the fault finder, or read beside the table. */
  readonly extra: boolean;
}

/** The meter table of the plan: what proves it, what was read beside it, and what the fault finder asks for next. */
export function useMeter(circuit: Ref<Circuit | null>) {
  const job = useJob();
  const wiring = computed(() => job.wiring.value);
  const { proof, running, problem } = useProof(circuit);
  const readings = computed(() => wiring.value.readings.plan);
  const anyOff = computed(() => wiring.value.judged.some((j) => j.verdict === 'off'));
  const evidence = computed(() => forTheFinder(wiring.value.judged));
  const finder = useDiagnosis(circuit, evidence, anyOff);
  const next = computed(() => finder.diagnosis.value?.next ?? null);
  const bench = computed(() => {
    if (!circuit.value) return null;
    const network = networkOf(circuit.value);
    return { network, sound: new Bench({ network, effect: {} }), ground: groundsOf(network) };
  });
  const taken = computed(() => new Map(readings.value.map((r) => [placeKey(r), r.reads.value])));

  const lines = computed<readonly MeterLine[]>(() => {
    if (!circuit.value || !bench.value) return [];
    const { network } = bench.value;
    const table = (proof.value?.rows ?? []).map((row) => row.place).filter((p) => placeStands(network, p));
    const known = new Set(table.map(placeKey));
    const beside = [...readings.value, ...(next.value ? [next.value] : [])].filter(
      (p) => !known.has(placeKey(p)) && placeStands(network, p),
    );
    const seen = new Set<string>();
    return [...table, ...beside].flatMap((place): MeterLine[] => {
      const key = placeKey(place);
      if (seen.has(key)) return [];
      seen.add(key);
      const unit = meterUnitOf(place);
      const expected = bench.value!.sound.expect(place);
      const ground = bench.value!.ground(place);
      const read = taken.value.get(key) ?? null;
      return [
        {
          key,
          place: bare(place),
          words: placeWords(circuit.value!, place),
          unit,
          expected,
          ground,
          tolerance: tolerance(unit, Math.min(expected, 1e7)),
          read,
          verdict: read === null ? null : judgeReading({ unit, expected, ground }, read),
          extra: !known.has(key),
        },
      ];
    });
  });
  const states = computed(() => [DEAD, ...Object.keys(circuit.value?.states ?? {})]);
  const count = (state: string) => {
    const mine = lines.value.filter((l) => l.place.state === state);
    return {
      read: mine.filter((l) => l.read !== null).length,
      of: mine.length,
      off: mine.some((l) => l.verdict === 'off'),
    };
  };

  async function read(line: MeterLine, value: number | null): Promise<void> {
    await job.write({ kind: 'reading', circuit: 'plan', place: line.place, value });
  }
  return { lines, states, count, read, proving: running, problem, proof, finder, next, anyOff };
}

/** The place alone, without what a reading or an advice carries beside it. */
function bare(place: Place): Place {
  return 'through' in place
    ? { state: place.state, through: place.through }
    : { state: place.state, from: place.from, to: place.to };
}
