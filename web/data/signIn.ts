import type {
  AccessLine,
  CommandReply,
  ForCustomer,
  JobLink,
  LinkMade,
  NetworkReply,
  SessionReply,
  Station,
} from '../../contract/index.ts';
import { useShop } from '../stores/shop.ts';
import { api } from './api.ts';

const by = (): { by: string } => ({ by: useShop().personId });

/** Who is signed in here. @throws ApiError, OutOfReach, as all below */
export const readSession = (): Promise<SessionReply> => api.get('/session');
export const signIn = (name: string, password: string): Promise<SessionReply> =>
  api.post('/session', { name, password });
export const changeHands = (personId: string, pin: string): Promise<SessionReply> =>
  api.post('/session/hands', { personId, pin });
export const signOut = (): Promise<unknown> => api.remove('/session');
export const signOutEverywhere = (): Promise<unknown> => api.post('/session/everywhere', {});

/** What somebody signs in by, as a list shows it. */
export interface AccountLine {
  readonly personId: string;
  readonly hasPin: boolean;
  readonly locked: boolean;
}
/** The newest lines of the access record, and who has an account. */
export const readAccess = (
  before?: number,
): Promise<{
  readonly rows: readonly AccessLine[];
  readonly brokenAt: number | null;
  readonly accounts: readonly AccountLine[];
}> => api.get(`/access-lines${before === undefined ? '' : `?before=${before}`}`);
export const setPassword = (personId: string, password: string, current?: string): Promise<unknown> =>
  api.put(`/people/${personId}/password`, { ...by(), password, ...(current !== undefined && { current }) });
export const setPin = (personId: string, password: string, pin: string): Promise<unknown> =>
  api.put(`/people/${personId}/pin`, { password, pin });
export const unlock = (personId: string): Promise<unknown> => api.post(`/people/${personId}/unlock`, {});
export const signOutOf = (personId: string): Promise<unknown> => api.post(`/people/${personId}/sign-out`, {});

type Stations = { readonly rows: readonly Station[] };
export const readStations = (): Promise<Stations> => api.get('/stations');
export const makeStation = (name: string): Promise<Stations> => api.post('/stations', { ...by(), name });
export const strikeStation = (id: string): Promise<Stations> => api.post(`/stations/${id}/strike`, by());
export const readNetwork = (): Promise<NetworkReply> => api.get('/network');

type Links = { readonly rows: readonly JobLink[] };
export const readLinks = (jobId: string): Promise<Links> => api.get(`/jobs/${jobId}/links`);
export const makeLink = (jobId: string, kind: 'estimate' | 'sheet', days: number): Promise<LinkMade> =>
  api.post(`/jobs/${jobId}/links`, { ...by(), kind, days });
export const withdrawLink = (id: string): Promise<Links> => api.post(`/links/${id}/withdraw`, by());
export const followLink = (token: string): Promise<ForCustomer> => api.get(`/for/${token}`);
/** What a customer says to an estimate. */
export interface CustomerSays {
  readonly id: string;
  readonly answer: 'approved' | 'declined' | 'up to';
  readonly limitMinor: number | null;
  readonly who: string;
  readonly note: string;
}
export const answerLink = (token: string, says: CustomerSays): Promise<ForCustomer> =>
  api.post(`/for/${token}/answer`, says);

/** What a phone is told when it comes in. */
export interface PhoneIn {
  readonly jobId: string;
  /** In whose name it takes them. */
  readonly by: string;
  readonly plate: string;
  readonly number: number;
  readonly version: number;
  readonly token: string;
  readonly minutes: number;
}
export const invitePhone = (jobId: string): Promise<LinkMade> => api.post(`/jobs/${jobId}/phones`, by());
export const joinAsPhone = (token: string): Promise<PhoneIn> => api.post('/phones', { token });

/** A name beside what an apprentice did. */
export const countersignAs = (
  jobId: string,
  personId: string,
  secret: string,
  command: object,
): Promise<CommandReply> => api.post(`/jobs/${jobId}/countersign`, { personId, secret, command });
