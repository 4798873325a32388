import type { StockKind } from '../../../contract/index.ts';

/** One of each kind, as it is called. */
export const STOCK_KINDS: Readonly<Record<StockKind, string>> = {
  gasket: 'Gasket',
  seal: 'Seal',
  part: 'Part',
  screw: 'Screw',
  cleaner: 'Cleaner',
  coolant: 'Coolant',
};
