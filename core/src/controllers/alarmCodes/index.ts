export { type AlarmSign, mayGoOn } from './alarmSign.ts';
export { alarmCodeOf } from './alarmCodeOf.ts';
