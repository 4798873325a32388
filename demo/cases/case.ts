import { type Case, type Finding, findingsOfCodes, type Subject, understand } from '../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';

/** A case as written: the owner's words, the codes, what was asked, what checks find, and what it was. */
export interface WrittenCase {
  readonly id: string;
  readonly title: string;
  readonly subject: Subject;
  readonly says: string;
  readonly codes: readonly string[];
  /** Answers to questions, `sign=outcome`, in the order asked. */
  readonly asked: readonly string[];
  readonly finds: Readonly<Record<string, string>>;
  readonly truth: string;
}

/** The case as it is scored: words are understood and codes read by the program itself. */
export function toCase({ says, codes, asked, ...rest }: WrittenCase): Case {
  const { signs } = SHIPPED_KNOWLEDGE;
  const heard = understand(says, signs).heard.map(({ sign, outcome }): Finding => ({ sign, outcome }));
  const answers = asked.map((each): Finding => {
    const [sign = '', outcome = ''] = each.split('=');
    return { sign, outcome };
  });
  return { ...rest, told: [...heard, ...answers, ...findingsOfCodes(signs, codes, true)] };
}
