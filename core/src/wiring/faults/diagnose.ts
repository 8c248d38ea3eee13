import type { Circuit } from '../circuit/index.ts';
import { endsOf } from '../circuit/index.ts';
import { networkOf, type Network } from '../solver/index.ts';
import { breakNetwork } from './broken.ts';
import { faultWords, firstFaults, laterFaults, laterKinds, type Fault } from './fault.ts';
import { Bench } from '../readings/index.ts';
import { meterUnitOf, type Reading } from '../readings/index.ts';
import { misfitOf } from '../readings/index.ts';
import { nextReading, type NextReading, type Suspect } from '../readings/index.ts';

/** A fault with how well it explains the readings. `misfit`: root mean square of the distances in tolerances. */
export interface RankedFault {
  readonly fault: Fault;
  readonly rank: number;
  readonly misfit: number;
  readonly explains: number;
  readonly of: number;
  readonly message: string;
}

export interface Diagnosis {
  readonly faults: readonly RankedFault[];
  /** False where neither a single fault nor a pair explains every reading. */
  readonly fits: boolean;
  readonly next: NextReading<Fault> | null;
}

/** What the caller may ask for: only the first kinds, a way to follow, a way to stop. */
export interface DiagnoseOptions {
  readonly kinds?: 'first' | 'all';
  /** Called now and then with how far it is, 0 to 1; returns true to stop. */
  readonly progress?: (share: number) => boolean;
}

/** Misfits closer than this are equal: no meter tells them apart. */
const ALIKE = 0.05;
/** Longest list that is worth reading. */
const MOST_LISTED = 60;
/** Faults tried between two looks at the caller. */
const BREATH = 64;

interface Tried {
  readonly fault: Fault;
  readonly misfit: number;
  readonly explains: number;
  readonly bench: Bench;
}

/**
 * Every single fault is put in and the circuit solved in the states that were read; pairs of the first kinds where no single one explains
 * all readings. Ranked by misfit; later kinds after the first ones at equal misfit. Null where the caller stopped it.
 */
export function diagnose(
  circuit: Circuit,
  readings: readonly Reading[],
  options: DiagnoseOptions = {},
): Diagnosis | null {
  const network = networkOf(circuit);
  const first = firstFaults(circuit);
  const later = options.kinds === 'first' ? [] : laterFaults(circuit, endsOf(circuit));
  const singles = [...first, ...later];
  const tried = tryAll(network, singles, readings, (share) => options.progress?.(share * 0.5) ?? false);
  if (!tried) return null;
  let all: readonly Tried[] = tried;
  const fitting = (list: readonly Tried[]) => list.some((t) => t.explains === readings.length);
  if (!fitting(all) && options.kinds !== 'first') {
    const pairs = tryAll(
      network,
      pairsOf(first),
      readings,
      (share) => options.progress?.(0.5 + share * 0.4) ?? false,
    );
    if (!pairs) return null;
    all = [...all, ...pairs];
  }
  const ranked = rank(circuit, all, readings.length);
  const leaders = leading(ranked, readings.length);
  return {
    faults: ranked.slice(0, listed(ranked)).map(({ entry }) => entry),
    fits: fitting(all),
    // The usual faults are told apart first; only when one of them is left are the rarer ones worth a walk with the meter.
    next:
      nextReading(
        network,
        leaders.filter((s) => !laterKinds.has(s.fault.kind)),
        readings,
      ) ?? nextReading(network, leaders, readings),
  };
}

function tryAll(
  network: Network,
  faults: readonly Fault[],
  readings: readonly Reading[],
  stop: (share: number) => boolean,
): readonly Tried[] | null {
  const tried: Tried[] = [];
  for (const [i, fault] of faults.entries()) {
    if (i % BREATH === 0 && stop(i / faults.length)) return null;
    const broken = breakNetwork(network, fault);
    if (!broken) continue;
    const bench = new Bench(broken);
    let sum = 0;
    let explains = 0;
    for (const reading of readings) {
      const off = misfitOf(meterUnitOf(reading), bench.expect(reading), reading.reads.value);
      sum += off * off;
      if (off <= 1) explains += 1;
    }
    const misfit = readings.length === 0 ? 0 : Math.sqrt(sum / readings.length);
    tried.push({ fault, misfit, explains, bench });
  }
  return tried;
}

/** Pairs of the first kinds; `none` pairs with nothing. */
function pairsOf(first: readonly Fault[]): readonly Fault[] {
  const real = first.filter((f) => f.kind !== 'none');
  return real.flatMap((one, i) =>
    real.slice(i + 1).map((two): Fault => ({ kind: 'pair', faults: [one, two] })),
  );
}

interface Ranked {
  readonly entry: RankedFault;
  readonly tried: Tried;
}

function rank(circuit: Circuit, tried: readonly Tried[], of: number): readonly Ranked[] {
  const sorted = [...tried].sort((a, b) => a.misfit - b.misfit);
  const groups: Tried[][] = [];
  for (const one of sorted) {
    const group = groups.at(-1);
    if (group && one.misfit - group[0]!.misfit <= ALIKE) group.push(one);
    else groups.push([one]);
  }
  const tiers = groups.flatMap((group) => [
    group.filter((t) => !laterKinds.has(t.fault.kind)),
    group.filter((t) => laterKinds.has(t.fault.kind)),
  ]);
  let before = 0;
  return tiers.flatMap((tier) => {
    const place = before + 1;
    before += tier.length;
    return tier.map((one) => ({
      tried: one,
      entry: {
        fault: one.fault,
        rank: place,
        misfit: Math.round(one.misfit * 1000) / 1000,
        explains: one.explains,
        of,
        message: faultWords(circuit, one.fault),
      },
    }));
  });
}

/** Whatever explains every reading as well as anything is listed, and as many after as are worth reading. */
function listed(ranked: readonly Ranked[]): number {
  const best = ranked[0]?.tried.misfit ?? 0;
  return Math.max(MOST_LISTED, ranked.filter(({ tried }) => tried.misfit - best <= ALIKE).length);
}

/** Faults still in the race: those that explain every reading, else those nearly as good as the best; the first kinds weigh more. */
function leading(ranked: readonly Ranked[], of: number): readonly Suspect<Fault>[] {
  const best = ranked[0]?.tried.misfit ?? 0;
  const fits = ranked.some(({ entry }) => entry.explains === of);
  return ranked
    .filter(({ entry, tried }) => (fits ? entry.explains === of : tried.misfit <= best + 1))
    .slice(0, MOST_SUSPECTS)
    .map(({ tried }) => ({
      fault: tried.fault,
      bench: tried.bench,
      weight:
        Math.exp((-of * (tried.misfit ** 2 - best ** 2)) / 2) *
        (laterKinds.has(tried.fault.kind) ? LATER_WEIGHT : 1),
    }));
}

/** Faults among which the next reading is chosen. */
const MOST_SUSPECTS = 80;
/** How much rarer a later kind is taken to be. */
const LATER_WEIGHT = 0.02;
