export { type CellKind, plainCell, sayCell, UNIT_OF } from './cell.ts';
