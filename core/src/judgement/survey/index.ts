export { findQuestion, type Question, type QuestionId, questionsFor, schoolQuestions } from './questions.ts';
