export {
  type HistoryJob,
  type HistoryLine,
  type KeptSheet,
  unitHistory,
  type UnitHistory,
} from './unitHistory.ts';
