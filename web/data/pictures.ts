import { api } from './api.ts';

/** Stores a picture by its content. */
export const storePicture = (file: Blob): Promise<{ readonly hash: string }> => api.upload('/pictures', file);
