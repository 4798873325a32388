import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { seedDemo } from '../demo/seed.ts';
import { launch } from './served.ts';

/** Where the stories find the folder of the demo world that each of them copies. */
export const SEEDED = 'UNHURRIED_WRENCH_SEEDED';

async function call(
  address: string,
  method: string,
  path: string,
  body: BodyInit,
  type = 'application/json',
): Promise<never> {
  const response = await fetch(`${address}${path}`, { method, headers: { 'content-type': type }, body });
  const reply = (await response.json()) as { error?: { message: string } };
  if (!response.ok) throw new Error(`${method} ${path}: ${reply.error?.message}`);
  return reply as never;
}

/** Fills an empty server with the demo world as it is now. */
export async function seed(address: string): Promise<void> {
  const json = (method: string, path: string, value: unknown): Promise<never> =>
    call(address, method, path, JSON.stringify(value));
  await seedDemo(
    {
      putShop: async (shop) => void (await json('PUT', '/api/shop', shop)),
      putVehicle: async (id, vehicle) => void (await json('PUT', `/api/vehicles/${id}`, { by: 'isla', vehicle })),
      putProcedure: async (procedure, basedOn, note) =>
        void (await json('PUT', `/api/procedures/${procedure.id}`, { by: 'isla', basedOn, note, procedure })),
      send: (jobId, command) => json('POST', `/api/jobs/${jobId}/commands`, command),
      putRecording: async (packed) =>
        (
          (await call(address, 'POST', '/api/recordings', new Uint8Array(packed), 'application/octet-stream')) as {
            hash: string;
          }
        ).hash,
      putPicture: async (svg) =>
        (
          (await call(
            address,
            'POST',
            '/api/pictures',
            new Uint8Array(await sharp(Buffer.from(svg)).resize(120).png().toBuffer()),
            'image/png',
          )) as { hash: string }
        ).hash,
    },
    Date.now(),
  );
}

/** Seeds the demo world once for all stories: that takes half a minute, a copy of it a moment. */
export default async function seedOnce(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'uw-seeded-'));
  const server = await launch(join(folder, 'shop.sqlite'), 0);
  try {
    await seed(server.address);
  } finally {
    await server.stop();
  }
  process.env[SEEDED] = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
