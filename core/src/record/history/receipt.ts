import type { AcceptedEntry, Entry } from '../entries/index.ts';

/** When the server that first took an entry received it: of an imported one, the server it came from. */
export const receiptOf = (entry: AcceptedEntry): string => entry.foreign?.receivedAt ?? entry.receivedAt;

/**
 * When something was typed, to be shown: the device's clock, but never after the server had it. A phone a year ahead shows the time of
 * receipt instead; one behind cannot be told from one without signal.
 */
export const typedAt = (entry: AcceptedEntry): string => {
  const received = receiptOf(entry);
  return Date.parse(entry.deviceTime) <= Date.parse(received) ? entry.deviceTime : received;
};

/** Orders what was accepted: by receipt, then by the sequence of its job. Never by a device's clock. */
export const byReceipt = (a: AcceptedEntry, b: AcceptedEntry): number =>
  Date.parse(receiptOf(a)) - Date.parse(receiptOf(b)) || a.sequence - b.sequence;

/** True for an entry that a server has accepted. */
export const isAccepted = (entry: Entry): entry is AcceptedEntry => 'receivedAt' in entry;
