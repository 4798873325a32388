export { type Chapter, chapterOf } from './chapter.ts';
export { editWords, type EditWords } from './editWords.ts';
export { fingerprintWords } from './fingerprint.ts';
export { type Beside, besideOurs, type KnowHow } from './knowHow.ts';
