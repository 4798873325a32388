import type {
  EngineShown,
  JobReply,
  PracticeDeed,
  PracticeEntry,
  PracticeHome,
  PracticeLine,
  PracticeProgress,
  PracticeReply,
  PracticeReview,
  ScenarioFile,
} from '../../contract/index.ts';
import type { Knowledge } from '../../core/diagnose/index.ts';
import { give, remove } from './asking.ts';
import { api } from './api.ts';
import { useRead } from './read.ts';
import { apiUrl } from './world.ts';

type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
/** What a person does at a practice job; who does it is added. */
export type Deed = Without<PracticeDeed, 'by'>;

/** The first page of practice, as a person has it. */
export const usePracticeHome = (person: () => string) =>
  useRead<PracticeHome>(() => (person() === '' ? null : `/practice?person=${person()}`));
/** What a person has practised. */
export const useProgress = (person: () => string) =>
  useRead<PracticeProgress>(() => (person() === '' ? null : `/practice/progress?person=${person()}`));
/** Practice jobs that wait for a lead; nothing for others. */
export const useToCountersign = (asked: () => boolean) =>
  useRead<readonly PracticeLine[]>(() => (asked() ? '/practice/to-countersign' : null));
/** A practice job, without what is hidden in it. */
export const usePracticeJob = (id: () => string | null) =>
  useRead<PracticeReply>(() => (id() === null ? null : `/practice/jobs/${id()}`));
/** What is shown once it is ended. */
export const useReview = (id: () => string) => useRead<PracticeReview>(() => `/practice/jobs/${id()}/review`);

/** The same, asked for once. @throws ApiError, OutOfReach */
export const readReview = (id: string): Promise<PracticeReview> => api.get(`/practice/jobs/${id}/review`);
/** The log of a practice job, from its own world. */
export const readPracticeLog = (id: string): Promise<JobReply> => api.get(`/practice/worlds/${id}/jobs/${id}?since=0`);
/** The knowledge that a practice job was opened with. */
export const readPracticeKnowledge = (id: string, version: number): Promise<Knowledge> =>
  api.get(`/practice/worlds/${id}/knowledge/${version}`);

export const beginPractice = (asked: object): Promise<{ id: string }> => give('/practice/jobs', asked);
export const beginAgain = (id: string, asked: object = {}): Promise<{ id: string }> =>
  give(`/practice/jobs/${id}/again`, asked);
export const doAtPractice = (id: string, deed: Deed): Promise<PracticeEntry> =>
  give(`/practice/jobs/${id}/deeds`, deed);
export const endPractice = (id: string, causes: readonly string[]): Promise<PracticeReview> =>
  give(`/practice/jobs/${id}/end`, { causes });
export const stopPractice = (id: string): Promise<PracticeReply> => give(`/practice/jobs/${id}/stop`);
export const takeUpPractice = (id: string): Promise<PracticeReply> => give(`/practice/jobs/${id}/take-up`);
export const dropPractice = (id: string): Promise<unknown> => remove(`/practice/jobs/${id}`);
export const countersignPractice = (id: string): Promise<PracticeReply> => give(`/practice/jobs/${id}/countersign`);
export const keepScenario = (file: ScenarioFile): Promise<{ key: string }> => give('/practice/scenarios', file);
export const scenarioFromJob = (jobId: string): Promise<{ key: string }> =>
  give(`/practice/scenarios/from-job/${jobId}`);
export const dropScenario = (key: string): Promise<unknown> => remove(`/practice/scenarios/${key}`);
export const scenarioFileUrl = (key: string): string => apiUrl(`/practice/scenarios/${key}/file`);
export const recordDrill = (done: object): Promise<PracticeProgress> => api.post('/practice/drills', done);

/** Where a practice job is worked. */
export const practiceUrl = (id: string, stage = 'complaint'): string => `/practice/at/${id}/jobs/${id}/${stage}`;

/** Listens to the engine behind the adapter. @returns stops listening */
export function watchEngine(link: string, heard: (shown: EngineShown) => void): () => void {
  if (typeof EventSource === 'undefined') return () => undefined;
  const source = new EventSource(apiUrl(`/adapter/engines/${link}`));
  source.onmessage = ({ data }: MessageEvent<string>) => heard(JSON.parse(data) as EngineShown);
  return () => source.close();
}
