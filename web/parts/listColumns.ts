/** A column of a list. */
export interface ListColumn {
  readonly id: string;
  readonly name: string;
  /** The order of the server's list that this column is; none when the list cannot be put in order by it. */
  readonly sort?: string;
  /** What says which line it is cannot be left out. */
  readonly always?: boolean;
  /** From which width it has room; below it, it may still be asked for. */
  readonly from?: 'sm' | 'md' | 'lg' | 'xl';
  /** Figures stand at the right. */
  readonly figures?: boolean;
}
/** How a list is put in order. */
export interface ListOrder {
  readonly sort: string;
  readonly direction: 'asc' | 'desc';
}
/** A tap on the head of a column: the other way round when it is in that order already. */
export const orderBy = ({ sort, direction }: ListOrder, wanted: string): ListOrder =>
  sort === wanted ? { sort, direction: direction === 'asc' ? 'desc' : 'asc' } : { sort: wanted, direction: 'asc' };
