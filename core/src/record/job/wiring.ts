import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { isFileProblem, type FileProblem } from '../../foundation/files/index.ts';
import { Bench, groundsOf, meterUnitOf, placeStands, type Reading } from '../../wiring/readings/index.ts';
import { atVolts, blankCircuits, onValve, typicalConversion } from '../../wiring/typical/index.ts';
import { convert, offeredVolts, type ConversionPlan } from '../../wiring/conversion/index.ts';
import { findingsOf } from '../../wiring/findings/index.ts';
import { fit, needsOf, type Fit, type UnitLoad, type UnitNeeds } from '../../judgement/fit/index.ts';
import { judgeReading } from '../../wiring/meter/index.ts';
import { networkOf } from '../../wiring/solver/index.ts';
import {
  readCircuit,
  wireIds,
  type Circuit,
  type Part,
  type SupplyLine,
  type Wire,
} from '../../wiring/circuit/index.ts';
import type { DoubtFact } from '../../wiring/unsure/index.ts';
import type { MeasureId, SiteMeasures } from '../../wiring/kit/index.ts';
import { allStanding, standing, type Body, type Head, type JobState } from '../fold/index.ts';

/** A wire or part as found, with the id its entries go by. */
export interface Traced<What> {
  readonly id: string;
  readonly what: What;
}

/** A reading with what the plan expects and the verdict. */
export interface JudgedReading {
  readonly reading: Reading;
  readonly expected: number;
  readonly verdict: 'right' | 'off';
}

/** A picture of the cabinet with its marks; the bytes lie elsewhere. */
export type JobPicture = Body<'picture'>;

/** The circuit a reading was taken on: as found, or as planned and wired. */
type WiredCircuit = Body<'reading'>['circuit'];

/** How the cabinet stands: since when it is locked out, since when it is live again; the later one holds. */
export interface PowerLog {
  readonly lockedOutAt: string | null;
  readonly liveAt: string | null;
  readonly now: 'unknown' | 'lockedOut' | 'live';
}

/** Everything the Fit and Wire stations show, computed from the stream. */
export interface JobWiring {
  /** What the tracing began from; null while nobody has begun. */
  readonly started: string | null;
  readonly supplies: readonly Traced<SupplyLine>[];
  readonly parts: readonly Traced<Part>[];
  readonly wires: readonly Traced<Wire>[];
  readonly doubts: readonly Traced<DoubtFact>[];
  readonly loads: readonly Traced<UnitLoad>[];
  readonly measures: SiteMeasures;
  /** The circuit as found; null while nothing is traced or it cannot be. */
  readonly found: Circuit | null;
  readonly problem: FileProblem | null;
  /** Volts that survey and circuit say differently, as a question; null where they agree or one says nothing. */
  readonly supplyQuestion: string | null;
  readonly needs: UnitNeeds | null;
  readonly fit: Fit | null;
  readonly plan: ConversionPlan | null;
  /** Wires of the plan that ask for a hand, by id. */
  readonly tasks: readonly string[];
  readonly wired: ReadonlySet<string>;
  readonly readings: Readonly<Record<WiredCircuit, readonly Reading[]>>;
  readonly judged: readonly JudgedReading[];
  readonly power: PowerLog;
  readonly pictures: readonly JobPicture[];
}

/** As found, needs, fit, plan, readings: from the entries of a job. */
export function wiringOf(
  state: JobState,
  unit: UnitDescription | null,
  replacement: ControllerDefinition | null,
): JobWiring {
  const started = standing(state, 'startedFrom', 'startedFrom')?.conversion ?? null;
  const plain = started === null ? null : baseCircuit(started);
  const opensValve = unit?.compressor === 'rackSolenoid' || unit?.compressor === 'pumpDown';
  const drawn = plain && opensValve ? onValve(plain) : plain;
  // What the survey says of the supply is what the circuit begins from.
  const base = drawn && unit?.supply && !unit.supply.phases ? atVolts(drawn, unit.supply.volts) : drawn;
  const supplies = overlaid(
    base?.supplies ?? [],
    (s) => s.id,
    allStanding(state, 'foundSupply'),
    (e) => e.supply,
  );
  const parts = overlaid(
    base?.parts ?? [],
    (p) => p.id,
    allStanding(state, 'foundPart'),
    (e) => e.part,
  );
  const ids = wireIds(base?.wires ?? []);
  const wires = overlaid(
    (base?.wires ?? []).map((wire, i) => ({ id: ids[i]!, wire })),
    (w) => w.id,
    allStanding(state, 'foundWire').map((e) => ({
      id: e.id,
      wire: e.wire === null ? null : { id: e.id, wire: e.wire },
    })),
    (e) => e.wire,
  ).map(({ id, what }) => ({ id, what: what.wire }));
  const read = base
    ? readCircuit({
        ...base,
        supplies: supplies.map((s) => s.what),
        parts: parts.map((p) => p.what),
        wires: wires.map((w) => w.what),
      })
    : null;
  const problem = isFileProblem(read) ? read : null;
  const found = read === null || isFileProblem(read) ? null : read;
  const loads = allStanding(state, 'unitLoad').flatMap((e) =>
    e.load === null ? [] : [{ id: e.id, what: e.load }],
  );
  const traced = found !== null && found.parts.some((p) => p.kind === 'load') ? found : null;
  const needs = unit
    ? needsOf(
        unit,
        loads.map((l) => l.what),
        traced,
      )
    : null;
  const plan =
    found && replacement && found.parts.length > 0
      ? withChoices(convert(found, replacement), found, state)
      : null;
  const readings = {
    found: readingsOf(state, 'found', found),
    plan: readingsOf(state, 'plan', plan?.circuit ?? null),
  };
  return {
    started,
    supplies,
    parts,
    wires,
    doubts: allStanding(state, 'doubt').flatMap((e) => (e.fact === null ? [] : [{ id: e.id, what: e.fact }])),
    loads,
    measures: measuresOf(state),
    found,
    problem,
    supplyQuestion: supplyQuestion(unit, found),
    needs,
    fit: needs && replacement ? (fit(needs, [replacement])[0] ?? null) : null,
    plan,
    tasks: plan ? tasksOf(plan) : [],
    wired: new Set(allStanding(state, 'wired').flatMap((w) => (w.done ? [w.wire] : []))),
    readings,
    judged: plan ? judge(plan.circuit, readings.plan) : [],
    power: powerOf(state),
    pictures: allStanding(state, 'picture').filter((picture) => picture.gone !== true),
  };
}

/** Volts of the survey that no pair of lines of the circuit has. */
function supplyQuestion(unit: UnitDescription | null, found: Circuit | null): string | null {
  const said = unit?.supply?.volts;
  const offered = found ? offeredVolts(found) : [];
  if (said === undefined || offered.length === 0) return null;
  if (offered.some((volts) => Math.abs(volts / said - 1) < SAME_VOLTS)) return null;
  return `The survey says ${said} V, the circuit as found has ${offered.map((v) => `${v} V`).join(' or ')}: which is right? Meter it before anything is planned on it.`;
}
/** Volts that differ by less are one supply, as a share (common practice: ±10 %). */
const SAME_VOLTS = 0.1;

/** The circuit a tracing begins from, typical or empty. */
export function baseCircuit(id: string): Circuit | null {
  return typicalConversion(id)?.circuit ?? blankCircuits.find((blank) => blank.id === id)?.circuit ?? null;
}

/** Wires that a person has to move, add or bridge: everything but what stays and what is inside a device. */
export function tasksOf(plan: ConversionPlan): readonly string[] {
  const ids = wireIds(plan.circuit.wires);
  return plan.circuit.wires.flatMap((wire, i) =>
    wire.internal || wire.change === 'kept' || wire.change === undefined ? [] : [ids[i]!],
  );
}

/** What stands in the base, each replaced or taken away by its own entry; what is new comes after. */
function overlaid<What, Entry extends { readonly id: string }>(
  base: readonly What[],
  idOf: (what: What) => string,
  entries: readonly Entry[],
  whatOf: (entry: Entry) => What | null,
): readonly Traced<What>[] {
  const written = new Map(entries.map((entry) => [entry.id, whatOf(entry)]));
  const kept = base.flatMap((what) => {
    const id = idOf(what);
    const now = written.has(id) ? written.get(id)! : what;
    return now === null ? [] : [{ id, what: now }];
  });
  const known = new Set(base.map(idOf));
  const added = [...written].flatMap(([id, what]) => (what === null || known.has(id) ? [] : [{ id, what }]));
  return [...kept, ...added];
}

function readingsOf(state: JobState, which: WiredCircuit, circuit: Circuit | null): readonly Reading[] {
  if (!circuit) return [];
  const network = networkOf(circuit);
  return allStanding(state, 'reading').flatMap((entry): Reading[] => {
    if (entry.circuit !== which || entry.value === null) return [];
    const { place } = entry;
    // A reading of a plan that has changed since stays in the record and is no longer judged.
    return placeStands(network, place)
      ? [{ ...place, reads: { value: entry.value, unit: meterUnitOf(place) } }]
      : [];
  });
}

function judge(circuit: Circuit, readings: readonly Reading[]): readonly JudgedReading[] {
  if (readings.length === 0) return [];
  const network = networkOf(circuit);
  const bench = new Bench({ network, effect: {} });
  const ground = groundsOf(network);
  return readings.map((reading) => {
    const expected = bench.expect(reading);
    const row = { unit: meterUnitOf(reading), expected, ground: ground(reading) };
    return { reading, expected, verdict: judgeReading(row, reading.reads.value) };
  });
}

/** Readings for the fault finder: ohms that are right stand with those of the model, since a whole winding's own are not known. */
export function forTheFinder(judged: readonly JudgedReading[]): readonly Reading[] {
  return judged.map(({ reading, expected, verdict }) =>
    meterUnitOf(reading) === 'ohm' && verdict === 'right' && Number.isFinite(expected)
      ? { ...reading, reads: { ...reading.reads, value: expected } }
      : reading,
  );
}

/** Colours and gauges chosen by hand stand over the planned ones. */
function withChoices(plan: ConversionPlan, found: Circuit, state: JobState): ConversionPlan {
  const chosen = new Map(allStanding(state, 'planWire').map((e) => [e.wire, e]));
  if (chosen.size === 0) return plan;
  const ids = wireIds(plan.circuit.wires);
  const wires = plan.circuit.wires.map((wire, i) => {
    const choice = chosen.get(ids[i]!);
    return choice
      ? {
          ...wire,
          ...(choice.colour ? { colour: choice.colour } : {}),
          ...(choice.gauge ? { gauge: choice.gauge } : {}),
        }
      : wire;
  });
  const circuit = { ...plan.circuit, wires };
  return { ...plan, circuit, findings: findingsOf(circuit, found) };
}

function measuresOf(state: JobState): SiteMeasures {
  const values = new Map<MeasureId, number>(
    allStanding(state, 'measure').flatMap((m) => (m.value === null ? [] : [[m.measure, m.value] as const])),
  );
  const number = (id: 'probeMetres' | 'wireMetres' | 'pipeMm') =>
    values.has(id) ? { [id]: values.get(id)! } : {};
  const [width, height] = [values.get('holeWidthMm'), values.get('holeHeightMm')];
  return {
    ...number('probeMetres'),
    ...number('wireMetres'),
    ...number('pipeMm'),
    ...(width !== undefined && height !== undefined ? { hole: { widthMm: width, heightMm: height } } : {}),
    ...(values.get('inWater') === 1 ? { inWater: true } : {}),
  };
}

function powerOf(state: JobState): PowerLog {
  const last = (which: string) => state.registers.get(`power:${which}`)?.at(-1) ?? null;
  const lockedOut = last('lockedOut');
  const live = last('live');
  return {
    lockedOutAt: lockedOut?.entry.deviceTime ?? null,
    liveAt: live?.entry.deviceTime ?? null,
    now: !lockedOut && !live ? 'unknown' : isLater(live, lockedOut) ? 'live' : 'lockedOut',
  };
}

/** By the server's sequence, never by clocks; what is not sent yet comes after, in the order of the device. */
function isLater(a: Head | null, b: Head | null): boolean {
  if (!a || !b) return a !== null;
  const [x, y] = [a.sequence ?? Infinity, b.sequence ?? Infinity];
  return x === y ? a.entry.deviceSequence > b.entry.deviceSequence : x > y;
}
