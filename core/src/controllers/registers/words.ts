import type { Register, RegisterType } from '../definitions/index.ts';

/** Smallest and largest whole number of a type. */
const RANGE: Readonly<Record<Exclude<RegisterType, 'float32'>, readonly [number, number]>> = {
  int16: [-0x8000, 0x7fff],
  uint16: [0, 0xffff],
  int32: [-0x80000000, 0x7fffffff],
  uint32: [0, 0xffffffff],
  bit: [0, 1],
};

/** Whether a stored number fits the type; whole where the type is. */
export function fitsType(stored: number, type: RegisterType): boolean {
  if (type === 'float32') return Number.isFinite(stored) && Math.abs(stored) <= 3.4028234663852886e38;
  const [least, most] = RANGE[type];
  return Number.isInteger(stored) && stored >= least && stored <= most;
}

/**
 * A stored number as 16-bit words in the order they go over the wire: two's complement, IEEE 754 for float32, a bit as 0 or 1. `stored` must fit
 * the type ({@link fitsType}).
 */
export function toWords(stored: number, { type, wordOrder }: Pick<Register, 'type' | 'wordOrder'>): number[] {
  const view = new DataView(new ArrayBuffer(4));
  switch (type) {
    case 'bit':
    case 'int16':
    case 'uint16':
      view.setUint16(0, stored & 0xffff);
      return [view.getUint16(0)];
    case 'float32':
      view.setFloat32(0, stored);
      break;
    default:
      view.setUint32(0, stored >>> 0);
  }
  const words = [view.getUint16(0), view.getUint16(2)];
  return wordOrder === 'lowFirst' ? words.reverse() : words;
}

/** The stored number of words as they came over the wire. */
export function fromWords(
  words: readonly number[],
  { type, wordOrder }: Pick<Register, 'type' | 'wordOrder'>,
): number {
  const view = new DataView(new ArrayBuffer(4));
  const [first = 0, second = 0] = wordOrder === 'lowFirst' && words.length > 1 ? [words[1], words[0]] : words;
  view.setUint16(0, first);
  view.setUint16(2, second);
  switch (type) {
    case 'bit':
      return words[0] ? 1 : 0;
    case 'int16':
      return view.getInt16(0);
    case 'uint16':
      return view.getUint16(0);
    case 'int32':
      return view.getInt32(0);
    case 'uint32':
      return view.getUint32(0);
    default:
      return view.getFloat32(0);
  }
}
