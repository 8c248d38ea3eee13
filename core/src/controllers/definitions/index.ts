export { optionValue, readTypedCode } from './codeValue.ts';
export { readDefinition } from './check/checkDefinition.ts';
export { controlOutputs } from './check/checkHardware.ts';
export type { DefinitionFault } from './check/fault.ts';
export { compareDefinitions, type DefinitionChange } from './compareDefinitions.ts';
export { decode, type Decoded, meaningOf, meaningOfOption, type UnplacedRow } from './decode.ts';
export {
  type AlarmCode,
  type ChoiceEncoding,
  type ChoiceOption,
  type CodeValue,
  CONTROLLER_FORMAT,
  type ControllerDefinition,
  type Encoding,
  type EncodingUnit,
  isCombined,
  type NumberEncoding,
  type Parameter,
  parameterOf,
  type RangeUnit,
  type Relay,
  type SettingPart,
  settingsOf,
  type Supply,
} from './definition.ts';
export { type CodeValues, displayOf, type DisplayState, isVisible, sameCodeValue } from './display.ts';
export { looksLike } from './lookAlike.ts';
export { asShown, fullMemory, settingsOfCodes } from './memory.ts';
export {
  decodeNumber,
  encodeNumber,
  followsDisplay,
  followsUnit,
  type NumberScale,
  printCode,
  printScale,
  resolutionOf,
  scaleOf,
  shownUnitOf,
} from './numberCode.ts';
export {
  type Closing,
  type CodeStep,
  type EditRules,
  type EnterStep,
  type Gesture,
  isCodeStep,
  type LeaveRule,
  type Menu,
  type MoveRules,
  type Panel,
  type Deed,
  type PanelKey,
  type Press,
} from './panelGrammar.ts';
export {
  HIGHEST_WORD,
  readFunctionOf,
  type Register,
  type RegisterCheck,
  type RegisterReading,
  registerReadings,
  registerTypes,
  wordsIn,
  type RegisterType,
  writeFunctionOf,
} from './register.ts';
export { corrected, type Correction, proposedCorrection } from './correction.ts';
export { codesOf, mainMenuOf, panelOf } from './panelOf.ts';
export { readSheet, type SheetRow } from './sheet.ts';
