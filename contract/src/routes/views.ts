import {
  array,
  boolean,
  mixed,
  number,
  object,
  string,
  type AnyObject,
  type InferType,
  type ISchema,
} from 'yup';
import type { Sentence } from '@brine/core/foundation/sentences';
import type { EntryBody } from '../entries/index.ts';
import type { DeepReadonly } from '../fields/index.ts';

// What the server answers with: shapes shared by several routes. Answers are checked in the tests, not at run time.

export const roles = ['viewer', 'technician', 'lead'] as const;
export type Role = (typeof roles)[number];

/** A text that is always there, perhaps empty. */
export const said = () => string().defined();
/** A sentence of the core: a text, or words and quantities in the order they are read. */
export const sentence = () =>
  mixed<Sentence>((value): value is Sentence => typeof value === 'string' || Array.isArray(value)).defined();
export const count = () => number().required();
export const flag = () => boolean().required();
/** Where the next page of a list starts; null after the last. */
export const next = () => string().nullable().defined();
export const list = <Item>(item: ISchema<Item, AnyObject>) => array<AnyObject, Item>(item).required();

/** The signed-in person, as the page may know it. */
export const person = object({
  id: said(),
  name: said(),
  login: said(),
  role: string<Role>().oneOf(roles).required(),
  demo: flag(),
  /** The company asks for a second factor, and there is none yet: nothing else is answered before. */
  needsSecond: flag(),
});
export type Person = DeepReadonly<InferType<typeof person>>;

/** A person as leads see them. */
export const personLine = person.omit(['needsSecond']).shape({
  /** Signing in asks for a second factor. */
  second: flag(),
  disabled: flag(),
  invited: flag(),
  version: count(),
});
export type PersonLine = DeepReadonly<InferType<typeof personLine>>;

/** A one-time link: the secret stands only here, once. */
export const oneTimeLink = object({ token: said(), expiresAt: said() });
export type OneTimeLink = DeepReadonly<InferType<typeof oneTimeLink>>;

export const site = object({
  id: said(),
  name: said(),
  place: said(),
  note: said(),
  customer: said(),
  contact: said(),
  phone: said(),
  archived: flag(),
  version: count(),
});
export type Site = DeepReadonly<InferType<typeof site>>;

/** A unit with the name of its site. */
export const unit = object({
  id: said(),
  siteId: said(),
  siteName: said(),
  name: said(),
  tag: said(),
  plate: said(),
  archived: flag(),
  version: count(),
});
export type Unit = DeepReadonly<InferType<typeof unit>>;

/** How far a job is, in so few words that a list has room for them; computed from its stream after each change. */
export const jobSummary = object({
  /** The six stations in their order. */
  stations: list(object({ words: said(), done: flag() })),
  /** Where it goes on; null: all of it is done. */
  next: object({ station: said(), name: said(), words: said() }).nullable().defined(),
  open: count(),
  /** Open, and nobody has said why. */
  unanswered: count(),
  /** “15 codes not keyed in, 14 tests open”. */
  openWords: said(),
  /** When and to whom it was handed over last; null: not yet. */
  handedOver: object({ at: said(), to: said() }).nullable().defined(),
  /** The next day somebody has to come back, with what for. */
  followUp: object({ due: said(), what: said() }).nullable().defined(),
  /** When the first of its probes is to be calibrated again. */
  calibrationDue: string().nullable().defined(),
  /** Values found otherwise than an earlier job left them: somebody turned them, or they were never saved. */
  drift: list(object({ code: said(), left: said(), found: said() })),
  complaint: said(),
  /** The control it is about; empty where none is chosen. */
  control: said(),
});
export type JobSummary = DeepReadonly<InferType<typeof jobSummary>>;

export const job = object({
  id: said(),
  title: said(),
  unit: unit.required(),
  createdAt: said(),
  createdBy: said(),
  /** Who goes there; null: nobody yet. */
  assignedTo: object({ id: said(), name: said() }).nullable().defined(),
  /** The day it is planned for. */
  plannedFor: string().nullable().defined(),
  /** What it waits for; empty where it does not. */
  waitsFor: said(),
  /** Null until it was computed the first time. */
  summary: jobSummary.nullable().defined(),
  lastSequence: count(),
  archived: flag(),
  version: count(),
});
export type Job = DeepReadonly<InferType<typeof job>>;

/** An entry the server has accepted: it has its place in the job. `foreign` where it was imported. */
export const acceptedEntry = object({
  id: said(),
  job: said(),
  sequence: count(),
  device: said(),
  deviceSequence: count(),
  deviceTime: said(),
  seen: count(),
  author: said(),
  body: mixed<EntryBody>().required(),
  receivedAt: said(),
  foreign: object({ author: said(), receivedAt: said() }).optional().default(undefined),
});

/** Entries of a job after a sequence, with the names of their authors, and whether there are more. */
export const entryPage = object({
  entries: list(acceptedEntry),
  names: mixed<Readonly<Record<string, string>>>().required(),
  more: flag(),
});

export const pin = object({ id: said(), family: said(), version: said(), hash: said() });

/** A family in the library: what a list shows and what an entry pins. */
export const controllerLine = pin.shape({ summary: said(), parameters: count(), newest: flag() });
export type ControllerLine = DeepReadonly<InferType<typeof controllerLine>>;

/** What a page is told of a log. */
export const log = object({
  id: said(),
  name: said(),
  columns: list(said()),
  samples: count(),
  createdAt: said(),
});
export type LogView = DeepReadonly<InferType<typeof log>>;

/** The answer to what only has to be done. */
export const done = object({ done: flag() });
