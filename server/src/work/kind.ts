import type { Means } from '../http/context.ts';
import type { ClaimedWork } from './work.repository.ts';

/** Work as its kind is given it. */
export interface WorkUnderWay extends Pick<ClaimedWork, 'id' | 'subject' | 'askedBy'> {
  /** The server that does it, as the database knows it. */
  readonly runner: string;
  /** Aborted where it was stopped, was taken up by another server, or this one ends. */
  readonly signal: AbortSignal;
}

/**
 * Does one kind of work. It may be begun anew at any point, here or on another server, and then goes on from what the database holds: it writes only what
 * may be written twice. Ends with an error where the signal is aborted.
 */
export type DoWork = (means: Means, work: WorkUnderWay) => Promise<void>;

/** It is no longer this server's: stopped, or taken up by another. */
export class NotOurs extends Error {}
