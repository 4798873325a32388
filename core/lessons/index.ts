export { causeEdit, type CauseLesson, commonerCauses, type FoundCause } from './causes.ts';
export { FALSE_SHARE, LEAST_BAD, LEAST_ELSEWHERE, type Lesson, lessonsOf } from './lessons.ts';
export { type Look, looksOf, THINGS_BESIDE } from './look.ts';
export { type LessonPart, needFor, shelfFor } from './offers.ts';
export { type Onset } from './onset.ts';
export { type Count } from './tails.ts';
export { causeWords, lessonWords, thingName } from './words.ts';
