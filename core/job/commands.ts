import type { Knowledge } from '../diagnose/index.ts';
import type { HouseRules } from '../house/index.ts';
import type { Procedure } from '../procedure/index.ts';
import type { Wrench } from '../torque/index.ts';
import type { EngineFamily, MeterReading, UnitObjectKind, VariantFeatures, Vehicle } from '../vehicle/index.ts';
import type { UnitForm } from '../clean/index.ts';
import type { BenchCommandData } from './benchEvents.ts';
import type { EventData, JobEvent } from './events.ts';
import type { StripCommandData } from './stripCommands.ts';
import type { OptionFigures, When } from './types.ts';

/** A typed amount is sent as it was typed, so that one rule in core judges it for everybody. */
type Typed<K extends keyof EventData, Computed extends keyof EventData[K], Text> = Omit<EventData[K], Computed> & Text;

/** Every command and what it holds. */
export interface CommandData extends StripCommandData, BenchCommandData {
  'open-job': {
    readonly vehicleId: string;
    readonly reading: MeterReading;
    readonly readingReason: string;
    readonly complaint: string;
  };
  'correct-reading': EventData['reading-corrected'];
  'tell-history': EventData['history-told'];
  'note-symptom': EventData['symptom-noted'];
  'strike-symptom': EventData['symptom-struck'];
  'read-code': EventData['code-read'];
  'read-codes-out': { readonly when: When };
  'do-check': EventData['check-done'];
  'choose-knowledge': EventData['knowledge-chosen'];
  'tell-complaint': { readonly id: string; readonly text: string };
  'answer-question': { readonly id: string; readonly sign: string; readonly outcome: string };
  'strike-sign': EventData['sign-struck'];
  /** Either an outcome that was picked, or typed values that are interpreted by core. */
  'record-check': {
    readonly id: string;
    readonly check: string;
    readonly outcome: string;
    readonly typed: readonly string[];
    readonly when: When;
  };
  'pass-over-check': { readonly id: string; readonly check: string; readonly why: string };
  'read-frame': EventData['frame-read'];
  'read-values': EventData['values-read'];
  'clear-codes': EventData['codes-cleared'];
  'end-clearing': EventData['clearing-ended'];
  'compare-variant': {
    readonly id: string;
    readonly kind: UnitObjectKind;
    readonly place: string;
    readonly found: VariantFeatures;
  };
  'set-terms': EventData['terms-set'];
  /** `departure` says why, when the choice departs from a house rule. */
  decide: EventData['decision-made'] & { readonly departure: string; readonly options: readonly OptionFigures[] };
  'make-estimate': EventData['estimate-made'];
  'answer-estimate': EventData['estimate-answered'];
  'depart-from-rule': { readonly question: string; readonly taken: string; readonly reason: string };
  'pin-procedure': { readonly procedureId: string };
  'tick-need': EventData['need-ticked'];
  'acknowledge-caution': EventData['caution-acknowledged'];
  'add-item': EventData['item-added'];
  'add-constraint': EventData['constraint-added'];
  'remove-item': EventData['item-removed'];
  'remark-item': EventData['item-remarked'];
  'plug-opening': EventData['opening-plugged'];
  'unplug-opening': EventData['opening-unplugged'];
  'put-back-item': EventData['item-put-back'];
  'confirm-connector': EventData['connector-confirmed'];
  'leave-off-item': EventData['item-left-off'];
  /** An empty `torqueText` with method by feel records the stated choice. */
  'tighten-bolt': Typed<
    'bolt-tightened',
    'torque' | 'nm' | 'wrench' | 'final' | 'angleDeg',
    { readonly torqueText: string; readonly wrenchId: string }
  >;
  'place-object': EventData['object-placed'];
  'take-object-out': EventData['object-taken-out'];
  'record-finding': EventData['finding-recorded'];
  'attach-picture': EventData['picture-attached'];
  'weigh-can': Typed<
    'can-weighed',
    'grams' | 'beforeG' | 'afterG',
    { readonly beforeText: string; readonly afterText: string }
  >;
  /** `form` says what is cleaned, so that what must not touch it is refused; `soak` starts a timer of so many minutes. */
  'do-pass': EventData['pass-done'] & {
    readonly form?: UnitForm | undefined;
    readonly soak?: { readonly timerId: string; readonly label: string; readonly minutes: number } | undefined;
  };
  'start-timer': EventData['timer-started'];
  'end-timer': EventData['timer-ended'];
  'decide-seal': EventData['seal-decided'];
  'record-coolant': Typed<'coolant-recorded', 'quantity' | 'litres', { readonly amountText: string }>;
  'check-level': EventData['level-checked'];
  'start-run': { readonly id: string; readonly recipeId: string };
  'advance-run': EventData['run-advanced'];
  'close-run': EventData['run-closed'];
  'take-measurement': EventData['measurement-taken'];
  'record-proof': EventData['proof-recorded'];
  'use-part': EventData['part-used'];
  'make-note': EventData['note-made'];
  'pass-stage': EventData['stage-passed'];
  'hand-over': EventData['handed-over'];
  'reopen-job': EventData['job-reopened'];
  undo: { readonly expected: string };
}

/** The name of a command. */
export type CommandType = keyof CommandData;

/** A command without its envelope. */
export type CommandBody = {
  readonly [K in CommandType]: { readonly type: K; readonly data: CommandData[K] };
}[CommandType];

/** A command as sent: its own id, when and by whom, and the job version that the person saw. */
export type Command = CommandBody & {
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly seen: number;
};

/** What `decide` may look at besides the job. The caller fetches it; core never does. */
export interface Context {
  readonly nextNumber: number | null;
  readonly vehicle: Vehicle | null;
  readonly procedure: Procedure | null;
  readonly wrenches: readonly Wrench[];
  /** The knowledge of the job's own version; the newest when the job is being opened. Null when it is not at hand. */
  readonly knowledge: Knowledge | null;
  readonly family: EngineFamily | null;
  readonly rules: HouseRules;
  /** What the sender is in the workshop; null when it is not known. */
  readonly role: Role | null;
}

/** What people are in a workshop. */
export type Role = 'lead' | 'technician' | 'apprentice' | 'owner';

/** A context with nothing in it. */
export const NO_CONTEXT: Context = {
  nextNumber: null,
  vehicle: null,
  procedure: null,
  wrenches: [],
  knowledge: null,
  family: null,
  rules: {},
  role: null,
};

/** Why a command is not taken, and what would make it possible. */
export interface Refusal {
  readonly ok: false;
  /** Stable, for programs and for the error catalogue. */
  readonly code: string;
  readonly message: string;
  readonly wouldHelp: string;
  /** The field of the command's data that is wrong, when one is. */
  readonly field: string | null;
}

/** The events a command leads to, or why it leads to none. */
export type Decision = { readonly ok: true; readonly events: readonly JobEvent[] } | Refusal;

/** Takes the command. */
export const accept = (...events: readonly JobEvent[]): Decision => ({ ok: true, events });

/** Does not take it: the state is not right for it. */
export const refuse = (code: string, message: string, wouldHelp = ''): Refusal => ({
  ok: false,
  code,
  message,
  wouldHelp,
  field: null,
});

/** Does not take it: a field holds something that cannot be right. */
export const refuseField = (field: string, message: string): Refusal => ({
  ok: false,
  code: 'bad-value',
  message,
  wouldHelp: '',
  field,
});
