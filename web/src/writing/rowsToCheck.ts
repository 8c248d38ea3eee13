import { CLEAR } from '@brine/core/controllers/suggest';
import type { LiveWriting, WritingRow } from './useWriting.ts';

/** Rows that somebody should look at: something is wrong or missing, the meaning is unsure, or an option goes by custom. */
export function rowsToCheck(live: LiveWriting): readonly WritingRow[] {
  const open = new Set(live.draft.value.open.map(({ line }) => line));
  return live.rows.value.filter(
    (row) =>
      !row.omitted &&
      (open.has(row.line) ||
        row.problems.length > 0 ||
        (!row.decided && (row.setting === null || row.score < CLEAR)) ||
        row.choices.some((choice) => row.setting !== null && !choice.sure)),
  );
}

/** A row is right as it stands: its meaning and what its options stand for are decided so. */
export function acceptRow(live: LiveWriting, row: WritingRow): void {
  live.decide(row.key, row.setting);
  for (const choice of row.choices)
    if (!choice.sure && choice.means !== null) live.say(row.key, choice.value, choice.means);
}
