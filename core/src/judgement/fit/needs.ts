import type { ProbeRole, UnitDescription } from '../../foundation/unit/index.ts';
import { isQuantity } from '../../foundation/quantities/index.ts';
import { isMachine } from '../../foundation/settings/index.ts';
import { fileProblem, type FileProblem } from '../../foundation/files/index.ts';
import type { Circuit, ContactorPart, LoadPart } from '../../wiring/circuit/index.ts';
import { consumersOf, oldDeviceOf } from '../../wiring/conversion/index.ts';
import { demandOf, outputOfRole, type Demand } from '../../wiring/suitability/index.ts';
import { offeredVolts } from '../../wiring/conversion/index.ts';
import { traceOf } from '../../wiring/conversion/index.ts';

/** A load of the unit's plate: watts or amps, volts, phases; locked rotor amps where the plate has them. */
export interface UnitLoad {
  readonly role: string;
  readonly name?: string;
  readonly watts?: number;
  readonly amps?: number;
  readonly volts?: number;
  readonly phases?: number;
  readonly lockedRotorAmps?: number;
}

/** One output the control must have, and what it must carry; null where nobody has said. */
export interface OutputNeed {
  readonly output: string;
  readonly demand: Demand | null;
  /** True where a relay cannot switch it itself, whatever its rating: three phases. */
  readonly threePhase: boolean;
}

/** What a unit asks of a control. */
export interface UnitNeeds {
  readonly unit: UnitDescription;
  readonly outputs: readonly OutputNeed[];
  readonly probes: readonly ProbeRole[];
  readonly probeTypes: readonly string[];
  /** Volts on offer in the cabinet; empty where nobody has said. */
  readonly volts: readonly number[];
  readonly dc: boolean;
  readonly door: boolean;
  readonly bus: boolean;
}

/** Reads the loads of a unit description, numbers or quantities: the first field that does not fit, or the loads. */
export function readLoads(unit: UnitDescription): readonly UnitLoad[] | FileProblem {
  const raw = unit.loads;
  if (raw === undefined) return [];
  if (!Array.isArray(raw))
    return fileProblem(
      'loads',
      'expected a list of loads such as {"role": "compressor", "watts": 900, "volts": 120}',
    );
  const loads: UnitLoad[] = [];
  for (const [i, item] of (raw as unknown[]).entries()) {
    if (typeof item !== 'object' || item === null) return fileProblem(`loads[${i}]`, 'expected an object');
    const fields = item as Record<string, unknown>;
    if (typeof fields['role'] !== 'string')
      return fileProblem(`loads[${i}].role`, 'expected a role such as "compressor"');
    const numbers: Record<string, number> = {};
    for (const field of ['watts', 'amps', 'volts', 'phases', 'lockedRotorAmps']) {
      const value = isQuantity(fields[field]) ? fields[field].value : fields[field];
      if (value === undefined) continue;
      if (typeof value !== 'number' || !Number.isFinite(value) || value <= 0)
        return fileProblem(
          `loads[${i}].${field}`,
          `expected a number above 0, found ${JSON.stringify(value)}`,
        );
      numbers[field] = value;
    }
    if (numbers['watts'] === undefined && numbers['amps'] === undefined)
      return fileProblem(`loads[${i}]`, 'expected watts or amps from the plate');
    loads.push({ role: fields['role'], ...numbers });
  }
  return loads;
}

/** Kinds of unit that have no evaporator fan (common practice). */
const still: ReadonlySet<string> = new Set([
  'chilledWaterTank',
  'vehicleFridge',
  'iceCreamCabinet',
  'hotCupboard',
]);

/** What the unit asks: outputs from its loads (or from the circuit as found), else from what such a unit has. */
export function needsOf(
  unit: UnitDescription,
  loads: readonly UnitLoad[],
  found: Circuit | null = null,
): UnitNeeds {
  const supply = unit.supply;
  const volts = found ? offeredVolts(found) : supply ? [supply.volts] : [];
  const dc = found ? found.supplies.some((s) => s.kind === 'dc') : supply?.kind === 'dc';
  const types = unit.probeTypes ?? [];
  return {
    unit,
    outputs: outputsOf(unit, loads, found),
    probes: unit.probes,
    probeTypes: types,
    volts,
    dc,
    door: unit.doorContact === true,
    bus: unit.bus === true,
  };
}

/** What is stated of loads, and what such a unit has besides: naming its compressor takes nothing of it away. */
function outputsOf(
  unit: UnitDescription,
  loads: readonly UnitLoad[],
  found: Circuit | null,
): readonly OutputNeed[] {
  const stated = found ? fromCircuit(unit, found) : fromLoads(unit, loads);
  // A load that is in the circuit and on no output of a control is worked otherwise: nobody asks for it.
  const known = new Set([
    ...stated.map(({ output }) => output),
    ...(found?.parts ?? []).flatMap((part) => (part.kind === 'load' ? [outputOfRole(part.role)] : [])),
  ]);
  return [...stated, ...usual(unit).filter(({ output }) => !known.has(output))];
}

function fromLoads(unit: UnitDescription, loads: readonly UnitLoad[]): readonly OutputNeed[] {
  const groups = new Map<string, UnitLoad[]>();
  for (const load of loads) {
    const output =
      load.role === 'condenserFan'
        ? isMachine(unit.application)
          ? 'condenserFan'
          : 'compressor'
        : outputOfRole(load.role);
    if (output !== null) groups.set(output, [...(groups.get(output) ?? []), load]);
  }
  return [...groups].map(([output, group]) => ({
    output,
    demand: demandOf(group.map((load) => asPart(load, unit.supply?.volts))),
    threePhase: group.some((load) => load.phases === 3),
  }));
}

/** A load of the plate as a part: watts and volts, or amps and volts. */
function asPart(load: UnitLoad, supplyVolts: number | undefined): LoadPart {
  const volts = load.volts ?? supplyVolts ?? 120;
  const amps = load.amps ?? load.watts! / (volts * (load.phases === 3 ? Math.sqrt(3) : 1));
  return {
    id: load.role,
    kind: 'load',
    role: load.role,
    terminals: ['1', '2'],
    watts: load.watts ?? amps * volts,
    ratedVolts: volts,
    amps,
    ...(load.lockedRotorAmps === undefined ? {} : { lockedRotorAmps: load.lockedRotorAmps }),
  };
}

function fromCircuit(unit: UnitDescription, found: Circuit): readonly OutputNeed[] {
  const trace = traceOf(found);
  const old = oldDeviceOf(trace);
  const groups = new Map<string, (LoadPart | ContactorPart)[]>();
  for (const c of consumersOf(
    trace,
    old,
    new Set(['compressor', 'defrost', 'fan', 'stage2', 'condenserFan']),
  )) {
    const output = outputOn(unit, c.output);
    groups.set(output, [...(groups.get(output) ?? []), c.part]);
  }
  return [...groups].map(([output, parts]) => ({
    output,
    demand: demandOf(parts),
    threePhase: parts.some((p) => p.kind === 'load' && p.terminals.length === 3),
  }));
}

/** In a box the condenser's fan runs with the compressor; what a control of condenser fans switches are fans, whichever relay did it before. */
function outputOn({ application }: UnitDescription, output: string): string {
  if (!isMachine(application)) return output === 'condenserFan' ? 'compressor' : output;
  return output === 'compressor' ? 'condenserFan' : output;
}

function usual(unit: UnitDescription): readonly OutputNeed[] {
  if (unit.application === 'heatMeter') return [];
  if (isMachine(unit.application)) return [{ output: 'condenserFan', demand: null, threePhase: false }];
  const outputs = ['compressor'];
  if (unit.defrostMethod === 'electric' || unit.defrostMethod === 'hotGas') outputs.push('defrost');
  if (!still.has(unit.application)) outputs.push('fan');
  if (unit.heats === true) outputs.push('stage2');
  return outputs.map((output) => ({ output, demand: null, threePhase: false }));
}
