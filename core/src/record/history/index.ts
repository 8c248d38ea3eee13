export { type Held, type PredictionScore, predictionScore, scoreWords } from './predictions.ts';
export {
  type HistoryJob,
  type HistoryLine,
  type KeptSheet,
  unitHistory,
  type UnitHistory,
} from './unitHistory.ts';
