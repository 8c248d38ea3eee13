export {
  findQuestion,
  type Question,
  type QuestionId,
  questionsFor,
  schoolQuestions,
  within,
} from './questions.ts';
