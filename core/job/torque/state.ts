import type { TypeOf } from '../../shape/index.ts';
import type { Stamp } from '../stamp.ts';
import type { byFeelChosenShape, likeJobShape } from './figures.ts';
import type { groupGoneOverShape, threadRepairedShape, threadStrippedShape } from './threads.ts';
import type { boltTightenedShape } from './tightening.ts';

/** A bolt's last recorded pass. */
export type BoltResult = Stamp & Omit<TypeOf<typeof boltTightenedShape>, 'itemId'>;
/** Why a group goes back by feel. */
export type ByFeel = Stamp & Omit<TypeOf<typeof byFeelChosenShape>, 'itemIds'>;
/** The job of this shop that a figure was taken from. */
export type LikeJob = TypeOf<typeof likeJobShape>;
/** A thread that stripped. */
export type ThreadDamage = Stamp &
  Omit<TypeOf<typeof threadStrippedShape>, 'itemId'> & {
    readonly repaired: (Stamp & Pick<TypeOf<typeof threadRepairedShape>, 'route' | 'note'>) | null;
  };
/** A group gone over again once the engine had been hot and was cold. */
export type Retorque = Stamp & Omit<TypeOf<typeof groupGoneOverShape>, 'itemId'>;
