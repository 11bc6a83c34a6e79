import highsLoader from 'highs'
import { NONE, TERMINALS, terminalWorth, type Game } from '../src/core/game/game'

/**
 * The values without a clock as a linear programme: the smallest V with V(s) >= Q(s, a) for every action
 * (Puterman 2005, 6.9). For a defender who does not read us, where Q is linear in V.
 */
export async function solveByLinearProgramme(game: Game): Promise<{ ms: number; value: number }> {
  const highs = await highsLoader()
  const from = performance.now()
  const text = programme(game)
  const solved = highs.solve(text)
  const ms = performance.now() - from
  const column = solved.Columns[`v${game.start}`] as { Primal: number }
  return { ms, value: column.Primal }
}

function programme(game: Game): string {
  const lines: string[] = []
  const worths = terminalWorth(game.scenario)
  for (let state = TERMINALS; state < game.stateCount; state++) {
    const g = game.stateGroup[state]
    for (let a = game.groupActions[g]; a < game.groupActions[g + 1]; a++) {
      const constraint = constraintOf(game, worths, state, a)
      if (constraint) lines.push(constraint)
    }
  }
  const states = Array.from({ length: game.stateCount - TERMINALS }, (_, i) => `v${i + TERMINALS}`)
  const objective = chunked(states.map((name) => `+ ${name}`))
  return `Minimize\n obj: ${objective}\nSubject To\n${lines.join('\n')}\nBounds\n${states.map((name) => ` ${name} free`).join('\n')}\nEnd\n`
}

/** Lines of an LP file may not grow without end. */
const chunked = (terms: string[]) => terms.map((term, i) => (i % 20 === 19 ? `${term}\n` : term)).join(' ')

function constraintOf(game: Game, worths: number[], state: number, a: number): string | null {
  const stalled = game.stateStalled[state] === a
  const loss = stalled ? game.stateLoss[state] : 0
  if (Number.isNaN(loss)) return null
  const nothing = game.actionNothing[a] === NONE ? state : game.actionNothing[a]
  const weights = new Map<number, number>([[state, 1]])
  let constant = game.actionToll[a]
  const add = (to: number, chance: number) => {
    if (to < TERMINALS) constant += game.actionAlive[a] * chance * worths[to]
    else weights.set(to, (weights.get(to) ?? 0) - game.actionAlive[a] * chance)
  }
  for (let o = game.outcomes[a]; o < game.outcomes[a + 1]; o++) add(game.outcomeState[o], game.outcomeChance[o])
  if (loss > 0) {
    add(game.actionLanding[a], -loss)
    add(nothing, loss)
  }
  const waits = a === game.groupActions[game.stateGroup[state]] && !game.groupIsReaction[game.stateGroup[state]]
  if (waits) add(state, 1 - game.actionMass[a])
  const terms = [...weights].map(([to, weight]) => `${weight < 0 ? '-' : '+'} ${Math.abs(weight)} v${to}`)
  return ` c${state}_${a}: ${chunked(terms)} >= ${constant}`
}
