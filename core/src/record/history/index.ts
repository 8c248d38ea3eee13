export { type HistoryJob, type KeptSheet, unitHistory } from './unitHistory.ts';
