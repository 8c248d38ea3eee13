export { commissioningTests } from './list.ts';
export { ambientOf, commissioned, type CommissionedBox } from './commissionedBox.ts';
export { predict, type Predicted, type PullDownPoint } from './predicted.ts';
export { type PullDownReading, pullDownState, restOfPullDown, type RestOfPullDown } from './pullDown.ts';
export {
  type CommissioningTest,
  groupNames,
  groups,
  judgeValue,
  type Measure,
  type TestResult,
} from './test.ts';
export { testName } from './names.ts';
