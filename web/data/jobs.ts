import type { CommandReply, JobReply, JobSummary, SentCommand } from '../../contract/index.ts';
import { api } from './api.ts';
import { ask } from './asking.ts';
import { type Query, usePages } from './pages.ts';

/** The list of jobs. */
export const useJobList = (query: () => Query) => usePages<JobSummary>('/jobs', query, ['jobs']);
/** A job's log from a version on. */
export const readJob = (id: string, since = 0): Promise<JobReply> =>
  since === 0 ? ask(`/jobs/${id}?since=0`) : api.get(`/jobs/${id}?since=${since}`);
/** Sends a command at once, where its answer must be waited for. */
export const sendCommand = (jobId: string, command: SentCommand): Promise<CommandReply> =>
  api.post(`/jobs/${jobId}/commands`, command);
