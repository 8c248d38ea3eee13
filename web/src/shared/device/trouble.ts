import { computed, readonly, shallowRef } from 'vue';

/** What is wrong with this browser's own storage. */
export type Trouble =
  /** The page is older than what a newer program kept here. */
  | 'older'
  /** Another tab with an older program holds the storage. */
  | 'held'
  /** No room is left. */
  | 'full'
  /** The browser keeps nothing: a private window, or storage turned off. */
  | 'refused';

/** A database of this browser that cannot be used now, and why. */
export class DeviceError extends Error {
  readonly trouble: Trouble;

  constructor(trouble: Trouble, cause?: unknown) {
    super(troubleWords[trouble], { cause });
    this.trouble = trouble;
  }
}

const HELD_IN_PAGE =
  'What you type is held in this page alone until it is sent: keep the page open until nothing waits.';

/** A sentence for each: what it means for what is typed, and what to do. */
export const troubleWords: Readonly<Record<Trouble, string>> = {
  older: `This page is older than what is kept on this device. ${HELD_IN_PAGE} Then load it again.`,
  held: `Another tab with an older Brine Dial holds the storage of this device: close it, or load it again. ${HELD_IN_PAGE}`,
  full: `This device is full. ${HELD_IN_PAGE} Then make room.`,
  refused: `This browser keeps nothing: a private window, or storage turned off. ${HELD_IN_PAGE}`,
};

const inTrouble = shallowRef<ReadonlyMap<string, Trouble>>(new Map());
const order: readonly Trouble[] = ['older', 'held', 'full', 'refused'];

/** Says what is wrong with a database, or that it works again. */
export function noteTrouble(database: string, trouble: Trouble | null): void {
  if ((inTrouble.value.get(database) ?? null) === trouble) return;
  const next = new Map(inTrouble.value);
  if (trouble === null) next.delete(database);
  else next.set(database, trouble);
  inTrouble.value = next;
}

/** The gravest trouble of all databases of this page; null while everything is kept. */
export const deviceTrouble = readonly(
  computed<Trouble | null>(
    () => order.find((trouble) => [...inTrouble.value.values()].includes(trouble)) ?? null,
  ),
);

/** The trouble that an error of the browser's database tells of; null where it is none of the storage. */
export function troubleOf(error: unknown): Trouble | null {
  if (error instanceof DeviceError) return error.trouble;
  switch ((error as DOMException | null)?.name) {
    case 'VersionError':
      return 'older';
    case 'QuotaExceededError':
      return 'full';
    // Cut off again and again: a single time is tried anew before.
    case 'AbortError':
    case 'InvalidStateError':
    case 'SecurityError':
    case 'UnknownError':
    case 'NotAllowedError':
      return 'refused';
    default:
      return null;
  }
}
