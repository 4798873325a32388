import type { ItemKind } from '../../../core/procedure/index.ts';

/** Kinds of items as they are called. */
export const ITEM_KINDS: Readonly<Record<ItemKind, string>> = {
  cover: 'Cover',
  duct: 'Duct',
  clamp: 'Clamp',
  hose: 'Hose',
  'coolant-hose': 'Coolant hose',
  connector: 'Electric plug',
  cable: 'Cable or link',
  bracket: 'Bracket',
  fasteners: 'Fasteners',
  unit: 'Unit',
  gasket: 'Gasket or seal',
  plug: 'Bung',
  other: 'Other',
};
