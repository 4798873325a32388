/** A line of the sheet. */
export interface SheetRow {
  readonly label: string;
  readonly value: string;
  readonly note: string;
}

/** A section of the sheet; one with no rows prints its `empty` sentence. */
export interface SheetSection {
  readonly title: string;
  readonly rows: readonly SheetRow[];
  readonly empty: string;
  /** Many short rows: two columns are room enough. */
  readonly dense?: true;
}

/** The first page, for whoever owns the vehicle: in sentences, without the trade's words. */
export interface CustomerPage {
  readonly wrong: readonly string[];
  readonly done: readonly string[];
  readonly cost: readonly SheetRow[];
  /** What to watch and when to come again. */
  readonly watch: readonly string[];
  /** What the record does not have, each as a gap. */
  readonly gaps: readonly string[];
  /** Who signs, each on a line of their own. */
  readonly signs: readonly string[];
}

/** The whole sheet, ready to be printed or shown; everything is words by now. */
export interface Sheet {
  readonly customer: CustomerPage;
  readonly plate: string;
  readonly title: string;
  readonly subtitle: string;
  readonly identity: readonly SheetRow[];
  readonly sections: readonly SheetSection[];
  readonly closing: string;
}

/** How the sheet says times, people and money; core has neither a clock nor a list of people. */
export interface Speaker {
  /** ISO time → “Thursday 14 May 2026, 14:20”. */
  readonly time: (iso: string) => string;
  /** The day of an ISO time → “Thursday 14 May 2026”. */
  readonly date: (iso: string) => string;
  /** The day of the week of an ISO time → “Thursday”. */
  readonly weekday: (iso: string) => string;
  /** The hour and minute of an ISO time → “14:20”. */
  readonly clock: (iso: string) => string;
  /** The ISO day that an ISO time falls on where the shop is. */
  readonly isoDay: (iso: string) => string;
  /** ISO day → “Monday 18 May 2026”. */
  readonly day: (isoDay: string) => string;
  /** ISO day of the next weeks → “Monday 18 May”; what is recorded carries its year. */
  readonly nearDay: (isoDay: string) => string;
  /** ISO time within a week → “Monday 14:20”. */
  readonly nearTime: (iso: string) => string;
  /** Person id → name. */
  readonly person: (id: string) => string;
  /** Minor units → “42.50 cr”, of the shop's currency unless another is given. */
  readonly money: (minor: number, currency?: string) => string;
}
