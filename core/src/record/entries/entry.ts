import type { Quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValue } from '../../foundation/settings/index.ts';
import { placeKey, type Place } from '../../wiring/readings/index.ts';
import type { DoubtFact } from '../../wiring/unsure/index.ts';
import type { Part, SupplyLine, Wire } from '../../wiring/circuit/index.ts';
import type { UnitLoad } from '../../judgement/fit/index.ts';
import { provingRegister, type ProvingBody } from './provingEntry.ts';
import { isTrade, tradeRegister, type TradeBody } from './tradeEntry.ts';
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
  | { readonly kind: 'handedOver'; readonly to: string; readonly watch: string }
  | { readonly kind: 'mechanical'; readonly cutIn: Quantity | null; readonly cutOut: Quantity | null }
  | { readonly kind: 'unitLoad'; readonly id: string; readonly load: UnitLoad | null }
  | { readonly kind: 'startedFrom'; readonly conversion: string | null }
  | { readonly kind: 'foundSupply'; readonly id: string; readonly supply: SupplyLine | null }
  | { readonly kind: 'foundPart'; readonly id: string; readonly part: Part | null }
  | { readonly kind: 'foundWire'; readonly id: string; readonly wire: Wire | null }
  | { readonly kind: 'doubt'; readonly id: string; readonly fact: DoubtFact | null }
  | { readonly kind: 'measure'; readonly measure: MeasureId; readonly value: number | null }
  | { readonly kind: 'power'; readonly state: PowerState }
  | {
      readonly kind: 'reading';
      readonly circuit: WiredCircuit;
      readonly place: Place;
      readonly value: number | null;
    }
  | { readonly kind: 'wired'; readonly wire: string; readonly done: boolean }
  | {
      readonly kind: 'planWire';
      readonly wire: string;
      readonly colour: string | null;
      readonly gauge: string | null;
    }
  | {
      readonly kind: 'picture';
      readonly id: string;
      readonly caption: string;
      readonly width: number;
      readonly height: number;
      readonly points: readonly PicturePoint[];
      readonly gone?: boolean;
    }
  | ProvingBody
  | TradeBody;

/** The circuit a reading was taken on: as found, or as planned and wired. */
export type WiredCircuit = 'found' | 'plan';

/** Locked out and proven dead, or energised again. The later of the two is how the cabinet stands. */
export const powerStates = ['lockedOut', 'live'] as const;
export type PowerState = (typeof powerStates)[number];

/** What is measured on site for the kit list: lengths and sizes in metres and millimetres, 1 for yes. */
export const measureIds = [
  'probeMetres',
  'wireMetres',
  'pipeMm',
  'holeWidthMm',
  'holeHeightMm',
  'inWater',
] as const;
export type MeasureId = (typeof measureIds)[number];

/** A point marked on a picture, as shares of its width and height, tied to a wire as found where it shows one. */
export interface PicturePoint {
  readonly x: number;
  readonly y: number;
  readonly wire: string | null;
  readonly text: string;
}

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
  /** Set where it was imported: who wrote it elsewhere, and when it was received there. */
  readonly foreign?: { readonly author: string; readonly receivedAt: string };
}

/** The register an entry writes, or null where entries only add up. Two entries of one register replace each other. */
export function registerOf(body: EntryBody): string | null {
  if (isTrade(body)) return tradeRegister(body);
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
    case 'unitLoad':
    case 'foundSupply':
    case 'foundPart':
    case 'foundWire':
    case 'doubt':
    case 'picture':
      return `${body.kind}:${body.id}`;
    case 'startedFrom':
    case 'mechanical':
      return body.kind;
    case 'measure':
      return `measure:${body.measure}`;
    case 'power':
      return `power:${body.state}`;
    case 'reading':
      return `reading:${body.circuit}:${placeKey(body.place)}`;
    case 'wired':
    case 'planWire':
      return `${body.kind}:${body.wire}`;
    case 'note':
    case 'sheet':
      return null;
    default:
      return provingRegister(body);
  }
}
