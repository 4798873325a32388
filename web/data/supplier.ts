import type { SupplierOrder, SupplierReply } from '../../contract/index.ts';
import type { OrderTaken } from '../../core/supplier/index.ts';
import { give } from './asking.ts';
import { api } from './api.ts';

/** What the supplier has of some numbers. Asked anew each time: a price of before is none. */
export const readOffers = (numbers: readonly string[]): Promise<SupplierReply> =>
  api.get(`/supplier/offers?${numbers.map((number) => `number=${encodeURIComponent(number)}`).join('&')}`);
/** Orders for a job. @param orderId the same again is the same order */
export const orderParts = (
  order: SupplierOrder,
  orderId: string,
): Promise<OrderTaken & { readonly dearerMinor: number; readonly withoutDay: readonly string[] }> =>
  give('/supplier/orders', { ...order, orderId });
