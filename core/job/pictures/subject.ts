import { attachPicture, markPicture, pictureAttached, pictureMarked } from './attaching.ts';

/** The facts of this subject, and the commands that record them. */
export const PICTURES = {
  facts: [pictureAttached, pictureMarked],
  commands: [attachPicture, markPicture],
} as const;
