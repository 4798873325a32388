import type { ItemKind } from '../../../../core/procedure/index.ts';

/** Kinds of what comes off, as they are called on the screen. */
export const KINDS: readonly { readonly id: ItemKind; readonly name: string }[] = [
  { id: 'unit', name: 'unit itself' },
  { id: 'fasteners', name: 'fasteners' },
  { id: 'duct', name: 'duct' },
  { id: 'connector', name: 'connector' },
  { id: 'hose', name: 'hose' },
  { id: 'coolant-hose', name: 'coolant hose' },
  { id: 'cable', name: 'cable or link' },
  { id: 'clamp', name: 'clamp' },
  { id: 'bracket', name: 'bracket' },
  { id: 'cover', name: 'cover' },
  { id: 'gasket', name: 'gasket or seal' },
  { id: 'plug', name: 'bung' },
  { id: 'other', name: 'something else' },
];
