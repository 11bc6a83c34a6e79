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
} from './fork'
import { scan, type Token } from './scan'

/** A count in digits that are not 0 to 9. */
const OTHER_DIGIT = /^[\d.,]*(?!\d)(\p{Nd})/u

/** Parses one line as a fork. Returns the first error with its place where it is not one. */
export function readFork(line: string): ForkResult<Fork> {
  try {
    return { ok: true, value: new Reader(scan(line)).fork() }
  } catch (error) {
    if (error instanceof Misread) return { ok: false, errors: [error.error] }
    throw error
  }
}

/** Ends the parsing at the first error. It is caught in `readFork`, which returns the error as a value. */
class Misread extends Error {
  constructor(readonly error: ForkError) {
    super(error.message)
  }
}

class Reader {
  private next = 0

  constructor(private readonly tokens: Token[]) {}

  fork(): Fork {
    const move = this.name('begin with the name of a move')
    const place = this.place()
    const isReply = this.takeWord(WORDS.reply)
    this.expect(':', 'put a colon after the move, then how ten tries go')
    const body = this.body()
    if (this.peek().kind !== 'end') this.fail('expected a semicolon before this, or the end of the line')
    return { move, ...(place ? { place } : {}), ...(isReply ? { isReply } : {}), body }
  }

  /** Parses items separated by `;` up to the end of the line or a closing bracket. */
  private body(): Body {
    const body: Body = { lands: 0, stalls: 0, elsewhere: [], reactions: [] }
    do {
      if (this.isSign(']') || this.peek().kind === 'end') break
      this.item(body)
    } while (this.takeSign(';'))
    return body
  }

  private item(body: Body): void {
    const count = this.count('say how many of ten first, such as "3 land"')
    const token = this.peek()
    const word = token.kind === 'name' && !token.quoted && !token.byId ? token.text.toLowerCase() : ''
    if (word === 'land' || word === 'lands') body.lands += count
    else if (word === WORDS.nothing) body.stalls += count
    else if (word === WORDS.caught || word === WORDS.over) {
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
    if (this.peek().kind !== 'number') return undefined
    const from = this.peek()
    const lands = this.count('')
    const of = this.peek()
    if (of.kind !== 'name' || of.text !== 'of') {
      this.fail('say "of" how many, such as "6 of 10"; a name that ends in a number stands in quotes')
    }
    this.next++
    const all = this.count('say of how many, such as "6 of 10"')
    if (all < lands) this.failAt(from.at, sure(this.tokens[this.next - 1]).end, `${lands} of ${all} cannot land`)
    return { lands, stalls: all - lands, elsewhere: [], reactions: [] }
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
