import type { AccessLine } from '../../contract/index.ts';

/** What a line of the access record says; the person that it is about, where that is another, comes after it. */
export const ACCESS_WORDS: Readonly<Record<AccessLine['kind'], string>> = {
  'signed-in': 'signed in',
  'changed-hands': 'took over by PIN',
  'not-let-in': 'was not let in',
  locked: 'is locked after too many wrong passwords',
  unlocked: 'opened again',
  'signed-out': 'signed out',
  'signed-out-everywhere': 'signed out everywhere',
  'password-set': 'set the password of',
  'pin-set': 'set their PIN',
  'role-changed': 'changed what this person does',
  left: 'noted that this person has left',
  'station-enrolled': 'made a station',
  'station-struck': 'struck out a station',
  'link-made': 'made a link',
  'link-withdrawn': 'withdrew a link',
  'link-answered': 'A customer answered through a link',
  'phone-joined': 'let a phone in for photos',
  countersigned: 'countersigned',
};

/** The same of somebody who did it to themselves. */
export const OWN_ACCESS_WORDS: Readonly<Partial<Record<AccessLine['kind'], string>>> = {
  'password-set': 'set their password',
};
