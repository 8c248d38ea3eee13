import type { Block } from '@brine/core/controllers/registers';

/** What asks the devices of a line, one request at a time: a connection of this process, or one that a program on site holds. */
export interface Master {
  /** The words (or bits as 0 and 1) of a block. Throws `LineFailure`. */
  read(unit: number, block: Omit<Block, 'registers'>): Promise<readonly number[]>;
  /** Writes once: whether it was taken is not known when it fails without an answer. Throws `LineFailure`. */
  write(unit: number, by: 5 | 6 | 16, address: number, words: readonly number[]): Promise<void>;
  /** Gives the line up; what still waits fails. */
  close(): void;
  /** Requests sent so far. */
  readonly requests: number;
}
