import { type ItemKind, type Joint, JOINTS, type ProcedureItem } from './types.ts';

/** What fasteners hold that are part of an item of a kind. What is not known is taken for a joint that counts. */
const OF_KIND: Readonly<Record<ItemKind, Joint>> = {
  cover: 'trim',
  duct: 'trim',
  clamp: 'trim',
  hose: 'trim',
  'coolant-hose': 'coolant',
  connector: 'trim',
  cable: 'bracket',
  bracket: 'bracket',
  fasteners: 'flange',
  unit: 'flange',
  gasket: 'flange',
  plug: 'trim',
  other: 'flange',
};

/** What the fasteners of an item hold: as it was said, else by the kind of item. */
export const jointOf = ({ kind, fasteners }: Pick<ProcedureItem, 'kind' | 'fasteners'>): Joint =>
  fasteners?.joint ?? OF_KIND[kind];

/** Whether the fasteners of an item call for a torque figure that nobody has given. */
export const figureWanted = (item: Pick<ProcedureItem, 'kind' | 'fasteners'>): boolean =>
  item.fasteners !== null && item.fasteners.spec === null && JOINTS[jointOf(item)].figure;
