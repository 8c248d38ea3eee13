import type { ProgramRow } from '@brine/core/record/job';

/** What was said of a code, for whoever looks at it again. */
export function saidOfRow(row: ProgramRow): string {
  switch (row.state) {
    case 'keyed':
      return '✓ Keyed in.';
    case 'byPreset':
      return 'Set by the preset; nothing to key.';
    case 'skipped':
      return `Skipped: ${row.why || 'no reason given'}.`;
    case 'showsElse':
      return `The display showed ${row.shown}.`;
    case 'open':
      return '';
  }
}
