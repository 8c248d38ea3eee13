import { LONGEST_NAME } from '@brine/contract/lengths';
import { cutText } from '../../shared/ui/cutText.ts';
import { ref, shallowRef, watch } from 'vue';
import {
  clockIso,
  guessLayout,
  type GuessedLayout,
  type Log,
  type LogLayout,
  type Tidied,
} from '@brine/core/logs/reading';
import type { Judged } from '@brine/core/logs/against';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { addressOf } from '../../shared/api/client.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { takenFile } from '../../shared/kept/files.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import { useWaitingLogs } from '../../shared/waitingLogs/useWaitingLogs.ts';

/** Enough of a file to see how it is laid out. */
const BEGINNING = 96 * 1024;

/** A file that was chosen and neither kept nor replaced, by its job: it is there again when one comes back to the page. */
const unkept = new Map<string, { readonly file: File; readonly layout: LogLayout | null }>();
addEventListener('beforeunload', (event) => unkept.size > 0 && event.preventDefault());

/** A log that was read and judged. */
export interface ReadLog {
  readonly name: string;
  readonly log: Log;
  readonly tidied: Tidied;
  readonly judged: Judged;
}

/** A logger's file on its way: chosen, its layout guessed and mended, read in a worker, judged against the settings, kept with the job. */
export function useLog(job: OpenJob) {
  const display = useDisplay();
  const session = useSession();
  const file = shallowRef<File | null>(null);
  const guessed = shallowRef<GuessedLayout | null>(null);
  // Shallow: what is written to the device must be plain.
  const layout = shallowRef<LogLayout | null>(null);
  const read = shallowRef<ReadLog | null>(null);
  const share = ref<number | null>(null);
  const sending = ref(false);
  const sent = ref<string | null>(null);
  const { running, problem, start, stop } = latestRun();
  const onDevice = useWaitingLogs(job.id);
  const left = unkept.get(job.id);
  if (left)
    void choose(left.file).then(() => {
      if (left.layout) layout.value = left.layout;
      return readFile();
    });
  watch(layout, (now) => {
    const before = unkept.get(job.id);
    if (before) unkept.set(job.id, { ...before, layout: now });
  });

  async function choose(chosen: File): Promise<void> {
    stop();
    read.value = null;
    sent.value = null;
    problem.value = null;
    file.value = chosen;
    unkept.set(job.id, { file: chosen, layout: null });
    const text = await chosen.slice(0, BEGINNING).text();
    if (text.trim() === '' || text.includes('\u0000')) {
      unkept.delete(job.id);
      guessed.value = null;
      layout.value = null;
      problem.value =
        text.trim() === ''
          ? `${chosen.name} is empty; expected a log with a time and readings.`
          : `${chosen.name} is not a text file; expected CSV. Export it as CSV from the logger’s program.`;
      return;
    }
    // A line that is cut at the end would look odd.
    guessed.value = guessLayout(text.length < BEGINNING ? text : text.slice(0, text.lastIndexOf('\n') + 1));
    layout.value = guessed.value.layout;
  }

  const readIn = (source: Blob, name: string, by: LogLayout) =>
    start(async ({ signal, isCurrent }) => {
      share.value = 0;
      const settings = Object.keys(job.program.value.inForce).length > 0 ? job.program.value.inForce : null;
      const result = await core.run(
        'readLog',
        { file: source, layout: by, settings, display: display.unit },
        { signal, share: (done) => (share.value = done) },
      );
      if (!isCurrent()) return;
      if ('problem' in result) throw new Error(`${name}, ${result.field}: ${result.message}`);
      read.value = { name, ...result };
    }).finally(() => (share.value = null));

  async function readFile(): Promise<void> {
    if (file.value && layout.value) await readIn(file.value, file.value.name, layout.value);
  }

  /** Hands the file to the server as it is and keeps it with the job; while the server is away, on this device. */
  async function keep(): Promise<void> {
    const [source, by, result] = [file.value, layout.value, read.value];
    if (!source || !by || !result) return;
    sending.value = true;
    problem.value = null;
    try {
      const id = newId();
      const name = cutText(source.name, LONGEST_NAME);
      await onDevice.handOver({ id, job: job.id, name, layout: by, file: source });
      const { time, clock } = result.log;
      await job.write({
        kind: 'log',
        id,
        name,
        layout: by,
        samples: time.length,
        from: clockIso(clock, time[0]!),
        to: clockIso(clock, time.at(-1)!),
        findings: [...new Set(result.judged.findings.map((f) => f.code))],
      });
      sent.value = id;
      unkept.delete(job.id);
    } catch (error) {
      problem.value = (error as Error).message;
    }
    sending.value = false;
  }

  /** Opens a log that is kept with the job, from this device where it waits here, else from the server. */
  async function open(id: string, name: string): Promise<void> {
    unkept.delete(job.id);
    sent.value = null;
    file.value = null;
    guessed.value = null;
    layout.value = null;
    read.value = null;
    problem.value = null;
    const here = await onDevice.read(id);
    if (here) {
      await readIn(here.file, name, here.layout);
      sent.value = id;
      return;
    }
    const taken = await takenFile(session.person?.id, id);
    const answer = taken
      ? null
      : await fetch(addressOf('log', { id: job.id, log: id }), { credentials: 'same-origin' }).catch(
          () => null,
        );
    if (!taken && !answer?.ok) {
      problem.value =
        answer?.status === 404 ? `${name} is not on this server.` : 'The server does not answer; try again.';
      return;
    }
    const blob = taken ?? (await answer!.blob());
    const head = await blob.slice(0, BEGINNING).text();
    await readIn(blob, name, guessLayout(head).layout);
    sent.value = id;
  }

  return {
    file,
    guessed,
    layout,
    read,
    share,
    running,
    problem,
    sending,
    sent,
    waiting: onDevice.waiting,
    waitingProblem: onDevice.problem,
    choose,
    readFile,
    keep,
    open,
    stop,
  };
}
