import {
  displayOf,
  fullMemory,
  parameterOf,
  readFunctionOf,
  sameCodeValue,
  scaleOf,
  wordsIn,
  writeFunctionOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type Parameter,
  type Register,
} from '../../controllers/definitions/index.ts';
import { atEase, store, type PanelState } from '../../controllers/panel/index.ts';
import { codeValueOf, MOST, readingWords, wordsOf } from '../../controllers/registers/index.ts';
import type { TemplateId } from '../../machines/box/index.ts';
import type { Fault } from '../../machines/simulation/index.ts';
import { unitBehind, type UnitBehind } from '../drills/index.ts';

/** What a device answers where it does not do as asked. Source: Modbus Application Protocol V1.1b3, 7. */
export const EXCEPTION = { function: 1, address: 2, value: 3, failure: 4, busy: 6 } as const;
export type Exception = (typeof EXCEPTION)[keyof typeof EXCEPTION];

/** What a device does otherwise than its booklet says. */
export interface DeviceTroubles {
  /** Faults of the box and its parts, from second to second of the run. */
  readonly box: readonly Fault[];
  /** Nothing is taken over the bus: keypad and bus are locked. */
  readonly locked: boolean;
  /** Codes that take nothing. */
  readonly lockedCodes: readonly string[];
  /** Codes that stop short of what the booklet allows: the least and the most they take, as shown. What is beyond is stored as the limit, without a word. */
  readonly clamps: ReadonlyMap<string, readonly [number, number]>;
}

export const noTroubles: DeviceTroubles = { box: [], locked: false, lockedCodes: [], clamps: new Map() };

type Behind = Pick<PanelState, 'memory' | 'deeds' | 'condition'>;
/** An unlocked write stays so for this long, s. Ours. */
const OPEN_FOR = 60;

/**
 * A controller on a bus that is none: its codes, its control machine and a box, behind the registers of its definition. What is written is what the machine works with from the
 * next second on. Time passes only when it is told so.
 */
export class StandInDevice {
  readonly definition: ControllerDefinition;
  private readonly troubles: DeviceTroubles;
  private state: Behind;
  private readonly unit: UnitBehind | null;
  private second = 0;
  /** Until when each unlock register is open. */
  private readonly open = new Map<number, number>();

  /** `given`: values of codes that somebody set; the rest stand at their defaults. */
  constructor(
    definition: ControllerDefinition,
    given: CodeValues = new Map(),
    troubles: DeviceTroubles = noTroubles,
    template: TemplateId | null = null,
  ) {
    this.definition = definition;
    this.troubles = troubles;
    this.state = { memory: fullMemory(definition, given), deeds: [], condition: atEase };
    this.unit = unitBehind(definition, this.state, troubles.box, template);
  }

  /** Values of its codes, as its display shows them. */
  get memory(): CodeValues {
    return this.state.memory;
  }

  /** What its machine reads and switches; null for a control that regulates no air. */
  get readings(): UnitBehind['readings'] | null {
    return this.unit?.readings ?? null;
  }

  /** Lets seconds pass at the unit. */
  pass(seconds: number): void {
    this.second += seconds;
    if (this.unit) this.state = this.unit.pass(this.state, seconds);
  }

  /** Words or bits from an address on, or why not. */
  read(by: 1 | 2 | 3 | 4, address: number, count: number): readonly number[] | Exception {
    if (count < 1 || count > (by <= 2 ? MOST.bits : MOST.registers)) return EXCEPTION.value;
    const words: number[] = [];
    let [known, i] = [false, 0];
    while (i < count) {
      const register = this.registerAt(by, address + i);
      const check = this.checkWord(by, address + i);
      if (register || check !== null) known = true;
      const held = register ? this.wordsOf(register) : check === null ? [0] : [check];
      if (held === null) return EXCEPTION.failure;
      const from = register ? address + i - register.address : 0;
      const part = held.slice(from, from + count - i);
      words.push(...part);
      i += part.length;
    }
    return known ? words : EXCEPTION.address;
  }

  /** Writes words from an address on: null where all are taken, else why not; then nothing is. */
  write(by: 5 | 6 | 16, address: number, words: readonly number[]): Exception | null {
    const wanted: { register: Register; words: readonly number[] }[] = [];
    for (let i = 0; i < words.length;) {
      const at = address + i;
      if (this.unlocks(at, words[i]!)) {
        i += 1;
        continue;
      }
      const register = this.registerAt(by === 5 ? 1 : 3, at);
      if (!register || register.address !== at) return EXCEPTION.address;
      if (register.writable !== true || writeFunctionOf(register) === null) return EXCEPTION.address;
      const count = wordsIn(register.type);
      if (i + count > words.length || (by === 6 && count === 2)) return EXCEPTION.value;
      wanted.push({ register, words: words.slice(i, i + count) });
      i += count;
    }
    let { memory } = this.state;
    for (const one of wanted) {
      const taken = this.taken(one.register, one.words, memory);
      if (typeof taken === 'number') return taken;
      memory = taken;
    }
    this.state = { ...this.state, memory };
    return null;
  }

  private taken(register: Register, words: readonly number[], memory: CodeValues): CodeValues | Exception {
    const { code, unlock } = register;
    const parameter = code === undefined ? undefined : parameterOf(this.definition, code);
    if (!parameter) return EXCEPTION.address;
    const isOpen = unlock === undefined || (this.open.get(unlock.address) ?? -1) >= this.second;
    if (this.troubles.locked || this.troubles.lockedCodes.includes(parameter.code) || !isOpen)
      return EXCEPTION.failure;
    const display = displayOf(this.definition, memory);
    const value = codeValueOf(register, parameter, words, display);
    if (value === null) return EXCEPTION.value;
    const kept = this.keptInside(parameter, value);
    if (kept === null) return EXCEPTION.value;
    return store(this.definition, memory, parameter.code, kept);
  }

  /** A value within what the code takes; null where it refuses. */
  private keptInside(parameter: Parameter, value: CodeValue): CodeValue | null {
    const { encoding, code } = parameter;
    if (encoding.type === 'reading') return null;
    if (encoding.type !== 'number') {
      const isPreset =
        encoding.type === 'preset' && this.definition.presets?.some(({ id }) => sameCodeValue(id, value));
      return encoding.type === 'preset' && !isPreset ? null : value;
    }
    const number = Number(value);
    const clamp = this.troubles.clamps.get(code);
    if (clamp) return Math.min(Math.max(number, clamp[0]), clamp[1]);
    const { min, max } = scaleOf(encoding, displayOf(this.definition, this.memory));
    return number < min - 1e-9 || number > max + 1e-9 ? null : number;
  }

  /** Whether a write opens something, and does. */
  private unlocks(address: number, value: number): boolean {
    const unlock = this.definition.registers?.find((one) => one.unlock?.address === address)?.unlock;
    if (!unlock) return false;
    if (unlock.value === value) this.open.set(address, this.second + OPEN_FOR);
    else this.open.delete(address);
    return true;
  }

  private registerAt(by: 1 | 2 | 3 | 4, address: number): Register | undefined {
    return this.definition.registers?.find(
      (one) =>
        readFunctionOf(one) === by && address >= one.address && address < one.address + wordsIn(one.type),
    );
  }

  private checkWord(by: number, address: number): number | null {
    const check = this.definition.registerCheck;
    return check?.function === by && check.address === address ? check.equals : null;
  }

  private wordsOf(register: Register): readonly number[] | null {
    if (register.reading !== undefined) {
      const readings = this.unit?.readings;
      return readings ? readingWords(register, readings[register.reading]) : null;
    }
    const parameter = parameterOf(this.definition, register.code!);
    const value = this.state.memory.get(register.code!);
    return parameter && value !== undefined
      ? wordsOf(register, parameter, value, displayOf(this.definition, this.state.memory))
      : null;
  }
}
