// Fills an empty server with the demo world over HTTP.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './say.mjs';

async function call(address, method, path, body, type = 'application/json') {
  const response = await fetch(`${address}${path}`, { method, headers: { 'content-type': type }, body });
  const reply = await response.json();
  if (!response.ok)
    throw new Error(
      `${method} ${path}: ${reply.error?.message} ${reply.error?.wouldHelp ?? ''} (sent ${String(body).slice(0, 200)})`,
    );
  return reply;
}

/** @param {string} address of an empty server @param {number} now ms since 1970 */
export async function seed(address, now) {
  const { default: sharp } = await import('sharp');
  const { seedDemo } = await import(pathToFileURL(join(root, 'dist/demo/seed.js')).href);
  const json = (method, path, value) => call(address, method, path, JSON.stringify(value));
  await seedDemo(
    {
      putShop: async (shop) => void (await json('PUT', '/api/shop', shop)),
      putVehicle: async (id, vehicle) => void (await json('PUT', `/api/vehicles/${id}`, { by: 'isla', vehicle })),
      takeLife: async (file, onto) => void (await json('POST', '/api/signed-files', { by: 'isla', file, onto })),
      putProcedure: async (procedure, basedOn, note) =>
        void (await json('PUT', `/api/procedures/${procedure.id}`, { by: 'isla', basedOn, note, procedure })),
      send: (jobId, command) => json('POST', `/api/jobs/${jobId}/commands`, command),
      putRecording: async (packed) =>
        (await call(address, 'POST', '/api/recordings', packed, 'application/octet-stream')).hash,
      putPicture: async (svg) => {
        const bytes = await sharp(Buffer.from(svg)).jpeg({ quality: 84 }).toBuffer();
        return (await call(address, 'POST', '/api/pictures', bytes, 'image/jpeg')).hash;
      },
    },
    now,
  );
}
