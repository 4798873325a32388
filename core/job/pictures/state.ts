import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { pictureAttachedShape, pictureMarkedShape } from './attaching.ts';

/** How a picture is shown; places are shares of the picture as taken, 0 to 1 from its upper left. */
export type PictureMarking = Omit<TypeOf<typeof pictureMarkedShape>, 'pictureId'>;
/** Something drawn on a picture. */
export type PictureMark = PictureMarking['marks'][number];
/** A picture of something. */
export type PictureRef = Recorded<typeof pictureAttachedShape> & { readonly marking?: PictureMarking | undefined };

/** The pictures of a job. */
export interface PicturesState {
  readonly pictures: readonly PictureRef[];
}

/** Before any was taken. */
export const FRESH_PICTURES: PicturesState = { pictures: [] };
