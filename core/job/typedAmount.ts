import { type Field, type Measures, type Quantity, readField } from '../quantity/index.ts';
import { type Refusal, refuseField } from './decision.ts';

/** One typed amount, or why it cannot be read. @param name of the command's field that holds it */
export function typedAmount(name: string, text: string, field: Field, measures: Measures = null): Quantity | Refusal {
  const read = readField(text, field, measures);
  return read.ok ? read.quantity : refuseField(name, read.message);
}
