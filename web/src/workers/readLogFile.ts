import { fileProblem, type FileProblem } from '@brine/core/foundation/files';
import { layoutProblem, LogReader, type Log, type LogLayout, type Tidied } from '@brine/core/logs/reading';

/**
 * Reads a logger's file piece by piece, so that a year of minutes never stands in memory as text. Tells the share read; a sentence where it cannot be read.
 */
export async function readLogFile(
  file: Blob,
  layout: LogLayout,
  share: (share: number) => void,
): Promise<{ readonly log: Log; readonly tidied: Tidied } | FileProblem> {
  const problem = layoutProblem(layout);
  if (problem) return fileProblem('columns', problem);
  const reader = new LogReader(layout);
  const decoder = new TextDecoder();
  const pieces = file.stream().getReader();
  let read = 0;
  for (let piece = await pieces.read(); !piece.done; piece = await pieces.read()) {
    reader.push(decoder.decode(piece.value, { stream: true }));
    read += piece.value.byteLength;
    share(read / Math.max(1, file.size));
  }
  reader.push(decoder.decode());
  const { log, tidied } = reader.finish();
  if (log.time.length > 0) return { log, tidied };
  const first = tidied.problems[0];
  return fileProblem(
    first ? `line ${first.line}` : '(file)',
    first?.why ?? 'expected at least one row of readings',
  );
}
