import { webcrypto } from 'node:crypto';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import type { Reach } from './addresses.ts';

/** A certificate with its private key, both as PEM. */
export interface Certified {
  readonly certificate: string;
  readonly key: string;
}

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const DAY_MS = 86_400_000;
/** An authority outlives the tablets that trust it. */
const AUTHORITY_DAYS = 3650;
/** Browsers take no certificate of a longer life than 398 days from anybody. */
const SERVER_DAYS = 365;
/** What is sent to this machine by whoever sits at it. */
const HERE: Reach = { names: ['localhost'], addresses: ['127.0.0.1'] };

const withHere = ({ names, addresses }: Reach): Reach => ({
  names: [...new Set([...names, ...HERE.names])],
  addresses: [...new Set([...addresses, ...HERE.addresses])],
});
const pem = async (key: webcrypto.CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
const freshKeys = (): Promise<webcrypto.CryptoKeyPair> =>
  webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
const serial = (): string =>
  Buffer.from(webcrypto.getRandomValues(new Uint8Array(16)))
    .toString('hex')
    .replace(/^[89a-f]/, '1');

/**
 * Only for these names and addresses, by RFC 5280, 4.2.1.10: an authority that somebody steals vouches for nothing else.
 */
function constraintsTo({ names, addresses }: Reach): x509.Extension {
  const bases = [
    ...names.map((dNSName) => new GeneralName({ dNSName })),
    ...addresses.map((address) => new GeneralName({ iPAddress: `${address}/32` })),
  ];
  const permitted = new GeneralSubtrees(bases.map((base) => new GeneralSubtree({ base })));
  return new x509.Extension(
    id_ce_nameConstraints,
    true,
    AsnConvert.serialize(new NameConstraints({ permittedSubtrees: permitted })),
  );
}

/** Makes an authority of the workshop's own, constrained to this host. @param now ISO time */
export async function makeAuthority(shop: string, reach: Reach, now: string): Promise<Certified> {
  const keys = await freshKeys();
  const from = Date.parse(now);
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: [`${shop} (workshop)`] }, { O: ['Unhurried Wrench'] }],
    notBefore: new Date(from - DAY_MS),
    notAfter: new Date(from + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      constraintsTo(withHere(reach)),
    ],
  });
  return { certificate: certificate.toString('pem'), key: await pem(keys.privateKey) };
}

/** Certifies this server for its names and addresses. @param now ISO time */
export async function makeServerCertificate(authority: Certified, reach: Reach, now: string): Promise<Certified> {
  const issuer = new x509.X509Certificate(authority.certificate);
  const signingKey = await webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decodeFirst(authority.key),
    ALGORITHM,
    false,
    ['sign'],
  );
  const keys = await freshKeys();
  const from = Date.parse(now);
  const { names, addresses } = withHere(reach);
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: [names[0] ?? 'localhost'] }],
    issuer: issuer.subjectName.toJSON(),
    notBefore: new Date(from - DAY_MS),
    notAfter: new Date(Math.min(from + SERVER_DAYS * DAY_MS, issuer.notAfter.getTime())),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      await x509.AuthorityKeyIdentifierExtension.create(issuer.publicKey),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      new x509.SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns' as const, value })),
        ...addresses.map((value) => ({ type: 'ip' as const, value })),
      ]),
    ],
  });
  return { certificate: certificate.toString('pem'), key: await pem(keys.privateKey) };
}
