export { isDangerousLoss } from './danger.ts';
export { encode, type Encoded, type LostSetting, type RowStatus, type TranslatedRow } from './encode.ts';
export { translate } from './translate.ts';
