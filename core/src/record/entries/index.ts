export type { AcceptedEntry, Entry } from './entry.ts';
export type {
  CalibrationRecord,
  EntryBody,
  EntryKind,
  FrozenRow,
  PinnedDefinition,
} from '@brine/contract/entries';
