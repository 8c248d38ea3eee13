import { added, type Body } from '@brine/core/record/fold';
import { foundSheet } from '@brine/core/record/job';
import type { EntryBody, FrozenRow, PinnedDefinition } from '@brine/core/record/entries';
import type { OpenJob } from '../shared/job/useJob.ts';

type SheetBody = Extract<EntryBody, { kind: 'sheet' }>;

/**
 * The settings sheets of a job as versions: as found, planned, as left. Each pins its controller definition by version and hash, and
 * names the version of its own kind that was kept before as its parent.
 */
export function frozenSheets(job: OpenJob): readonly SheetBody[] {
  const rows = job.program.value.rows;
  const found = foundSheet(job.state.value, job.old.value).map((row): FrozenRow => ({
    code: row.code,
    value: row.value,
  }));
  const planned = rows.map((row): FrozenRow => ({
    code: row.code,
    value: row.value,
    setting: row.settings[0] ?? null,
  }));
  const left = rows
    .filter((row) => row.state === 'keyed' || row.state === 'showsElse')
    .map((row): FrozenRow => ({
      code: row.code,
      value: row.state === 'showsElse' ? (row.shown ?? '') : row.value,
      setting: row.settings[0] ?? null,
    }));
  return [
    sheet(job, 'found', job.oldPin.value, found),
    sheet(job, 'planned', job.newPin.value, planned),
    sheet(job, 'left', job.newPin.value, left),
  ].filter((s) => s.rows.length > 0);
}

function sheet(
  job: OpenJob,
  kind: Body<'sheet'>['sheet'],
  definition: PinnedDefinition | null,
  rows: readonly FrozenRow[],
): SheetBody {
  const before = added(job.state.value, 'sheet')
    .filter(({ entry }) => entry.body.kind === 'sheet' && entry.body.sheet === kind)
    .at(-1);
  return { kind: 'sheet', sheet: kind, parent: before?.entry.id ?? null, definition, rows };
}
