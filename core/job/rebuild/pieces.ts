import { flag, id, line, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link pieceSetApart} holds. */
export const pieceSetApartShape = record({ id, unit: id, what: line, place: line });
/** One of several that look alike was set apart, for its own place. */
export const pieceSetApart = fact('piece-set-apart', {
  shape: pieceSetApartShape,
  means: (job, data, stamp) => ({ pieces: [...job.pieces, { ...data, ...stamp, returned: null }] }),
  words: (data) => `${data.what} of ${lowerFirst(data.place)} set apart`,
  sheet: 'On the bench',
});

/** Sets a piece apart. */
export const setApart = command('set-apart', {
  shape: pieceSetApartShape,
  decide: (job, data) => {
    const taken = job.pieces.find(
      ({ what, place, returned }) => returned === null && what === data.what && place === data.place,
    );
    if (taken !== undefined) return refuseField('place', `${data.what} of ${data.place} lies apart already.`);
    return (
      nonEmpty('what', data.what, 'What is it?') ??
      nonEmpty('place', data.place, 'From which cylinder or place?') ??
      accept(pieceSetApart.of(data))
    );
  },
});

/** What {@link pieceReturned} holds. */
export const pieceReturnedShape = record({ id, place: line, renewed: flag });
/** It went back to its place. */
export const pieceReturned = fact('piece-returned', {
  shape: pieceReturnedShape,
  means: (job, { id, renewed }, stamp) => ({
    pieces: job.pieces.map((piece) => (piece.id === id ? { ...piece, returned: { renewed, ...stamp } } : piece)),
  }),
  words: (data, job) => {
    const what = job.pieces.find(({ id }) => id === data.id)?.what ?? 'Piece';
    return `${what} back at ${lowerFirst(data.place)}`;
  },
  sheet: 'On the bench',
});

/** Puts a piece back to its place. */
export const returnPiece = command('return-piece', {
  shape: pieceReturnedShape,
  decide: (job, data) => {
    const piece = job.pieces.find(({ id }) => id === data.id);
    if (piece === undefined || piece.returned !== null) return refuse('not-there', 'That piece does not lie apart.');
    if (!data.renewed && piece.place.trim().toLowerCase() !== data.place.trim().toLowerCase())
      return refuseField('place', `This ${piece.what.toLowerCase()} came from ${piece.place}: it goes back there.`);
    return accept(pieceReturned.of(data));
  },
});
