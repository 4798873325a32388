import type { CsvLayout, CsvProblem, Difference, Trace, Unlike } from '../../core/trace/index.ts';

/** What the tracing worker is asked. */
export type TracingTask =
  /** Opens a packed recording, and keeps it under its hash. */
  | { readonly kind: 'open'; readonly id: number; readonly hash: string; readonly bytes: ArrayBuffer }
  /** Looks at a file that somebody brought: what is in it. */
  | { readonly kind: 'look'; readonly id: number; readonly bytes: ArrayBuffer }
  /** Reads the file that was looked at last. */
  | { readonly kind: 'read'; readonly id: number; readonly layout: CsvLayout }
  | { readonly kind: 'cancel'; readonly id: number }
  /** What changed from one opened recording to another over stretches of both. */
  | {
      readonly kind: 'compare';
      readonly id: number;
      readonly before: string;
      readonly after: string;
      readonly beforeSpan: Span;
      readonly afterSpan: Span;
      readonly swingS: number;
    };

/** A stretch of a recording, s. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** What changed in one channel; null where it is too short to say. */
export interface ChannelDifference {
  readonly role: string;
  readonly difference: Difference | null;
}

/** What the worker answers. */
export type TracingAnswer =
  | { readonly kind: 'opened'; readonly id: number; readonly trace: Trace }
  | { readonly kind: 'looked'; readonly id: number; readonly layout: CsvLayout; readonly lines: number }
  | { readonly kind: 'progress'; readonly id: number; readonly share: number }
  | {
      readonly kind: 'read';
      readonly id: number;
      readonly trace: Trace;
      readonly packed: Uint8Array;
      readonly readings: number;
      readonly problems: readonly CsvProblem[];
      readonly problemCount: number;
    }
  | { readonly kind: 'cancelled'; readonly id: number }
  | {
      readonly kind: 'compared';
      readonly id: number;
      readonly differences: readonly ChannelDifference[];
      readonly unlike: readonly Unlike[];
    }
  | { readonly kind: 'refused'; readonly id: number; readonly message: string };
