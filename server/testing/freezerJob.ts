import { aJob, anEntry, type Client } from './harness.ts';
import { demoDefinition } from './demoDefinition.ts';

/** Writes entries on a job, each of which must be taken. */
export async function writeEntries(
  client: Client,
  jobId: string,
  bodies: readonly object[],
  from = 1,
): Promise<void> {
  const { json } = await client.call('POST', '/api/entries', {
    entries: bodies.map((body, i) => anEntry(jobId, from + i, body, { seen: 500 })),
  });
  const refused = json.results.filter((r: { status: string }) => r.status !== 'accepted');
  if (refused.length > 0) throw new Error(JSON.stringify(refused));
}

/** A job on a walk-in freezer whose survey is answered and whose new control is chosen, with what more is written on it. */
export async function freezerJob(
  client: Client,
  family: string,
  more: readonly object[] = [],
): Promise<string> {
  const { jobId } = await aJob(client);
  const pin = (await client.call('POST', '/api/controllers', { definition: demoDefinition(family) })).json
    .controller;
  await writeEntries(client, jobId, [
    { kind: 'answer', question: 'application', value: 'walkInFreezer' },
    { kind: 'answer', question: 'goods', value: 'frozenFish' },
    { kind: 'answer', question: 'defrostMethod', value: 'electric' },
    { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
    { kind: 'control', role: 'new', definition: pin },
    ...more,
  ]);
  return jobId;
}
