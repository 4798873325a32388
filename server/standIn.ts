import { parseArgs } from 'node:util';
import { serveTcp } from './adapter/links.ts';
import { serveInstrument } from './instruments/hub.ts';
import { SCRIPTS } from './adapter/scripts.ts';
import { dayOf } from '../core/days/index.ts';
import { serveSupplier, SUPPLIER_MOODS } from './supplier/standIn.ts';

/**
 * A stand-in for an outside device as a process of its own, on one port of this machine: a simulated vehicle behind its
 * adapter, with --instrument one of the bench, or with --supplier a supplier of parts.
 */
const { values } = parseArgs({
  options: {
    vehicle: { type: 'string', default: 'van3' },
    instrument: { type: 'string' },
    /** How a supplier behaves: well, slow, unknown, dearer, split. */
    supplier: { type: 'string' },
    port: { type: 'string', default: '4217' },
  },
});
const script = SCRIPTS.find(({ id }) => id === values.vehicle);
const port = Number(values.port);
if (script === undefined || !Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write(`Expected --vehicle ${SCRIPTS.map(({ id }) => id).join(', ')} and --port 0 to 65535.\n`);
  process.exit(2);
}
const mood = SUPPLIER_MOODS.find((each) => each === values.supplier);
if (values.supplier !== undefined && mood === undefined) {
  process.stderr.write(`Expected --supplier ${SUPPLIER_MOODS.join(', ')}.\n`);
  process.exit(2);
}
const today = (): string => dayOf(new Date().toISOString(), 'UTC');
const standIn = await (
  mood !== undefined
    ? serveSupplier(port, mood, { today, currency: 'cr' })
    : values.instrument === undefined
      ? serveTcp(script, port)
      : serveInstrument(values.instrument, port)
).catch((error: NodeJS.ErrnoException) => {
  process.stderr.write(error.code === 'EADDRINUSE' ? `Port ${port} is taken.\n` : `${error.message}\n`);
  process.exit(1);
});
process.stdout.write(
  `${mood === undefined ? (values.instrument ?? script.name) : `A supplier that behaves “${mood}”`} answers on 127.0.0.1:${standIn.port}\n`,
);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(0));
