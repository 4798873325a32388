/** Something to pick. */
export interface Pick<Id extends string = string> {
  readonly id: Id;
  readonly words: string;
  /** What tells it from others of the same name. */
  readonly about?: string;
}
/** What is kept by id with a name, as things to pick. */
export const picksOf = <Id extends string>(names: Readonly<Record<Id, string>>): Pick<Id>[] =>
  (Object.entries(names) as [Id, string][]).map(([id, words]) => ({ id, words }));
