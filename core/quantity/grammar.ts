import type { Token } from './scan.ts';

/** One number of a text with the words of its unit, “” where none stands. */
export interface Amount {
  readonly negative: boolean;
  readonly digits: string;
  readonly fraction: number;
  readonly thousand: boolean;
  readonly unit: string;
}
/** One figure: an amount, or several of falling unit, `1 h 20 min`. */
export type Figure = readonly Amount[];

/** What a text says, before it is settled which notation and unit are meant. */
export type Said =
  | { readonly form: 'one'; readonly figure: Figure; readonly turn: Amount | null }
  | { readonly form: 'range'; readonly from: Figure; readonly to: Figure; readonly turn: Amount | null }
  | { readonly form: 'spread'; readonly middle: Figure; readonly by: Figure; readonly turn: Amount | null }
  | { readonly form: 'tolerance'; readonly middle: Figure; readonly over: Amount; readonly under: Amount }
  | { readonly form: 'clock'; readonly whole: Amount; readonly sixtieths: Amount }
  | { readonly form: 'wrong'; readonly why: Wrong };

/** Why a text is no quantity: nothing to read, figures too many, a range without an end, a limit, a turn unread. */
export type Wrong = 'no-number' | 'several' | 'half-range' | 'limit' | 'turn' | 'two-units';

const JOINS = new Set(['to', 'till', 'until']);
const LIMITS =
  /^(?:up to|at (?:least|most)|max(?:imum)?\b|min(?:imum)?\b|over\b|under\b|above\b|below\b|less\b|more\b|[<>≤≥])/i;
const wrong = (why: Wrong): Said => ({ form: 'wrong', why });

/** Reads pieces as one figure, a range or a figure with its spread; what does not fit to the last piece is refused. */
export function understand(text: string, tokens: readonly Token[]): Said {
  if (LIMITS.test(text)) return wrong('limit');
  return new Reader(tokens).read();
}

/** Walks over the pieces once, from left to right. */
class Reader {
  readonly #tokens: readonly Token[];
  #at = 0;

  constructor(tokens: readonly Token[]) {
    this.#tokens = tokens;
  }

  read(): Said {
    if (!this.#tokens.some(({ t }) => t === 'number')) return wrong('no-number');
    const opened = this.#word('from', 'between');
    const figure = this.#figure(opened === 'between');
    if (figure === null) return wrong(this.#leadsIn() ? 'half-range' : 'no-number');
    const [first] = figure;
    const token = this.#peek();
    if (token === undefined) return opened === null ? { form: 'one', figure, turn: null } : wrong('half-range');
    if (token.t === 'colon' && first !== undefined) return this.#clock(first);
    if (token.t === 'spread') return this.#spread(figure);
    if (token.t === 'plus' && first !== undefined) return this.#tolerance(figure) ?? this.#withTurn(figure, null);
    if (this.#join(opened)) {
      const to = this.#figure(false);
      if (to === null) return wrong('half-range');
      return this.#withTurn(figure, to);
    }
    return this.#startsTurn() ? this.#withTurn(figure, null) : wrong('several');
  }

  #peek(ahead = 0): Token | undefined {
    return this.#tokens[this.#at + ahead];
  }

  #done(): boolean {
    return this.#at === this.#tokens.length;
  }

  #word(...words: readonly string[]): string | null {
    const token = this.#peek();
    if (token?.t !== 'word' || !words.includes(token.text.toLowerCase())) return null;
    this.#at += 1;
    return token.text.toLowerCase();
  }

  /** “to 10”, “± 1”: an end without the other. */
  #leadsIn(): boolean {
    const [token] = this.#tokens;
    return token?.t === 'spread' || token?.t === 'ellipsis' || (token?.t === 'word' && JOINS.has(token.text));
  }

  #join(opened: string | null): boolean {
    const token = this.#peek();
    const joins =
      token?.t === 'dash' ||
      token?.t === 'ellipsis' ||
      (token?.t === 'word' && (JOINS.has(token.text.toLowerCase()) || (opened === 'between' && token.text === 'and')));
    if (joins) this.#at += 1;
    return joins;
  }

  #startsTurn(): boolean {
    const token = this.#peek();
    if (token?.t === 'other' && token.text === ',') return this.#isThen(this.#peek(1));
    return token?.t === 'plus' || this.#isThen(token);
  }

  #isThen(token: Token | undefined): boolean {
    return token?.t === 'word' && ['then', 'plus'].includes(token.text.toLowerCase());
  }

  #withTurn(from: Figure, to: Figure | null): Said {
    const said = (turn: Amount | null): Said =>
      to === null ? { form: 'one', figure: from, turn } : { form: 'range', from, to, turn };
    if (this.#done()) return said(null);
    if (!this.#startsTurn()) return wrong('several');
    while (!this.#done() && this.#peek()?.t !== 'number') this.#at += 1;
    const turn = this.#amount(false);
    return turn === null || !this.#done() ? wrong('turn') : said(turn);
  }

  #spread(middle: Figure): Said {
    this.#at += 1;
    const by = this.#figure(false);
    if (by === null) return wrong('half-range');
    if (this.#done()) return { form: 'spread', middle, by, turn: null };
    const read = this.#withTurn(by, null);
    return read.form === 'one' ? { form: 'spread', middle, by, turn: read.turn } : read;
  }

  /** `8 +2 −1`: what it may be over and under. */
  #tolerance(middle: Figure): Said | null {
    const start = this.#at;
    this.#at += 1;
    const over = this.#amount(false);
    if (this.#peek()?.t === 'other') this.#at += 1;
    const dash = this.#peek()?.t === 'dash';
    if (dash) this.#at += 1;
    const under = dash ? this.#amount(false) : null;
    if (over !== null && under !== null && this.#done()) return { form: 'tolerance', middle, over, under };
    this.#at = start;
    return null;
  }

  #clock(whole: Amount): Said {
    this.#at += 1;
    const sixtieths = this.#amount(false);
    return sixtieths === null || !this.#done() || whole.unit !== ''
      ? wrong('several')
      : { form: 'clock', whole, sixtieths };
  }

  #figure(between: boolean): Figure | null {
    const first = this.#amount(between);
    if (first === null) return null;
    const parts = [first];
    while (parts.at(-1)?.unit !== '' && this.#peek()?.t === 'number') {
      const part = this.#amount(between);
      if (part === null) break;
      parts.push(part);
    }
    return parts;
  }

  #amount(between: boolean): Amount | null {
    const start = this.#at;
    const sign = this.#peek();
    if (sign?.t === 'dash' || sign?.t === 'plus') this.#at += 1;
    const token = this.#peek();
    if (token?.t !== 'number') {
      this.#at = start;
      return null;
    }
    this.#at += 1;
    const words: string[] = [];
    for (let word = this.#peek(); word?.t === 'word' && !this.#ends(word.text, between); word = this.#peek()) {
      words.push(word.text);
      this.#at += 1;
    }
    const { digits, fraction, thousand } = token;
    return { negative: sign?.t === 'dash', digits, fraction, thousand, unit: words.join(' ') };
  }

  #ends(word: string, between: boolean): boolean {
    const lower = word.toLowerCase();
    return JOINS.has(lower) || lower === 'then' || lower === 'plus' || (between && lower === 'and');
  }
}
