import { sure, present } from '../sure'
import type { Chart } from '../chart/chart'
import { NOTHING_SEEN } from '../chart/cue'
import { ALWAYS } from '../chart/hazard'
import { isEndId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import { END_WORDS } from '../chart/placeNames'
import type { Loop } from '../questions/loops'
import type { Move } from '../chart/move'
import { sayCue } from './explanation'
import { EXPECTED, type Script, type ScriptStep, type ScriptWay } from '../questions/script'
import {
  commitTo,
  listed,
  lowerFirst,
  showMove,
  tellMove,
  timesOfTen,
  upperFirst,
  weAreIn,
  whenIn,
  whenThey,
} from './speech'

/** A paragraph of the script: what is done in one position, what they do about it and what is answered. */
export interface Told {
  number: number
  key: number
  /** The position, and the move that is told. */
  position: string
  move: string | null
  head: string
  /** Sentences as one would say them. */
  says: string[]
  /** What to watch: a checkpoint with its test, the usual mistake, the caution. */
  watch: string[]
  /** Of the position; null where another move has just come to nothing, which is worth less. */
  value: number | null
  reach: number
}

/** How many answers one sentence follows before it refers to another paragraph. */
const DEEP = 3

type Doing = Pick<ScriptStep, 'does' | 'isShown'>
const isSame = (one: Doing, other: Doing) => one.does === other.does && one.isShown === other.isShown

/** The script as a coach would say it, a paragraph a position. */
export function sayScript(chart: Chart, script: Script): Told[] {
  return new Saying(chart, script).all()
}

class Saying {
  private readonly byKey: Map<number, ScriptStep>
  /**
   * The number of the paragraph that tells a step. What is tried in one position is told once, whatever came to nothing
   * before.
   */
  private readonly numbers = new Map<number, number>()
  private readonly paragraphs: ScriptStep[] = []

  constructor(
    private readonly chart: Chart,
    script: Script,
  ) {
    this.byKey = new Map(script.steps.map((step) => [step.key, step]))
    for (const step of script.steps) {
      if (step.reaction || this.isSaidAbove(step)) continue
      const same = this.paragraphs.findIndex((one) => one.position === step.position && isSame(one, step))
      if (same < 0) this.paragraphs.push(step)
      this.numbers.set(step.key, same < 0 ? this.paragraphs.length : same + 1)
    }
  }

  all(): Told[] {
    return this.paragraphs.map((step, i) => this.paragraph(step, i + 1))
  }

  /** Whether the step repeats what has just come to nothing, in the same way: the sentence before says so already. */
  private isSaidAbove({ position, stalled, does, isShown, ways }: ScriptStep): boolean {
    if (stalled === undefined) return false
    const isAgain =
      does === stalled &&
      (!isShown || this.paragraphs.some((one) => one.position === position && isSame(one, { does, isShown })))
    return isAgain || does === 'wait' || ways.length === 0
  }

  private paragraph(step: ScriptStep, number: number): Told {
    const move = step.does ? lookUp(this.chart.moves, step.does) : undefined
    return {
      ...{ number, key: step.key, value: step.stalled ? null : step.value, reach: step.reach },
      ...{ position: step.position, move: move?.id ?? null, head: this.headOf(step) },
      says: [this.lead(step, number), ...this.follows(step)],
      watch: move ? watchOf(move) : [],
    }
  }

  private headOf({ position, does }: ScriptStep): string {
    const name = this.placeName(position)
    const isShared = this.paragraphs.filter((one) => one.position === position && one.does !== 'look').length > 1
    return isShared && does && lookUp(this.chart.moves, does) ? `${name}: ${lowerFirst(this.moveName(does))}` : name
  }

  private lead(step: ScriptStep, number: number): string {
    const name = this.placeName(step.position)
    const place = whenIn(name)
    const does = this.telling(step, true)
    if (step.stalled)
      return `${place}, once ${step.does === step.stalled ? 'that' : 'the other'} came to nothing, ${does}.`
    if (step.does === 'wait' && !this.chart.moves.some(({ from }) => from === step.position))
      return `${place}, nothing is charted yet.`
    return number === 1 && place.startsWith('In ') && !/^in /i.test(name)
      ? `From ${lowerFirst(name)}, ${does}.`
      : `${place}, ${does}.`
  }

  /**
   * The sentence for what is done. `expecting`: for a move that is only shown, adds the reaction that it should draw.
   */
  private telling(step: ScriptStep, expecting: boolean): string {
    const { does, isShown, ways } = step
    if (does === null) return 'time is up'
    if (does === 'look') return this.sights(step).length ? 'look first' : `whatever you see, ${this.usuallyDone(ways)}`
    if (does === 'wait') return 'hold still'
    if (does === 'concede') return 'let it go'
    const name = this.moveName(does)
    if (!isShown) return tellMove(name)
    const expected = expecting && ways.find(({ kind, share }) => kind === 'reaction' && share >= EXPECTED)
    return `${showMove(name)}${expected ? ` and expect that ${whenThey(this.reactionName(present(expected.reaction)))}` : ''}`
  }

  /** The step that is told of where a way leads; undefined where none is. */
  private toldAt({ to }: ScriptWay): ScriptStep | undefined {
    return typeof to === 'number' ? this.byKey.get(to) : undefined
  }

  /** What comes of a step: landing, what they do, nothing; the most frequent first, landing before all. */
  private follows(step: ScriptStep): string[] {
    const landing = step.ways.filter(({ kind }) => kind === 'lands')
    const met = step.ways.filter(({ kind }) => kind === 'reaction')
    const rest = step.ways.filter(({ kind }) => kind === 'elsewhere')
    const nothing = step.ways.filter(({ kind }) => kind === 'nothing')
    const told = met.filter((way) => this.toldAt(way))
    const seldom = met.filter((way) => !told.includes(way))
    return [
      ...(step.does === 'look' ? this.sights(step) : []),
      ...landing.map((way) => `${upperFirst(timesOfTen(way.share))} it lands: ${this.whereTo(way)}.`),
      ...told.map((way) => this.answered(way, 1, step.isShown)),
      ...rest.map((way) => this.elsewhere(way)),
      ...(step.does === 'wait' ? [] : nothing.map((way) => this.otherwise(step, way))),
      ...(seldom.length
        ? [
            `More seldom ${listed(
              seldom.map(({ reaction }) => whenThey(this.reactionName(present(reaction)))),
              'or',
            )}.`,
          ]
        : []),
    ]
  }

  /**
   * "If you see “hand at our neck” (four times of ten), try the kimura (3). Otherwise (six times of ten), hold still
   * (4)." What is no reason to do otherwise is not looked for.
   */
  private sights({ ways }: ScriptStep): string[] {
    const seen = ways.filter(({ kind }) => kind === 'seen')
    const usual = this.usuallyDone(seen)
    const telling = seen.filter((way) => this.whenSeen(way) !== usual)
    if (!telling.length) return []
    const rest = seen.reduce((sum, way) => (telling.includes(way) ? sum : sum + way.share), 0)
    const cue = (way: ScriptWay) => lowerFirst(sayCue(this.chart, way.cue))
    return [
      ...telling.map((way) => `If you see “${cue(way)}” (${timesOfTen(way.share)}), ${this.whenSeen(way)}.`),
      `Otherwise (${timesOfTen(rest)}), ${usual}.`,
    ]
  }

  /** What is done when nothing in particular is seen. */
  private usuallyDone(seen: readonly ScriptWay[]): string {
    return this.whenSeen(present(seen.find(({ cue }) => cue === NOTHING_SEEN) ?? seen[0]))
  }

  private whenSeen(way: ScriptWay): string {
    const next = this.toldAt(way)
    return next ? `${this.telling(next, false)}${this.onAt(next.key)}` : 'go by the numbers'
  }

  private elsewhere(way: ScriptWay): string {
    const often = upperFirst(timesOfTen(way.share))
    return way.to === 'over' ? `${often} ${this.whereTo(way)}.` : `${often} it ends elsewhere: ${this.whereTo(way)}.`
  }

  /** "If they turn in (twice in ten), follow to the back, into …; if they then …" */
  private answered(way: ScriptWay, depth: number, afterShowing = false): string {
    const step = present(this.toldAt(way))
    const often = depth === 1 ? ` (${timesOfTen(way.share)})` : ''
    const start = `${depth === 1 ? 'If' : 'if'} ${whenThey(this.reactionName(present(way.reaction)))}${depth > 1 ? ' then' : ''}${often}`
    if (step.does === 'concede' || step.does === null)
      return `${start}, ${this.conceded(way, step)}${depth === 1 ? '.' : ''}`
    const lands = step.ways.find(({ kind }) => kind === 'lands')
    const name = this.moveName(step.does)
    const does = step.isShown ? showMove(name) : afterShowing ? commitTo(name) : tellMove(name)
    const said = `${start}, ${does}${lands ? `: ${this.whereTo(lands)}` : ''}`
    const deeper = step.ways.filter((one) => one.kind === 'reaction' && this.toldAt(one))
    const more = depth < DEEP ? deeper.map((next) => this.answered(next, depth + 1, step.isShown)) : []
    return `${[said, ...more].join('; ')}${depth === 1 ? '.' : ''}`
  }

  private conceded(way: ScriptWay, { position, ways }: ScriptStep): string {
    const where = ways.length
      ? this.whereTo(sure(ways[0]))
      : isEndId(position)
        ? END_WORDS[position]
        : weAreIn(this.placeName(position))
    const hasAnswer = this.chart.answers.some(({ reaction }) => reaction === way.reaction)
    return hasAnswer ? `let it go: ${where}` : `we have no answer yet: ${where}`
  }

  private otherwise(step: ScriptStep, way: ScriptWay): string {
    const next = typeof way.to === 'number' ? this.byKey.get(way.to) : undefined
    if (typeof way.to !== 'number') return `Otherwise ${this.whereTo(way)}.`
    if (!next)
      return way.position === step.position ? 'Otherwise we are still there.' : `Otherwise ${this.whereTo(way)}.`
    if (!next.stalled && next.position !== step.position) return `Otherwise ${this.whereTo(way)}.`
    if (next.does === step.does)
      return next.isShown === step.isShown
        ? 'Otherwise try it again.'
        : next.isShown
          ? 'Otherwise only show it the next time.'
          : 'Otherwise commit to it.'
    if (next.does === 'wait') return 'Otherwise hold still.'
    return `Otherwise ${this.telling(next, false)}${this.onAt(next.key)}.`
  }

  private whereTo({ to, position }: ScriptWay): string {
    if (to === 'finish') return 'that is the finish'
    if (to === 'goal') return 'that is what we wanted'
    if (typeof to === 'string') return END_WORDS[to]
    return `${weAreIn(this.placeName(position))}${this.onAt(to)}`
  }

  private onAt(key: number): string {
    const number = this.numbers.get(key)
    return number === undefined ? '' : ` (${number})`
  }

  private placeName(position: string): string {
    return lookUp(this.chart.positions, position)?.name ?? 'their finish'
  }
  private moveName(move: string): string {
    return lookUp(this.chart.moves, move)?.name ?? ''
  }
  private reactionName(reaction: string): string {
    return lookUp(this.chart.reactions, reaction)?.name ?? ''
  }
}

/**
 * What a coach looks at while it is done: the first checkpoint, what may not be let go, the usual mistake, the caution.
 */
export function watchOf({ checkpoints = [], hazard, notes = '' }: Move): string[] {
  const cue = /When: (.+?)\.(?: |$)/.exec(notes)?.[1]
  const [first] = checkpoints
  const gate = checkpoints.find(({ until }) => until)
  const wrong = checkpoints.find(({ fault }) => fault?.fix)?.fault
  const heed = hazard?.tap ?? hazard?.caution
  return [
    ...(cue ? [`Go when: ${lowerFirst(cue)}`] : []),
    ...(first ? [`${plain(first.text)}${first.test ? ` (test: ${first.test})` : ''}`] : []),
    ...(gate ? [upperFirst(plain(present(gate.until)))] : []),
    ...(wrong ? [`Usual mistake: ${lowerFirst(plain(wrong.mistake))}. ${upperFirst(plain(wrong.fix))}`] : []),
    ...(heed ? [`Caution${hazard?.part ? `, ${hazard.part}` : ''}: ${lowerFirst(heed)}`] : []),
  ].map((line) => line.replace(/[.;]*$/, '.'))
}

/** A checkpoint's words without the braces of its limbs. */
export const plain = (text: string): string => text.replace(/\{([^}]*)\}/g, '$1').replace(/\.$/, '')

/** A loop of the plan in a sentence: what one cycles between, and how it ends for a hundred that come there. */
export function sayLoop(chart: Chart, script: Script, loop: Loop): string {
  const steps = new Map(script.steps.map((step) => [step.key, step]))
  const moves = loop.steps.flatMap((key) => lookUp(chart.moves, present(steps.get(key)).does ?? undefined)?.name ?? [])
  const names = [...new Set(moves)].slice(0, 4).map((name) => `“${name}”`)
  const of = (share: number) => Math.round(share * 100)
  const place = lookUp(chart.positions, loop.position)?.name ?? ''
  return `You will cycle between ${listed(names)}: of a hundred exchanges that come to “${place}”, ${of(loop.again)} come round to it again, and ${of(loop.finish)} end in a finish.`
}

/** The script as a text to save: Markdown, with what every sheet must say. */
export function scriptAsMarkdown(
  title: string,
  lead: readonly string[],
  told: readonly Told[],
  say: (worth: number) => string,
): string {
  const paragraphs = told.map(({ number, head, value, says, watch }) =>
    [
      `## ${number}. ${head}${value === null ? '' : `, worth ${say(value)}`}`,
      says.join(' '),
      ...(watch.length ? [watch.map((line) => `- ${line}`).join('\n')] : []),
    ].join('\n\n'),
  )
  return [`# ${title}`, ...lead, ...paragraphs, ALWAYS].join('\n\n') + '\n'
}
