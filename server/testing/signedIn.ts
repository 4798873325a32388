import supertest from 'supertest';
import type { Person, SessionReply } from '../../contract/index.ts';
import { TOKEN_HEADER } from '../access/gate.ts';
import { hashSecret } from '../access/secrets.ts';
import type { Harness } from './harness.ts';

/** What everybody in these tests signs in by; nobody would guess that of the other. */
export const passwordOf = (personId: string): string => `${personId} walks to the quay`;
export const PIN = '2580';

/** One browser, with whoever is signed in at it. */
export interface Browser {
  readonly agent: ReturnType<typeof supertest.agent>;
  session: SessionReply;
  /** A request with the token of the page that is open. */
  readonly send: (method: 'get' | 'post' | 'put' | 'delete', path: string, body?: object) => supertest.Test;
  readonly signIn: (personId: string) => Promise<void>;
}

/** Somebody at the parts counter, beside those of the demo. */
const PIA: Person = { id: 'pia', name: 'Pia Holm', role: 'parts', bay: 'counter' };

/** Gives everybody a password, and some a PIN: from then on people sign in. */
export async function withAccounts(server: Harness, pins: readonly string[] = []): Promise<void> {
  const { people, access, now } = server.services;
  const { id, ...pia } = PIA;
  people.put({ id, ...pia }, { by: 'isla', at: now() });
  const [pin] = await Promise.all([hashSecret(PIN)]);
  for (const person of people.here()) {
    access.accounts.setPassword(person.id, await hashSecret(passwordOf(person.id)), now());
    if (pins.includes(person.id)) access.accounts.setPin(person.id, pin, now());
  }
}

/** A browser that nobody is signed in at. */
export function browserOf(server: Harness): Browser {
  const agent = supertest.agent(server.app);
  const browser: Browser = {
    agent,
    session: null as never,
    send: (method, path, body) => {
      const request = agent[method](`/api${path}`).set(TOKEN_HEADER, browser.session?.token ?? '');
      return body === undefined ? request : request.send(body);
    },
    signIn: async (personId) => {
      const { body } = await agent
        .post('/api/session')
        .send({ name: personId, password: passwordOf(personId) })
        .expect(201);
      browser.session = body as SessionReply;
    },
  };
  return browser;
}

/** A browser at which somebody is signed in. */
export async function signedIn(server: Harness, personId: string): Promise<Browser> {
  const browser = browserOf(server);
  await browser.signIn(personId);
  return browser;
}
