export { draftRegisters, nameOf, type RegisterDraft } from './draftRegisters.ts';
export { type AddressCount, readAddress, readFunctions, wireAddress } from './place.ts';
export type { RegisterRole } from './readRegisters.ts';
export { noRegisters, type SaidOfRegister, type WrittenRegisters } from './written.ts';
