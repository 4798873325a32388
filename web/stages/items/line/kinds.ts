import { ITEM_KINDS, type ItemKind } from '../../../../core/procedure/index.ts';
import { keysOf } from '../../../parts/keysOf.ts';

/** Kinds of what comes off, for picking one. */
export const KINDS: readonly { readonly id: ItemKind; readonly name: string }[] = keysOf(ITEM_KINDS).map((id) => ({
  id,
  name: ITEM_KINDS[id],
}));
