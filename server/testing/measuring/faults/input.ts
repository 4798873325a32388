import { BODIES, fingerprintOf, ROUTES, sendBody } from '../../badBodies.ts';
import { harness, openJob } from '../../harness.ts';
import type { Measured } from '../measure.ts';

/** Every body that cannot be read, at every route that takes one. */
export async function badInputs(): Promise<Measured> {
  const server = await harness();
  await openJob(server, 'j');
  const before = JSON.stringify(fingerprintOf(server.db));
  let clear = 0;
  let tried = 0;
  const wrong: string[] = [];
  for (const [name, headers, body, words] of BODIES)
    for (const [method, path] of ROUTES) {
      tried += 1;
      const reply = await sendBody(server.http, method, path, headers, body);
      const message = String(reply.body.error?.message ?? '');
      if (reply.status >= 400 && reply.status < 500 && words.test(message)) clear += 1;
      else wrong.push(`${name} at ${path}: ${reply.status}`);
    }
  const changed = JSON.stringify(fingerprintOf(server.db)) !== before;
  server.close();
  return {
    what: 'bad inputs at the edge of the API',
    measured: `${tried}, ${clear} clear refusals, ${changed ? 'something' : '0'} changed${wrong.length > 0 ? `; ${wrong.slice(0, 3).join('; ')}` : ''}`,
    wanted: '≥ 300, all clear, 0 changed',
    met: tried >= 300 && clear === tried && !changed,
  };
}
