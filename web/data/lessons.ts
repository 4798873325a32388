import type { LessonAnswerInput, LessonsReply } from '../../contract/index.ts';
import { ask, give } from './asking.ts';

/** What the shop’s own work has to teach it. */
export const readLessons = (): Promise<LessonsReply> => ask('/lessons');
/** What is done with a lesson; answers with all as they stand then. */
export const answerLesson = (lessonId: string, answer: LessonAnswerInput): Promise<LessonsReply> =>
  give(`/lessons/${encodeURIComponent(lessonId)}/answers`, answer);
