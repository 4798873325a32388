import { line, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link trayLaidOut} holds. */
export const trayLaidOutShape = record({ rows: whole, columns: whole });
/** The tray has so many pockets. */
export const trayLaidOut = fact('tray-laid-out', {
  shape: trayLaidOutShape,
  means: (job, { rows, columns }) => ({ tray: { ...job.tray, rows, columns } }),
  words: (data) => `Tray laid out, ${data.rows} by ${data.columns}`,
  sheet: { no: 'the tray is cleared at the end' },
});

/** Lays the tray out. */
export const layOutTray = command('lay-out-tray', {
  shape: trayLaidOutShape,
  decide: (_, data) =>
    within('rows', data.rows, 1, 12) ??
    within('columns', data.columns, 1, 12) ??
    (Number.isInteger(data.rows) && Number.isInteger(data.columns)
      ? accept(trayLaidOut.of(data))
      : refuseField('rows', 'Expected whole numbers of rows and columns.')),
});

/** What {@link pocketNamed} holds. */
export const pocketNamedShape = record({ pocket: line, name: line });
/** A pocket of the tray has a name. */
export const pocketNamed = fact('pocket-named', {
  shape: pocketNamedShape,
  means: (job, { pocket, name }) => ({
    tray: { ...job.tray, names: { ...job.tray.names, [pocket]: name } },
  }),
  words: (data) => `Pocket ${data.pocket}: ${data.name}`,
  sheet: { no: 'the tray is cleared at the end' },
});

/** Names a pocket. */
export const namePocket = command('name-pocket', {
  shape: pocketNamedShape,
  decide: (_, data) =>
    nonEmpty('pocket', data.pocket, 'Which pocket?') ?? accept(pocketNamed.of({ ...data, name: data.name.trim() })),
});
