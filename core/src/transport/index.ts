export * from './steps.ts';
export * from './preCool.ts';
export * from './tripRecord.ts';
export * from './service.ts';
export { mayGoOn, type AlarmSign } from './alarmSign.ts';
