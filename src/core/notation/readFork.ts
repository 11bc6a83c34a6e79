import { sure } from '../sure'
import { MAX_TRIES } from '../chart/constraints'
import {
  nameKey,
  WORDS,
  type Body,
  type Fork,
  type ForkAnswer,
  type ForkError,
  type ForkReaction,
  type ForkResult,
  type Name,
  type SeenLine,
} from './fork'
import { scan, type Token } from './scan'

/** A count in digits that are not 0 to 9. */
const OTHER_DIGIT = /^[\d.,]*(?!\d)(\p{Nd})/u

/** Parses one line as a fork. Returns the first error with its place where it is not one. */
export function readFork(line: string): ForkResult<Fork> {
  return caught(() => new Reader(scan(line)).fork())
}

/** Parses what they do while we hold still: reactions with counts and answers, as in a fork. */
export function readStill(line: string): ForkResult<ForkReaction[]> {
  return caught(() => new Reader(scan(line)).still())
}

/** Whether a line says what is seen, not a fork. */
export function saysSeen(line: string): boolean {
  const [first, second] = scan(line)
  return first?.kind === 'name' && isSeen(first) && second?.kind === 'sign' && second.text === ':'
}

/** Parses what is seen on coming to a position. */
export function readSeen(line: string): ForkResult<SeenLine> {
  return caught(() => new Reader(scan(line)).seen())
}

const isSeen = ({ text, quoted, byId }: { text: string; quoted: boolean; byId: boolean }) =>
  !quoted && !byId && /^seen\b/i.test(text)

/** How many tries there are where nobody says another number. */
const TRIES = 10

function caught<T>(read: () => T): ForkResult<T> {
  try {
    return { ok: true, value: read() }
  } catch (error) {
    if (error instanceof Misread) return { ok: false, errors: [error.error] }
    throw error
  }
}

/** Ends the parsing at the first error. It is caught, and the error returned as a value. */
class Misread extends Error {
  constructor(readonly error: ForkError) {
    super(error.message)
  }
}

class Reader {
  private next = 0

  constructor(private readonly tokens: Token[]) {}

  fork(): Fork {
    const { move, when: before } = withoutWhen(this.peek(), this.name('begin with the name of a move'))
    const waits = before && this.more(before)
    const place = this.place()
    const { isReply, when = waits } = this.manner()
    if (!this.takeSign(':') && this.peek().kind !== 'number') {
      this.fail('say how ten tries go, such as "4 of 10"')
    }
    const body = this.body()
    if (this.peek().kind !== 'end') this.fail('expected a semicolon before this, or the end of the line')
    return { move, ...(place ? { place } : {}), ...(isReply ? { isReply } : {}), ...(when ? { when } : {}), body }
  }

  seen(): SeenLine {
    const { text, at, end } = this.name('begin with "seen"')
    const subject = text.slice(WORDS.seen.length).trim()
    this.expect(':', 'say how often of ten we see what, such as "seen far hand: 4 at our neck, 3 to the hip"')
    const line: SeenLine = {
      ...(subject ? { subject: { text: subject, at: end - subject.length, end } } : {}),
      cues: [],
    }
    do {
      if (this.peek().kind === 'end') break
      const { count } = this.share('say how many of ten first, such as "4 at our neck"', TRIES)
      if (this.takeWord(WORDS.nothing)) line.nothing = (line.nothing ?? 0) + count
      else line.cues.push({ count, name: this.name('say what we see') })
    } while (this.takeSign(',') || this.takeSign(';'))
    if (this.peek().kind !== 'end') this.fail('expected a comma before this, or the end of the line')
    if (!line.cues.length) this.failAt(at, end, 'say what we see, such as "seen far hand: 4 at our neck"')
    return line
  }

  /** Whether it is only in reply, and the cues that it waits for: "only in reply when at our neck". */
  private manner(): { isReply: boolean; when?: Name[] } {
    const token = this.peek()
    const isBare = token.kind === 'name' && !token.quoted && !token.byId
    const said = isBare ? /^(only in reply)?\s*(when\b)?\s*(.*)$/i.exec(token.text) : null
    const [, reply, when, cue = ''] = said ?? []
    if ((!reply && !when) || (!when && cue)) return { isReply: false }
    this.next++
    const isReply = Boolean(reply)
    if (!when) return { isReply }
    const { end } = token
    return { isReply, when: cue ? this.more({ text: cue, at: end - cue.length, end }) : this.names() }
  }

  /** What is first said, and what stands behind commas. */
  private more(first: Name): Name[] {
    return this.takeSign(',') ? [first, ...this.names()] : [first]
  }

  private names(): Name[] {
    const names: Name[] = []
    do names.push(this.name('say what we see then'))
    while (this.takeSign(','))
    return names
  }

  /** What they do while we hold still: reactions alone, as in a fork. */
  still(): ForkReaction[] {
    const body = this.body()
    const { end } = this.peek()
    if (this.peek().kind !== 'end') this.fail('expected a semicolon before this, or the end of the line')
    if (body.lands || body.elsewhere.length) this.failAt(0, end, 'say what they do, such as "3 push the knee"')
    if (!body.reactions.length) this.failAt(0, Math.max(1, end), 'say what they do, such as "3 push the knee"')
    return body.reactions
  }

  /**
   * Parses items separated by `;` up to the end of the line or a closing bracket. What is not said comes to nothing, up
   * to as many tries as were said, or ten.
   */
  private body(): Body {
    const body: Body = { lands: 0, stalls: 0, elsewhere: [], reactions: [] }
    const tries = { all: TRIES, isNothingSaid: false }
    do {
      if (this.isSign(']') || this.peek().kind === 'end') break
      this.item(body, tries)
    } while (this.takeSign(';'))
    const said = [...body.elsewhere, ...body.reactions].reduce((sum, { count }) => sum + count, body.lands)
    if (!tries.isNothingSaid && said > 0) body.stalls = Math.max(0, Math.round((tries.all - said) * 1e6) / 1e6)
    return body
  }

  private item(body: Body, tries: { all: number; isNothingSaid: boolean }): void {
    const { count, of } = this.share('say how many of ten first, such as "3 land"', tries.all)
    const token = this.peek()
    const word = token.kind === 'name' && !token.quoted && !token.byId ? token.text.toLowerCase() : ''
    const isBare = token.kind === 'end' || (token.kind === 'sign' && (token.text === ';' || token.text === ']'))
    if (isBare || word === 'land' || word === 'lands') {
      body.lands += of === undefined ? count : (count * of) / tries.all
      if (of !== undefined) tries.all = of
      if (isBare) return
    } else if (word === WORDS.nothing) {
      body.stalls += count
      tries.isNothingSaid = true
    } else if (word === WORDS.caught || word === WORDS.over) {
      body.elsewhere.push({ count, place: { text: word, at: token.at, end: token.end } })
    } else if (word.startsWith(`${WORDS.endsIn} `) || word === WORDS.endsIn) {
      body.elsewhere.push({ count, place: this.endsIn(token) })
    } else return void body.reactions.push(this.reaction(count))
    this.next++
  }

  /** The place after "ends in". A quoted place is a separate token; a bare one is part of the same token. */
  private endsIn(token: Token): Name {
    const text = token.text.slice(WORDS.endsIn.length).trim()
    if (text) return { text, at: token.end - text.length, end: token.end }
    this.next++
    const place = this.name('say where it ends')
    this.next--
    return place
  }

  private reaction(count: number): ForkReaction {
    const name = this.name('say what they do, or "land" or "nothing"')
    const place = this.place()
    const reaction = { count, name, ...(place ? { place } : {}) }
    if (!this.takeSign('>')) return reaction
    if (this.takeSign('?')) return { ...reaction, answers: [] }
    const answers: ForkAnswer[] = []
    do answers.push(this.answer())
    while (this.takeSign(','))
    return { ...reaction, answers }
  }

  private answer(): ForkAnswer {
    const name = this.name('say which move answers it, or ? for none')
    const place = this.place()
    const tries = this.tries()
    return { name, ...(place ? { place } : {}), ...(tries ? { tries } : {}) }
  }

  private tries(): Body | undefined {
    if (this.takeSign('[')) {
      const body = this.body()
      this.expect(']', 'close the bracket')
      return body
    }
    const from = this.peek()
    if (from.kind !== 'number') return undefined
    const { text } = sure(this.tokens[this.next + 1])
    if (!from.isPercent && text !== 'of') {
      this.next++
      this.fail('say "of" how many, such as "6 of 10"; a name that ends in a number stands in quotes')
    }
    const { count, of = TRIES } = this.share('', TRIES)
    const lands = (count * of) / TRIES
    return { lands, stalls: of - lands, elsewhere: [], reactions: [] }
  }

  /**
   * A count of tries, of `all`; "3 of 5" is the same share of `all`, and `of` is then 5; a percentage is so much of it.
   */
  private share(otherwise: string, all: number): { count: number; of?: number } {
    const from = this.peek()
    const n = this.count(otherwise)
    if (from.kind === 'number' && from.isPercent) {
      if (n > TRIES) this.failAt(from.at, from.end, 'at most 100 %')
      return { count: (n * all) / TRIES }
    }
    const of = this.peek()
    if (of.kind !== 'name' || of.text !== 'of') return { count: n }
    this.next++
    const whole = this.count('say of how many, such as "6 of 10"')
    if (whole < n) this.failAt(from.at, sure(this.tokens[this.next - 1]).end, `${n} of ${whole} is too many`)
    return { count: whole ? (n * all) / whole : 0, of: whole }
  }

  private place(): Name | undefined {
    if (!this.takeSign('(')) return undefined
    const place = this.name('say where it leads, such as (mount) or (finish)')
    this.expect(')', 'close the bracket')
    return place
  }

  private name(otherwise: string): Name {
    const token = this.peek()
    if (token.kind === 'number') this.fail(`${otherwise}; a name that begins with a number stands in quotes`)
    if (token.kind !== 'name' || !token.text.trim()) this.fail(otherwise)
    if (token.text.length > 200) this.fail('a name has at most 200 characters')
    this.next++
    const { text, at, end } = token
    return { text, at, end, ...(token.byId ? { byId: true } : {}) }
  }

  private count(otherwise: string): number {
    const token = this.peek()
    const [, other] = OTHER_DIGIT.exec(token.text) ?? []
    if (other !== undefined) this.fail(`"${other}" is not read as a digit: write numbers with 0 to 9`)
    if (token.kind !== 'number') this.fail(otherwise)
    if (token.value > MAX_TRIES) this.fail(`at most ${MAX_TRIES} tries`)
    this.next++
    return token.value
  }

  private peek(): Token {
    return sure(this.tokens[this.next])
  }

  private isSign(text: string): boolean {
    const token = this.peek()
    return token.kind === 'sign' && token.text === text
  }

  private takeSign(text: string): boolean {
    if (!this.isSign(text)) return false
    this.next++
    return true
  }

  private takeWord(word: string): boolean {
    const token = this.peek()
    if (token.kind !== 'name' || token.quoted || nameKey(token.text) !== word) return false
    this.next++
    return true
  }

  private expect(text: string, otherwise: string): void {
    if (!this.takeSign(text)) this.fail(otherwise)
  }

  private fail(message: string): never {
    const { at, end } = this.peek()
    this.failAt(at, Math.max(end, at + 1), message)
  }

  private failAt(at: number, end: number, message: string): never {
    throw new Misread({ at, end, message })
  }
}

/** A move and what it waits for, said in one: "Americana when at our neck". A name in quotes is left whole. */
function withoutWhen(token: Token, move: Name): { move: Name; when?: Name } {
  const said =
    token.kind === 'name' && !token.quoted && !token.byId ? /^(.*\S)\s+when\s+(\S.*)$/i.exec(token.text) : null
  if (!said) return { move }
  const [, name = '', cue = ''] = said
  return {
    move: { ...move, text: name, end: move.at + name.length },
    when: { text: cue, at: move.end - cue.length, end: move.end },
  }
}
