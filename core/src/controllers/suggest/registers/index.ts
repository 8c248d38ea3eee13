export {
  draftRegisters,
  nameOf,
  noRegisters,
  type RegisterDraft,
  type SaidOfRegister,
  type WrittenRegisters,
} from './draftRegisters.ts';
export { type AddressCount, readAddress, readFunctions, wireAddress } from './place.ts';
export { type RegisterRole, registerRoles } from './readRegisters.ts';
