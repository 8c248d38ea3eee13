import type { EntryBody } from '@brine/contract/entries';

/** An entry as a device makes it. `seen` is the last sequence of this job the device had seen when it was typed. */
export interface Entry {
  readonly id: string;
  readonly job: string;
  readonly device: string;
  readonly deviceSequence: number;
  readonly deviceTime: string;
  readonly seen: number;
  readonly author: string;
  readonly body: EntryBody;
}

/** An entry the server has accepted: it has its place in the job. */
export interface AcceptedEntry extends Entry {
  readonly sequence: number;
  readonly receivedAt: string;
  /** Set where it was imported: who wrote it elsewhere, and when it was received there. */
  readonly foreign?: { readonly author: string; readonly receivedAt: string };
}
