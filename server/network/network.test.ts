import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { get as plainGet } from 'node:http';
import { createServer, get, type RequestOptions } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { isHostName, reachOf } from './addresses.ts';
import { makeServerCertificate } from './certificates.ts';
import { joiningServer } from './joining.ts';
import { certifies, cookieKeyOf, readCertified } from './kept.ts';
import { networkReply, openNetwork } from './network.ts';

const NOW = '2026-05-13T13:09:00.000Z';
const later = (days: number): string => new Date(Date.parse(NOW) + days * 86_400_000).toISOString();
const REACH = { names: ['garage.local', 'garage'], addresses: ['192.168.7.20'] };

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), '.uw-net-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));
const open = (more: Partial<Parameters<typeof openNetwork>[1]> = {}) =>
  openNetwork(folder, { reach: REACH, now: NOW, shop: 'Tern Quay Garage', ...more });

/** Asks a server of this machine by a name, as a tablet would that trusts an authority. @returns the status, or why not */
async function reached(
  { certificate, key }: { certificate: string; key: string },
  name: string,
  authority: string,
): Promise<number | string> {
  const server = createServer({ cert: certificate, key }, (_, response) => void response.end('here'));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  // As of today by the clock of the machine: certificates are checked against that.
  const options: RequestOptions = { host: '127.0.0.1', port, ca: authority, servername: name };
  return new Promise<number | string>((done) => {
    get(options, (answer) => done(answer.statusCode ?? 0)).on('error', (error: NodeJS.ErrnoException) =>
      done(error.message),
    );
  }).finally(() => server.close());
}

describe('the workshop’s own authority', () => {
  it('is made at the first use and kept, its keys readable to this server alone', async () => {
    const first = await open();
    expect(first.said).toEqual([]);
    const again = await open();
    expect([again.fingerprint, again.server]).toEqual([first.fingerprint, first.server]);
    expect(cookieKeyOf(folder)).toBe(cookieKeyOf(folder));
    const kept = join(folder, 'network');
    expect(statSync(kept).mode & 0o777).toBe(0o700);
    expect(readdirSync(kept).toSorted()).toEqual([
      'authority.crt',
      'authority.key',
      'cookie.key',
      'server.crt',
      'server.key',
    ]);
    for (const name of readdirSync(kept)) expect(statSync(join(kept, name)).mode & 0o777).toBe(0o600);
  });

  it('is trusted for this host by its names, and for nothing else though it signs it', async () => {
    const now = new Date().toISOString();
    const network = await open({ now });
    expect(await reached(network.server, 'garage.local', network.authority)).toBe(200);
    expect(await reached(network.server, 'localhost', network.authority)).toBe(200);
    const authority = readCertified(folder, 'authority')!;
    const elsewhere = await makeServerCertificate(authority, { names: ['bank.example'], addresses: [] }, now);
    expect(await reached(elsewhere, 'bank.example', network.authority)).toBe('permitted subtree violation');
    const another = await makeServerCertificate(authority, { names: [], addresses: ['192.168.7.21'] }, now);
    expect(await reached(another, 'localhost', network.authority)).toBe('permitted subtree violation');
  });

  it('goes by the names of the host, and its certificate is made anew before it runs out', async () => {
    const { server, front } = await open();
    expect(certifies(server.certificate)).toMatchObject({
      names: ['garage.local', 'garage', 'localhost'],
      addresses: ['192.168.7.20', '127.0.0.1'],
    });
    expect([...front.hosts]).toEqual(['garage.local', 'garage', '192.168.7.20', 'localhost', '127.0.0.1']);
    const soon = await open({ now: later(340) });
    expect(soon.server.certificate).not.toBe(server.certificate);
    expect(soon.fingerprint).toBe((await open({ now: later(340) })).fingerprint);
    expect(certifies(soon.server.certificate).names).toEqual(certifies(server.certificate).names);
    expect(soon.said).toEqual([]);
  });

  it('says when a certificate had run out, and when the authority did: then tablets are brought in again', async () => {
    const { fingerprint } = await open();
    const late = await open({ now: later(400) });
    expect(late.said.join()).toContain('had run out');
    expect(late.fingerprint).toBe(fingerprint);
    const years = await open({ now: later(3700) });
    expect(years.said.join()).toMatch(/authority has run out.*bring every tablet in again/);
    expect(years.fingerprint).not.toBe(fingerprint);
  });

  it('notices that the machine has another address, keeps to the old, and is made anew only when it is told', async () => {
    const { fingerprint } = await open();
    const reach = { ...REACH, addresses: ['10.0.0.9'] };
    const moved = await open({ reach });
    expect(moved.said.join()).toMatch(/now also 10\.0\.0\.9.*reach it as garage\.local, as before.*--new-authority/);
    expect([moved.fingerprint, moved.front.hosts.has('10.0.0.9')]).toEqual([fingerprint, false]);
    const anew = await open({ reach, anew: true });
    expect(anew.fingerprint).not.toBe(fingerprint);
    expect(anew.front.hosts.has('10.0.0.9')).toBe(true);
    expect((await open({ reach })).said).toEqual([]);
  });

  it('is not made by a clock that is not set', async () => {
    await expect(open({ now: '1999-12-31T23:00:00.000Z' })).rejects.toThrow(
      'The clock of this machine says 1999-12-31',
    );
    expect(readdirSync(folder)).toEqual([]);
  });
});

describe('the page that brings a tablet in', () => {
  it('is plain, names the fingerprint, gives out the certificate, and serves nothing else', async () => {
    const network = await open();
    const server = await joiningServer(network, 'Tern & Quay', 'https://garage.local:4274');
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const { port } = server.address() as AddressInfo;
    const ask = (path: string, method = 'GET') =>
      new Promise<{ status: number; type: string; csp: string; body: Buffer }>((done, fail) => {
        const request = plainGet({ host: '127.0.0.1', port, path, method }, (answer) => {
          const parts: Buffer[] = [];
          answer.on('data', (part: Buffer) => parts.push(part));
          answer.on('end', () =>
            done({
              status: answer.statusCode ?? 0,
              type: String(answer.headers['content-type'] ?? ''),
              csp: String(answer.headers['content-security-policy']),
              body: Buffer.concat(parts),
            }),
          );
        });
        request.on('error', fail);
      });
    const page = await ask('/');
    expect(page).toMatchObject({ status: 200, type: 'text/html; charset=utf-8' });
    expect(page.csp).toContain("default-src 'none'");
    const text = page.body.toString();
    expect(text).toContain('Tern &#38; Quay');
    for (const said of [
      network.fingerprint.replaceAll(':', ':<wbr>'),
      'https://garage.local:4274',
      'data:image/png;base64,',
    ])
      expect(text).toContain(said);
    const certificate = await ask('/authority.crt');
    expect(certificate).toMatchObject({ status: 200, type: 'application/x-x509-ca-cert' });
    expect(
      certifies(`-----BEGIN CERTIFICATE-----\n${certificate.body.toString('base64')}\n-----END CERTIFICATE-----`),
    ).toMatchObject({
      fingerprint: network.fingerprint,
    });
    for (const path of ['/api/health', '/index.html', '/authority.key', '/../network/authority.key', '/?x'])
      expect((await ask(path)).status).toBe(404);
    expect((await ask('/', 'POST')).status).toBe(405);
    server.close();
  });
});

describe('how this machine is reached', () => {
  it('is by names that can stand in an address, those first that were given', () => {
    const { names, addresses } = reachOf(['Wrench.Quay', 'no good name', '-x']);
    expect(names[0]).toBe('wrench.quay');
    expect(names.some((name) => name.endsWith('.local'))).toBe(true);
    expect([...names].every(isHostName)).toBe(true);
    expect(addresses.includes('127.0.0.1')).toBe(false);
  });
  it('is told in whole addresses', async () => {
    const reply = networkReply(await open(), 4274, 4275);
    expect(reply.addresses).toEqual(['https://garage.local:4274', 'https://garage:4274', 'https://192.168.7.20:4274']);
    expect(reply.joining[0]).toBe('http://192.168.7.20:4275/');
  });
});
