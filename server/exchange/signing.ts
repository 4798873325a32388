import { createHash, createPrivateKey, createPublicKey, generateKeyPairSync, sign, verify } from 'node:crypto';
import { fingerprintWords } from '../../core/exchange/index.ts';
import { canonical } from '../store/chain.ts';

/** What stands before the 32 bytes of an Ed25519 key in its SPKI form (RFC 8410, 10.1). */
const SPKI_HEAD = Buffer.from('302a300506032b6570032100', 'hex');

/** A key pair of a shop: the public half as base64 of its 32 bytes, the private one as PEM. */
export interface KeyPair {
  readonly public: string;
  readonly private: string;
}

/** A new pair for Ed25519 (RFC 8032). */
export function newKeyPair(): KeyPair {
  const { publicKey, privateKey } = generateKeyPairSync('ed25519');
  return {
    public: publicKey.export({ type: 'spki', format: 'der' }).subarray(SPKI_HEAD.length).toString('base64'),
    private: privateKey.export({ type: 'pkcs8', format: 'pem' }).toString(),
  };
}

type Unsigned = Readonly<Record<string, unknown>>;
const bytesOf = (content: Unsigned): Buffer => Buffer.from(canonical(content), 'utf8');

/** Signs the canonical JSON of everything but the signature. @returns base64 */
export const signatureOf = (content: Unsigned, privatePem: string): string =>
  sign(null, bytesOf(content), createPrivateKey(privatePem)).toString('base64');

/** Whether a file is as whoever holds its key signed it. */
export function isSigned(file: { readonly signature: string; readonly shop: { readonly key: string } }): boolean {
  const { signature, ...content } = file;
  const raw = Buffer.from(file.shop.key, 'base64');
  if (raw.length !== 32) return false;
  const key = createPublicKey({ key: Buffer.concat([SPKI_HEAD, raw]), format: 'der', type: 'spki' });
  return verify(null, bytesOf(content), key, Buffer.from(signature, 'base64'));
}

/** A key as two people compare it over the telephone. */
export const fingerprintOf = (key: string): string =>
  fingerprintWords(createHash('sha256').update(Buffer.from(key, 'base64')).digest('hex'));

/** What tells one content from another: SHA-256 of its canonical JSON, hex. */
export const digestOf = (content: unknown): string => createHash('sha256').update(canonical(content)).digest('hex');
