import type { Ref } from 'vue';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { draftRegisters, SaidOfRegister, WrittenRegisters } from '@brine/core/controllers/suggest';

/** What a register table is written down with. */
export interface WritesRegisters {
  readonly writing: Ref<{ readonly registers: WrittenRegisters }>;
  readonly registers: Readonly<Ref<ReturnType<typeof draftRegisters>>>;
  /** The definition as it stands, its registers among it. */
  readonly written: Readonly<Ref<ControllerDefinition>>;
  readonly writeRegisters: (part: Partial<WrittenRegisters>) => unknown;
  readonly sayOfRegister: (key: string, part: SaidOfRegister) => unknown;
}
