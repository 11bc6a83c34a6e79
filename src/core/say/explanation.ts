import { sure } from '../sure'
import type { Chart } from '../chart/chart'
import type { Scenario } from '../game/scenario'
import { isEndId, type MoveId } from '../chart/ids'
import { lookUp } from '../chart/lookUp'
import type { Explanation, Question, Term } from '../insight/explain'
import type { Figures } from '../insight/figures'
import { clockText } from './figureText'
import { sayGuessOf } from './guess'
import { END_WORDS } from '../chart/placeNames'
import { sayRepeats } from './trust'

/** A figure taken apart, in words. Each row adds chance times value; the rows sum to the figure. */
export interface Explained {
  title: string
  /** What is planned there and how long it takes. */
  plan: string
  rows: { text: string; chance: number; value: number }[]
  /** That the tries behind it are a guess, where they are. */
  guess?: string
  /** How the time makes many tries of one, where it does. */
  time?: string
  total: number
  isDifference: boolean
}

/** What can be asked: the start's value, whose parts are in the figures, or a figure that the worker takes apart. */
export type Asked =
  | Question
  | { of: 'start' }
  /** What a loose end costs: `cost` more if nothing came of it. */
  | { of: 'cost'; reaction: string; cost: number }
  /** What the start would rise by: the plan solved anew with what is said. */
  | { of: 'gain'; head: string; with: string; gain: number; from?: number }
  /** What a leak takes from an exchange: how often it is met times its net. */
  | { of: 'leak'; reaction: string; visits: number; net: number }
  | { of: 'uses'; move: MoveId }

const ENDINGS: [key: keyof Figures['endings'], text: string][] = [
  ['finish', 'finished'],
  ['caught', 'they finish us'],
  ['ours', 'ended with us ahead'],
  ['even', 'ended even'],
  ['theirs', 'ended with them ahead'],
]

const MATCH_ENDINGS: typeof ENDINGS = [
  ['finish', 'won by a finish'],
  ['caught', 'they finish us'],
  ['ours', 'won on points'],
  ['even', 'drawn'],
  ['theirs', 'lost on points'],
]

/** The start's value by how exchanges end, or matches. */
function explainStart(chart: Chart, figures: Figures, { objective, goal }: Scenario): Explained {
  const isMatch = objective === 'win'
  const hasGoal = goal.length > 0 && !isMatch
  const rows = (isMatch ? MATCH_ENDINGS : ENDINGS)
    .filter(([key]) => figures.endings[key] > 1e-12)
    .map(([key, text]) => ({
      text: key === 'finish' && hasGoal ? 'finished, or reached the goal' : text,
      chance: figures.endings[key],
      value: figures.worths[key] / figures.endings[key],
    }))
  const plan = `Of 100 ${isMatch ? 'matches' : 'exchanges'} under the best plan, against this defender:`
  const time = sayRepeats(chart, figures)
  return {
    title: isMatch ? 'The chance to win' : 'What an exchange is worth',
    plan,
    rows,
    time,
    total: figures.value,
    isDifference: false,
  }
}

/** A figure whose parts are all in the figures; null where the worker has to take it apart. */
export function explainAtOnce(chart: Chart, figures: Figures, asked: Asked, scenario: Scenario): Explained | null {
  if (asked.of === 'start') return explainStart(chart, figures, scenario)
  if (asked.of === 'cost') {
    const rows = [
      { text: 'worth of the start if nothing came of it', chance: 1, value: figures.value + asked.cost },
      { text: 'less: worth of the start now', chance: -1, value: figures.value },
    ]
    const plan = 'The plan worked out anew, with these tries moved to nothing:'
    return { title: `What it costs: ${asked.reaction}`, plan, rows, total: asked.cost, isDifference: true }
  }
  if (asked.of === 'gain') {
    const { from = figures.value } = asked
    const rows = [
      { text: 'worth of the start with it', chance: 1, value: from + asked.gain },
      { text: `less: worth of the start ${asked.from === undefined ? 'now' : 'before it'}`, chance: -1, value: from },
    ]
    const plan = `The plan worked out anew, with ${asked.with}:`
    return { title: `What it would bring: ${asked.head}`, plan, rows, total: asked.gain, isDifference: true }
  }
  if (asked.of === 'leak') {
    const rows = [{ text: 'met, each time this much worse', chance: asked.visits, value: asked.net }]
    const title = `What it costs: ${asked.reaction}`
    return {
      title,
      plan: 'How often of a hundred it is met, times its net:',
      rows,
      total: asked.visits * asked.net,
      isDifference: false,
    }
  }
  if (asked.of === 'uses') return explainUses(chart, figures, asked.move)
  return null
}

function explainUses(chart: Chart, figures: Figures, id: MoveId): Explained {
  const move = lookUp(chart.moves, id)
  const reactionOf = (answer: number) => lookUp(chart.reactions, chart.answers[answer]?.reaction)?.name ?? ''
  const { uses, usedAs } = sure(figures.moves[id])
  const rows = usedAs.map(({ answer, uses: times }) => ({
    text: answer === null ? 'tried from its own position' : `in answer to: ${reactionOf(answer)}`,
    chance: 1,
    value: times,
  }))
  const plan = 'How often the best plan tries it, in a hundred exchanges:'
  return { title: move?.name ?? '', plan, rows, total: uses, isDifference: true }
}

/** The worker's explanation in the chart's names. */
export function explained(chart: Chart, asked: Question, explanation: Explanation): Explained {
  const names = new Names(chart)
  return {
    title: names.title(asked),
    plan: names.plan(explanation),
    guess: guessBehind(chart, asked, explanation),
    rows: explanation.terms.map((term) => ({ text: names.term(term), chance: term.chance, value: term.value })),
    total: explanation.total,
    isDifference: asked.of === 'net',
  }
}

/** That what is tried there goes by a guess; empty where it does not. */
function guessBehind(chart: Chart, asked: Question, { action }: Explanation): string {
  const move = lookUp(chart.moves, action ?? undefined)
  return move ? sayGuessOf(chart, move.id, 'reaction' in asked ? asked.reaction : undefined) : ''
}

/** A cue by its name; nothing in particular by these words. */
export const sayCue = ({ cues }: Chart, id: string | undefined): string =>
  lookUp(cues ?? [], id)?.name ?? 'nothing in particular'

class Names {
  constructor(private readonly chart: Chart) {}

  private place(id: string | undefined): string {
    if (id === 'finish') return 'the finish'
    if (id && isEndId(id)) return END_WORDS[id]
    if (id === 'goal') return 'the goal'
    return lookUp(this.chart.positions, id)?.name ?? ''
  }

  private move(id: string | null | undefined): string {
    return lookUp(this.chart.moves, id)?.name ?? ''
  }

  private reaction(id: string | undefined): string {
    return lookUp(this.chart.reactions, id)?.name ?? ''
  }

  title(asked: Question): string {
    if (asked.of === 'position') return this.place(asked.position)
    if (asked.of === 'move') return this.move(asked.move)
    if (asked.of === 'seen') return `${this.place(asked.position)}: ${sayCue(this.chart, asked.cue)}`
    const by = asked.move === null ? 'while we hold still' : `to ${this.move(asked.move)}`
    const head = `${this.reaction(asked.reaction)}, ${by}`
    if (asked.of === 'net') return `Net: ${head}`
    if (asked.of === 'concede') return `${head}: let it happen`
    if (asked.of === 'answer') return `${head}: ${this.move(this.chart.answers[asked.answer]?.move)}`
    return head
  }

  plan({ action, isShown, seconds, terms }: Explanation): string {
    if (terms[0]?.kind === 'seen') return 'What we see on coming there decides; of a hundred times:'
    if (action === undefined)
      return 'Worth once they have done it, less what it is worth when our try has just come to nothing.'
    if (action === 'wait') return 'Best is to hold still for now; a second later:'
    if (action === 'concede') return `No answer is better than letting it happen (${seconds} s):`
    return `We ${isShown ? 'only show' : 'try'} ${this.move(action)} (${seconds} s):`
  }

  term({ kind, place, reaction, cue }: Term): string {
    switch (kind) {
      case 'seen':
        return `we see: ${sayCue(this.chart, cue)}`
      case 'lands':
        return place === 'finish' || place === 'goal' ? `lands: ${this.place(place)}` : `lands in ${this.place(place)}`
      case 'nothing':
        return place ? `nothing comes of it: ${this.place(place)}` : 'nothing comes of it'
      case 'slips':
        return `nothing comes of it and the position is lost: ${this.place(place)}`
      case 'out':
        return 'they get out on the way'
      case 'stood-up':
        return 'the referee stands the two up on the way'
      case 'elsewhere':
        return `ends in ${this.place(place)} instead`
      case 'reaction':
        return `they: ${this.reaction(reaction)}`
      case 'waits':
        return 'they do nothing; still here'
      case 'conceded':
        return `it ends in ${this.place(place)}`
      case 'broken':
        return 'something breaks it up on the way'
      case 'caught':
        return 'they finish us on the way'
      case 'met':
        return 'worth once they have done it'
      case 'stalled':
        return 'less: worth after nothing came of it'
    }
  }
}

/** The defender and the clock behind every figure. */
export function conditions(scenario: Scenario): string {
  const clock = scenario.seconds === null ? 'no clock' : `${clockText(scenario.seconds)} on the clock`
  const reads =
    scenario.sharpness === 0 ? 'they react as usual' : `they see it coming ${Math.round(scenario.sharpness * 100)} %`
  const breaks =
    scenario.breakUp === null ? 'nothing breaks it up' : `something breaks it up after about ${scenario.breakUp} s`
  const known = `a failed move tried again at once works ${Math.round(scenario.repeat * 100)} % as well`
  const slips = scenario.slips
    ? `; of 100 tries that come to nothing, ${Math.round(scenario.slips * 100)} lose the position`
    : ''
  return `${clock}; ${reads}; ${breaks}; ${known}${slips}.`
}
