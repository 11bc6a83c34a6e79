import type { Game, TerminalWorths } from './game'
import { tollsOf } from './layOut'

/** How endings are counted anew: `scale` times their worth, less `penalty` where one ends behind or is caught. */
export interface Counting {
  scale: number
  penalty: number
}

/** The same game with its endings counted otherwise. */
export function reworth(game: Game, { scale, penalty }: Counting): Game {
  const [finish, caught, goal, over] = game.terminalWorths
  const terminalWorths: TerminalWorths = [
    scale * finish,
    scale * caught - penalty,
    scale * goal,
    scale * over - (isOverBehind(game) ? penalty : 0),
  ]
  const groupWorth = game.groupWorth.map((worth, g) => scale * worth - (game.groupIsBehind[g] ? penalty : 0))
  const counted = { ...game, terminalWorths, groupWorth }
  return { ...counted, ...tollsOf(counted) }
}

/** Whether an exchange that is over counts as ended behind: where ending even is worth less than 0. */
export const isOverBehind = ({ scenario }: Pick<Game, 'scenario'>): boolean => scenario.ends.even < 0
