import type { SettingId, SettingValue } from '../settings/index.ts';
import type { QuestionId } from './questions.ts';

/** A controller definition as it was when a sheet was made: a sheet pins version and hash. */
export interface PinnedDefinition {
  readonly id: string;
  readonly family: string;
  readonly version: string;
  readonly hash: string;
}

/** One row of a frozen sheet. */
export interface FrozenRow {
  readonly code: string;
  readonly value: number | string;
  readonly setting?: string | null;
}

export type SheetKind = 'found' | 'planned' | 'left';

/** What was done. Each kind writes one register of the job (see `registerOf`), or adds to a list. */
export type EntryBody =
  | { readonly kind: 'control'; readonly role: 'old' | 'new'; readonly definition: PinnedDefinition | null }
  | { readonly kind: 'found'; readonly code: string; readonly value: string | null }
  | { readonly kind: 'answer'; readonly question: QuestionId; readonly value: AnswerValue | null }
  | {
      readonly kind: 'planned';
      readonly setting: SettingId;
      readonly value: SettingValue | null;
      readonly why?: string;
    }
  | { readonly kind: 'plannedCode'; readonly code: string; readonly value: number | string | null }
  | {
      readonly kind: 'keyed';
      readonly code: string;
      readonly state: 'keyed' | 'showsElse' | 'skipped' | null;
      readonly value: number | string;
      readonly shown?: string;
      readonly why?: string;
    }
  | { readonly kind: 'note'; readonly text: string }
  | {
      readonly kind: 'sheet';
      readonly sheet: SheetKind;
      readonly parent: string | null;
      readonly definition: PinnedDefinition | null;
      readonly rows: readonly FrozenRow[];
    }
  | { readonly kind: 'handedOver'; readonly to: string; readonly watch: string };

export type EntryKind = EntryBody['kind'];

/** An answer of the survey as typed: a word, a text, a yes or no, a list, or a quantity. */
export type AnswerValue = SettingValue;

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
}

/** The register an entry writes, or null where entries only add up. Two entries of one register replace each other. */
export function registerOf(body: EntryBody): string | null {
  switch (body.kind) {
    case 'control':
      return `control:${body.role}`;
    case 'found':
      return `found:${body.code}`;
    case 'answer':
      return `answer:${body.question}`;
    case 'planned':
      return `planned:${body.setting}`;
    case 'plannedCode':
      return `plannedCode:${body.code}`;
    case 'keyed':
      return `keyed:${body.code}`;
    case 'handedOver':
      return 'handedOver';
    case 'note':
    case 'sheet':
      return null;
  }
}
