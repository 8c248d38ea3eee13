import { readFunctionOf, wordsIn, type Register } from '../definitions/index.ts';

/** One request: which registers are read by it. */
export interface Block {
  readonly function: 1 | 2 | 3 | 4;
  readonly address: number;
  readonly count: number;
  readonly registers: readonly Register[];
}

/** The most that one request may ask for. Source: Modbus Application Protocol V1.1b3, 6.1 and 6.3. */
export const MOST = { bits: 2000, registers: 125 } as const;
/** So many registers that nobody asked for are read along, where that saves a request: an answer of 20 ms costs more than a few words. Ours. */
const GAP = 12;

/** The fewest requests, in the order of addresses, that read all of some registers. `gap`: as above; 0 where the device refuses what it does not have. */
export function blocksOf(registers: readonly Register[], gap = GAP): readonly Block[] {
  const sorted = registers.toSorted((a, b) => readFunctionOf(a) - readFunctionOf(b) || a.address - b.address);
  const blocks: { function: 1 | 2 | 3 | 4; address: number; count: number; registers: Register[] }[] = [];
  for (const register of sorted) {
    const by = readFunctionOf(register);
    const end = register.address + wordsIn(register.type);
    const last = blocks.at(-1);
    const most = by <= 2 ? MOST.bits : MOST.registers;
    if (
      last?.function === by &&
      register.address - (last.address + last.count) <= gap &&
      end - last.address <= most
    ) {
      last.count = Math.max(last.count, end - last.address);
      last.registers.push(register);
    } else
      blocks.push({
        function: by,
        address: register.address,
        count: wordsIn(register.type),
        registers: [register],
      });
  }
  return blocks;
}

/** The words of one register out of what a block brought. */
export const cutOut = (block: Block, words: readonly number[], register: Register): readonly number[] =>
  words.slice(register.address - block.address, register.address - block.address + wordsIn(register.type));
