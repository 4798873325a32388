import { type Kind, parseQuantity, type Quantity } from '../quantity/index.ts';
import { type Refusal, refuseField } from './decision.ts';

/** One typed amount, or why it cannot be read. @param assume the unit of a bare number */
export function typedAmount(field: string, text: string, kind: Kind, assume: 'g' | 'L' | 'm'): Quantity | Refusal {
  const parsed = parseQuantity(text, kind, assume);
  if (!parsed.ok) return refuseField(field, parsed.message);
  return parsed.upTo === undefined ? parsed.quantity : refuseField(field, 'Expected one figure, got a range.');
}
