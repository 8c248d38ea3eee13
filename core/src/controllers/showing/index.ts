export {
  asDone,
  type Demonstration,
  type Fault as ShowingFault,
  type MenuAnswers,
  type ShownStep,
} from './demonstration.ts';
export { gestureOf } from './gestureOf.ts';
export { grammarFrom, panelOf as panelOfMenus, type ShownMenu } from './grammarFrom.ts';
