import { id, line, list, oneOf, pictureHash, record, text, variants } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { share, when } from '../shapes.ts';
import { LEAST_RADIUS } from './drawing.ts';

/** What {@link pictureAttached} holds. */
export const pictureAttachedShape = record({ id, hash: pictureHash, subject: line, when, caption: line });
/** A picture was taken of something. */
export const pictureAttached = fact('picture-attached', {
  shape: pictureAttachedShape,
  means: (job, data, stamp) => ({ pictures: [...job.pictures, { ...data, ...stamp }] }),
  words: () => 'Picture added',
  putRight: { anew: { command: 'attach-picture', from: (data) => data, fields: { caption: { label: 'Caption' } } } },
  sheet: { no: 'pictures are printed in pairs of their own' },
});

/** Attaches a picture. */
export const attachPicture = command('attach-picture', {
  shape: pictureAttachedShape,
  decide: (_, data) => accept(pictureAttached.of(data)),
});

const arrow = record({ kind: oneOf('arrow'), x: share, y: share, toX: share, toY: share });
const words = record({ kind: oneOf('text'), x: share, y: share, text: text(60) });
const circle = record({ kind: oneOf('circle'), x: share, y: share, radius: share });
const MOST_MARKS = { high: 40 } as const;
/** What {@link pictureMarked} holds. */
export const pictureMarkedShape = record({
  pictureId: id,
  rotation: oneOf(0, 90, 180, 270),
  marks: list(variants('kind', arrow, circle, words), MOST_MARKS),
  anchors: list(record({ x: share, y: share }), { high: 2 }),
});
/** A picture was turned, drawn on or lined up; the original stays as it was taken. */
export const pictureMarked = fact('picture-marked', {
  shape: pictureMarkedShape,
  earlier: [
    // At first there were no circles: a program of then must see that these entries are of a later one.
    earlier(
      record({ ...pictureMarkedShape.fields, marks: list(variants('kind', arrow, words), MOST_MARKS) }),
      (data) => data,
    ),
  ],
  means: (job, { pictureId, ...marking }) => ({
    pictures: job.pictures.map((picture) => (picture.id === pictureId ? { ...picture, marking } : picture)),
  }),
  words: () => 'Picture marked',
  sheet: { no: 'pictures are printed in pairs of their own' },
});

/** Marks a picture. */
export const markPicture = command('mark-picture', {
  shape: pictureMarkedShape,
  decide: (job, data) => {
    const picture = job.pictures.find(({ id }) => id === data.pictureId);
    if (picture === undefined) return refuse('not-there', 'That picture is not on this job.');
    if (data.anchors.length !== 0 && data.anchors.length !== 2)
      return refuseField('anchors', 'Pick two places that both pictures show.');
    const [a, b] = data.anchors;
    if (a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < 0.05)
      return refuseField('anchors', 'The two places lie too near each other to line the pictures up.');
    const point = data.marks.some((mark) => mark.kind === 'circle' && mark.radius < LEAST_RADIUS);
    if (point) return refuseField('marks', 'A circle is too small to be seen.');
    const empty = data.marks.some((mark) => mark.kind === 'text' && mark.text.trim() === '');
    return empty ? refuseField('marks', 'What should it say?') : accept(pictureMarked.of(data));
  },
});
