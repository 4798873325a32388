import type { Person } from '../../contract/index.ts';
import { HttpError } from '../http/errors.ts';
import type { Services } from '../services.ts';
import { PIN_DAYS, WRONG_PASSWORDS, WRONG_PINS } from './accounts.ts';
import { isSecret } from './secrets.ts';

type Needed = Pick<Services, 'access' | 'people' | 'oneGo' | 'now'>;

/** The same for a name that nobody has, so that nobody learns who works here. */
const wrongOne = (field: string): HttpError =>
  new HttpError('not-let-in', 'That name and that password do not belong together.', {
    fields: { [field]: 'Try again; capitals matter.' },
    wouldHelp: 'A lead can set a new one under Settings, Who is let in.',
  });

/**
 * Checks a password.
 * @param name in full, the first alone where it is clear, or an id @param place for the access record
 * @returns who it is
 * @throws HttpError 401 when it is wrong, 423 when the account is locked
 */
export async function byPassword(services: Needed, name: string, password: string, place: string): Promise<Person> {
  const { access, people } = services;
  const person = called(people.here(), name);
  const account = person === null ? null : access.accounts.of(person.id);
  const right = await isSecret(account?.passwordHash ?? null, password);
  const said = services.oneGo.run((): Person | HttpError => {
    const at = services.now();
    if (person === null || account?.passwordHash == null) {
      access.record.write('not-let-in', at, person?.id ?? '', 'password', place);
      return wrongOne('password');
    }
    // As it is now: another try may have locked it meanwhile.
    if (access.accounts.of(person.id)?.lockedAt !== null) return locked();
    if (!right) {
      access.record.write('not-let-in', at, person.id, 'password', place);
      if (access.accounts.wrong(person.id, 'password', at))
        access.record.write('locked', at, person.id, person.id, place);
      return wrongOne('password');
    }
    access.accounts.right(person.id, 'password');
    return person;
  });
  // Thrown out here: what was counted and recorded stays.
  if (said instanceof HttpError) throw said;
  return said;
}

/**
 * Checks a PIN.
 * @returns who it is
 * @throws HttpError 401 when it is wrong, used up or too old, 423 when the account is locked
 */
export async function byPin(services: Needed, personId: string, pin: string, place: string): Promise<Person> {
  const { access, people } = services;
  const person = people.here().find(({ id }) => id === personId) ?? null;
  const account = access.accounts.of(personId);
  const right = await isSecret(account?.pinHash ?? null, pin);
  const said = services.oneGo.run((): Person | HttpError => {
    const at = services.now();
    const now = access.accounts.of(personId);
    if (person === null || now?.pinHash == null) {
      access.record.write('not-let-in', at, personId, 'pin', place);
      return wrongPin();
    }
    if (now.lockedAt !== null) return locked();
    if (now.wrongPins >= WRONG_PINS)
      return new HttpError('pin-used-up', `${WRONG_PINS} wrong PINs in a row: this one is not taken any more.`, {
        wouldHelp: 'Sign in by the password; then it is taken again.',
      });
    if (!right) {
      access.accounts.wrong(personId, 'pin', at);
      access.record.write('not-let-in', at, personId, 'pin', place);
      return wrongPin();
    }
    if (Date.parse(at) - Date.parse(now.pinAt ?? at) > PIN_DAYS * 86_400_000)
      return new HttpError('pin-too-old', `This PIN is older than ${PIN_DAYS} days.`, {
        wouldHelp: 'Sign in by the password and set a new one.',
      });
    access.accounts.right(personId, 'pin');
    return person;
  });
  if (said instanceof HttpError) throw said;
  return said;
}

const wrongPin = (): HttpError =>
  new HttpError('not-let-in', 'That is not the PIN.', { fields: { pin: 'That is not it.' } });
const locked = (): HttpError =>
  new HttpError('locked', `After ${WRONG_PASSWORDS} wrong passwords in a row this account is locked.`, {
    wouldHelp: 'A lead opens it again under Settings, Who is let in.',
  });

/** Who goes by a name: in full, by the first alone where nobody else has it, or by id. */
export function called(people: readonly Person[], name: string): Person | null {
  const wanted = name.trim().toLowerCase();
  const exact = people.find((each) => each.name.toLowerCase() === wanted || each.id === wanted);
  if (exact !== undefined) return exact;
  const [first, ...more] = people.filter((each) => each.name.toLowerCase().split(' ')[0] === wanted);
  return first !== undefined && more.length === 0 ? first : null;
}
