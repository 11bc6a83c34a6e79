import highsLoader from 'highs'
import type { PlainAction, PlainGame, PlainState } from './plainGame'
import { passing } from './plainSolve'

/*
 * All plans at once, mixed ones too, as a linear programme over how often each action is taken at each second
 * (Puterman 2005, 6.9; Altman 1999). For a defender who does not read us.
 */

/** What is to be made largest or smallest; and the most that the risk of ending behind or caught may be. */
export interface Wanted {
  most: 'worth' | 'less risk'
  limit?: number
}

interface Column {
  name: string
  worth: number
  risk: number
}

class Programme {
  private readonly columns: Column[] = []
  /** By second and state: what flows in less what flows out. */
  private readonly rows = new Map<string, string[]>()
  private readonly seen = new Set<string>()

  constructor(private readonly game: PlainGame) {
    this.visit(game.start, game.scenario.seconds!)
  }

  text({ most, limit }: Wanted): string {
    const sum = (of: (column: Column) => number) =>
      lines(this.columns.flatMap((column) => (of(column) === 0 ? [] : [term(of(column), column.name)])))
    const start = rowName(this.game.start, this.game.scenario.seconds!)
    const flows = [...this.rows].map(([row, terms]) => `${lines(terms)} = ${row === start ? -1 : 0}`)
    const risk = limit === undefined ? [] : [`${sum((column) => column.risk) || '0 x0'} <= ${limit}`]
    const goal = most === 'worth' ? sum(({ worth }) => worth) : sum((column) => -column.risk)
    return `Maximize\n obj: ${goal || '0 x0'}\nSubject To\n${[...flows, ...risk].map((row, i) => ` c${i}: ${row}`).join('\n')}\nEnd\n`
  }

  private visit(state: PlainState, t: number): void {
    const row = rowName(state, t)
    if (this.seen.has(row)) return
    this.seen.add(row)
    this.rows.set(row, this.rows.get(row) ?? [])
    if (state.sights && t > 0) return this.see(state, t)
    const fitting = t > 0 ? state.actions.filter(({ seconds }) => seconds <= t) : []
    if (!fitting.length) this.add(state, t, { worth: state.worth, risk: this.isBehind(state) })
    for (const action of fitting) this.act(state, t, action)
  }

  /** What is seen is dealt at once, as it usually is. */
  private see(state: PlainState, t: number): void {
    const column = this.add(state, t, { worth: 0, risk: 0 })
    for (const { state: to, share } of state.sights!) {
      const row = rowName(to, t)
      this.rows.set(row, [...(this.rows.get(row) ?? []), term(share, column.name)])
      this.visit(to, t)
    }
  }

  private act(state: PlainState, t: number, action: PlainAction): void {
    const { alive, broken, caught, gone } = passing(state, action.seconds)
    const { ends, objective } = this.game.scenario
    const over = { worth: objective === 'careful' ? ends.even : 0, risk: Number(ends.even < 0) }
    const column = this.add(state, t, {
      worth: broken * state.worth + caught * (objective === 'careful' ? -1 : 0) + gone * over.worth,
      risk: broken * this.isBehind(state) + caught + gone * over.risk,
    })
    const ways = new Map<PlainState, number>([[action.nothing, action.stalls]])
    const reactions = action.reactions.map(([, to, chance]): [PlainState, number] => [to, chance])
    for (const [to, chance] of [...action.fixed, ...reactions]) ways.set(to, (ways.get(to) ?? 0) + chance)
    for (const [to, chance] of ways) {
      if (chance <= 0) continue
      if (to.terminal) {
        column.worth += alive * chance * to.worth
        if (to.terminal === 'caught') column.risk += alive * chance
        if (to.terminal === 'over') column.risk += alive * chance * over.risk
        continue
      }
      const row = rowName(to, t - action.seconds)
      this.rows.set(row, [...(this.rows.get(row) ?? []), term(alive * chance, column.name)])
      this.visit(to, t - action.seconds)
    }
  }

  private add(state: PlainState, t: number, counts: Omit<Column, 'name'>): Column {
    const column = { name: `x${this.columns.length}`, ...counts }
    this.columns.push(column)
    this.rows.get(rowName(state, t))!.push(`- ${column.name}`)
    return column
  }

  /** Ended there, a careful coach is behind. */
  private isBehind({ position, reaction, ending }: PlainState): number {
    const { rules, scenario } = this.game
    const place = position ?? rules.reaction(reaction!).endsIn
    const own = rules.position(place)?.endWorth
    return Number((own ?? scenario.ends[ending]) < 0)
  }
}

const rowName = ({ key }: PlainState, t: number) => `${t} ${key}`
const term = (factor: number, name: string) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`
/** Lines of an LP file may not grow without end. */
const lines = (terms: string[]) => terms.map((one, i) => (i % 20 === 19 ? `${one}\n` : one)).join(' ')

/** The best that any plan comes to: its worth, or its risk; null where no plan keeps the limit. */
export async function bestPlanOf(game: PlainGame): Promise<(wanted: Wanted) => number | null> {
  const highs = await highsLoader()
  const programme = new Programme(game)
  return (wanted) => {
    const { Status, ObjectiveValue } = highs.solve(programme.text(wanted))
    return Status === 'Optimal' ? ObjectiveValue : null
  }
}
