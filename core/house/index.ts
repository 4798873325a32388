export { departure, HOUSE_QUESTIONS, ruleFor, ruleProblem, schoolOfChoice } from './questions.ts';
export type { HouseQuestion, HouseRules, School } from './questions.ts';
