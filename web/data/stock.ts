import type {
  JobQuantity,
  MovementInput,
  OrderInput,
  Page,
  ReceiveInput,
  StockFile,
  StockItem,
  StockMovement,
  StockOutlook,
} from '../../contract/index.ts';
import type { CrossReference } from '../../core/stock/index.ts';
import { useShop } from '../stores/shop.ts';
import { api } from './api.ts';
import { ask, give, keep } from './asking.ts';
import { addressOf, type Query, usePages } from './pages.ts';
import { useRead } from './read.ts';

/** The list of the stock. */
export const useStockList = (query: () => Query) => usePages<StockItem>('/stock', query, ['stock', 'orders', 'jobs']);
/** What should be ordered, and what goes off. */
export const useStockOutlook = () => useRead<StockOutlook>(() => '/stock/outlook');
/** The first things that fit what was typed. */
export const lookInStock = async (text: string): Promise<readonly StockItem[]> =>
  (await api.get<Page<StockItem>>(addressOf('/stock', { q: text, limit: '20' }))).rows;
/** The thing that a scanned or typed number means, and what its code says besides. */
export const findStock = (
  code: string,
): Promise<{ readonly itemId: string | null; readonly code: { batch?: string; bestBefore?: string | null } }> =>
  api.get(addressOf('/stock/find', { code }));
/** One thing with the newest of its past. */
export const readStock = (id: string): Promise<StockFile> => ask(`/stock/${id}`);
/** An earlier page of one kind of a thing's past. */
export const earlierStock = <P extends 'movements' | 'uses' | 'arrivals'>(
  id: string,
  past: P,
  after: string,
): Promise<Page<P extends 'movements' ? StockMovement : JobQuantity>> =>
  api.get(addressOf(`/stock/${id}/${past}`, { after }));
/** Books a movement. */
export const moveStock = (id: string, movement: MovementInput): Promise<StockFile> =>
  give(`/stock/${id}/movements`, { movement });
/** Notes an order. */
export const orderStock = (id: string, order: OrderInput): Promise<StockFile> => give(`/stock/${id}/orders`, { order });
/** Books in what came of an order. */
export const receiveOrder = (orderId: string, received: ReceiveInput): Promise<StockFile> =>
  give(`/orders/${orderId}/received`, { received });
/** Says something about two part numbers. */
export const referStock = (reference: CrossReference): Promise<unknown> => keep('/references', { reference });
/** Takes in a table. @param goodOnly the good lines alone, where there are bad ones */
export const takeTable = (content: string, goodOnly: boolean): Promise<{ readonly taken: number }> =>
  api.upload(
    addressOf('/stock/table', { by: useShop().personId, good: goodOnly ? '1' : undefined }),
    new Blob([content], { type: 'text/csv' }),
  );
