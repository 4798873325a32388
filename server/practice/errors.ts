/** Why practice does not do what it was asked; the code is that of the answer. */
export class PracticeError extends Error {
  override readonly name = 'PracticeError';
  readonly code:
    | 'no-such-practice'
    | 'no-such-scenario'
    | 'not-to-be-practised'
    | 'not-yours'
    | 'practice-ended'
    | 'practice-open'
    | 'practice-closed';
  readonly wouldHelp: string;

  constructor(code: PracticeError['code'], message: string, wouldHelp = '') {
    super(message);
    this.code = code;
    this.wouldHelp = wouldHelp;
  }
}
