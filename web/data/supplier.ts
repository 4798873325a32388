import type { OnOrderReply, PriceListLine, SupplierOrder, SupplierReply } from '../../contract/index.ts';
import type { OrderTaken } from '../../core/supplier/index.ts';
import { useShop } from '../stores/shop.ts';
import { api } from './api.ts';
import { ask, give, remove } from './asking.ts';
import { addressOf } from './pages.ts';

/** What the supplier has of some numbers. Asked anew each time: a price of before is none. */
export const readOffers = (numbers: readonly string[]): Promise<SupplierReply> =>
  api.get(`/supplier/offers?${numbers.map((number) => `number=${encodeURIComponent(number)}`).join('&')}`);
/** Orders for a job. @param orderId the same again is the same order */
export const orderParts = (
  order: SupplierOrder,
  orderId: string,
): Promise<OrderTaken & { readonly dearerMinor: number; readonly withoutDay: readonly string[] }> =>
  give('/supplier/orders', { ...order, orderId });
/** Price lists that were taken in. */
export const readPriceLists = (): Promise<{ rows: readonly PriceListLine[] }> => ask('/price-lists');
/** Takes a list in, in place of the one before of that supplier. @param text comma-separated values */
export const takePriceList = (supplier: string, text: string, goodOnly: boolean): Promise<{ readonly taken: number }> =>
  api.upload(
    addressOf('/price-lists', { supplier, by: useShop().personId, good: goodOnly ? '1' : undefined }),
    new Blob([text], { type: 'text/csv' }),
  );
/** Throws a list away. */
export const dropPriceList = (id: string): Promise<unknown> => remove(`/price-lists/${encodeURIComponent(id)}`);
/** What is on its way for open jobs. @param code as a scanner typed it; left out: everything */
export const readOnOrder = (code?: string): Promise<OnOrderReply> => api.get(addressOf('/on-order', { code }));
