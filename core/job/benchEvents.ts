import type { UnitForm } from '../clean/index.ts';
import type { CountedScrew } from '../rebuild/index.ts';
import type { UnitObjectKind } from '../vehicle/index.ts';
import type {
  CoolantTest,
  JudgedFinding,
  LeakCheck,
  PictureMarking,
  PieceApart,
  Recheck,
  RungTried,
  ScrewTurn,
  SeizedRecord,
  SensorSweep,
  UnitReplaced,
  WasteTaken,
} from './benchTypes.ts';
import type { Stamp, When } from './stamp.ts';

/** What an event holds of a record: all but who and when, which are the event's own. */
type Told<T extends Stamp> = Omit<T, keyof Stamp>;

/** Events of the bench and what they hold. */
export interface BenchEventData {
  'point-judged': JudgedFinding & {
    readonly id: string;
    readonly unit: string;
    readonly point: string;
    readonly when: When;
    readonly note: string;
  };
  'picture-marked': PictureMarking & { readonly pictureId: string };
  'screw-seized': Omit<SeizedRecord, keyof Stamp | 'tried' | 'ended'>;
  'rung-tried': Told<RungTried> & { readonly screwId: string };
  'screw-given-up': { readonly screwId: string; readonly why: string };
  'waste-taken': Told<WasteTaken>;
  'piece-set-apart': Omit<PieceApart, keyof Stamp | 'returned'>;
  'piece-returned': { readonly id: string; readonly place: string; readonly renewed: boolean };
  'sensor-swept': Told<SensorSweep>;
  'screw-turned': Told<ScrewTurn>;
  'unit-replaced': Told<UnitReplaced>;
  'coolant-tested': Told<CoolantTest>;
  'leak-checked': Told<LeakCheck>;
  'recheck-set': Told<Recheck>;
}

/** What a person enters at an inspection point; core judges it. */
export interface PointEntryData {
  readonly id: string;
  readonly unit: string;
  readonly kind: UnitObjectKind;
  readonly form: UnitForm;
  readonly point: string;
  readonly when: When;
  readonly which: string;
  readonly marks: readonly number[];
  readonly outcome: string;
  readonly typed: readonly string[];
  readonly note: string;
}

/** Commands of the bench and what they hold. */
export interface BenchCommandData {
  'judge-point': PointEntryData;
  'mark-picture': BenchEventData['picture-marked'];
  'note-seized': BenchEventData['screw-seized'];
  'try-rung': BenchEventData['rung-tried'];
  'give-up-screw': BenchEventData['screw-given-up'];
  'take-waste': BenchEventData['waste-taken'];
  'set-apart': BenchEventData['piece-set-apart'];
  'return-piece': BenchEventData['piece-returned'];
  /** Volts at 0, 25, 50, 75 and 100 % of the travel, as typed. */
  'sweep-sensor': {
    readonly id: string;
    readonly unit: string;
    readonly when: When;
    readonly typed: readonly string[];
  };
  'turn-screw': {
    readonly id: string;
    readonly unit: string;
    readonly screw: CountedScrew;
    readonly turnsText: string;
    readonly why: string;
  };
  'replace-unit': Omit<BenchEventData['unit-replaced'], 'verdict' | 'words'>;
  'test-coolant': Omit<BenchEventData['coolant-tested'], 'celsius' | 'share'>;
  'check-leaks': BenchEventData['leak-checked'];
  'set-recheck': BenchEventData['recheck-set'];
}
