import type { ItemKind, Joint } from '../../core/procedure/index.ts';

/** One thing that a sentence says came off; fields that are left out must stay unsaid. */
export interface LineThing {
  readonly name: string;
  readonly kind: ItemKind;
  readonly count?: number;
  readonly thread?: string;
  readonly tool?: string;
  readonly place?: string;
  readonly torque?: string;
  readonly plug?: string;
  readonly joint?: Joint;
}

/** What a person types or says at the standing line, and the things that it is. */
export interface LineCase {
  readonly text: string;
  readonly things: readonly LineThing[];
}
