import { password as passwordSchema } from '../../contract/signIn.ts';
import { Audit } from '../store/audit.ts';
import { openStore } from '../store/open.ts';
import { OneGo } from '../store/oneGo.ts';
import { People } from '../store/people.ts';
import { StoreError } from '../store/errors.ts';
import { createAccess } from './access.ts';
import { called } from './lettingIn.ts';
import { hashSecret } from './secrets.ts';

/**
 * Sets a password from the machine itself, for a shop in which nobody can let the others in any more: whoever can write
 * the store can do that anyway. A locked account is open then, and the record says where it was done.
 * @param now ISO time
 * @returns whose it is
 * @throws StoreError where nobody goes by that name, or the password is none
 */
export async function letIn(store: string, name: string, password: string, now: string): Promise<string> {
  const read = passwordSchema.safeParse(password);
  if (!read.success) throw new StoreError('foreign', `${read.error.issues[0]?.message ?? ''} Nothing was changed.`);
  const db = openStore(store, { mayCreate: false });
  try {
    const people = new People(db, new Audit(db)).here();
    const person = called(people, name);
    if (person === null)
      throw new StoreError(
        'missing',
        `Nobody here goes by “${name}”. There are: ${people.map((each) => each.name).join(', ')}. Nothing was changed.`,
      );
    const hash = await hashSecret(read.data);
    const access = createAccess(db, () => now);
    new OneGo(db).run(() => {
      access.accounts.setPassword(person.id, hash, now);
      access.sessions.endOf(person.id);
      access.record.write('password-set', now, '', person.id, 'this machine');
    });
    return person.name;
  } finally {
    db.close();
  }
}
