/** Who did it and when: person id and ISO time. */
export interface Stamp {
  readonly at: string;
  readonly by: string;
}

/** Before or after the work. */
export type When = 'before' | 'after';
