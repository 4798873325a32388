import { useShop } from '../stores/shop.ts';
import { api } from './api.ts';

export { ask } from './kept.ts';

/** What the person at the bench sends. */
const signed = (body: object): object => ({ by: useShop().personId, ...body });
/** Sends something new in the name of who is at the bench. @throws ApiError, OutOfReach */
export const give = <T>(path: string, body: object = {}): Promise<T> => api.post<T>(path, signed(body));
/** Takes something away in the name of who is at the bench. @throws ApiError, OutOfReach */
export const remove = <T>(path: string): Promise<T> =>
  api.remove<T>(`${path}?by=${encodeURIComponent(useShop().personId)}`);
/** Sends what something is from now on, in the name of who is at the bench. @throws ApiError, OutOfReach */
export const keep = <T>(path: string, body: object): Promise<T> => api.put<T>(path, signed(body));
