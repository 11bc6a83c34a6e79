import type { Answer } from '../chart/answer'
import type { Chart } from '../chart/chart'
import type { Fit } from '../chart/fit'
import type { Move } from '../chart/move'
import type { Position } from '../chart/position'
import { goingBy, isOwn, wholeOf, withWeight } from '../chart/tries'
import { between, MOST_FIT, pooled } from './estimates'
import { Counts, keyOf } from './counts'
import { reactionKey, sharesOf, withShares } from './shares'
import { NOTHING_LOGGED, type TryLog } from './tryLog'

/** Somebody of the club, as far as the numbers need them. Traits are steps from the usual, -2 to 2. */
export interface Athlete {
  id: string
  traits: Partial<Record<string, number>>
}

/** Who against whom, null for nobody in particular, and what has happened. */
export interface Match {
  us: Athlete | null
  them: Athlete | null
  log?: TryLog
}

/**
 * The chart as it is between two people, after what was logged: 5.5 and 5.6 of the model. The game knows no people.
 * Nobody against nobody with nothing logged is the very same chart.
 */
export function adjusted(chart: Chart, match: Match): Chart {
  return new Adjusting(chart, match).chart()
}

/** What a person's traits change, in log-odds, kept within what they may. */
export function fitOf(fits: readonly Fit[] = [], { us, them }: Pick<Match, 'us' | 'them'>): number {
  const sum = fits.reduce((all, { trait, of, per }) => all + per * ((of === 'ours' ? us : them)?.traits[trait] ?? 0), 0)
  return Math.min(MOST_FIT, Math.max(-MOST_FIT, sum))
}

class Adjusting {
  private readonly counts: Counts
  /** By reaction: what traits change of it. */
  private readonly reactions: ReadonlyMap<string, number>
  private readonly landing: ReadonlyMap<string, number>

  constructor(
    private readonly of: Chart,
    private readonly match: Match,
  ) {
    this.counts = new Counts(of, match.log ?? NOTHING_LOGGED)
    this.reactions = new Map(of.reactions.map(({ id, fit }) => [reactionKey(id), fitOf(fit, match)]))
    this.landing = new Map(of.moves.map(({ id, fit }) => [id, fitOf(fit, match)]))
  }

  chart(): Chart {
    const { positions, moves, answers } = this.of
    const changed = {
      positions: mapped(positions, (one) => this.position(one)),
      moves: mapped(moves, (one) => this.record(one)),
      answers: mapped(answers, (one) => this.record(one)),
    }
    const isSame = changed.positions === positions && changed.moves === moves && changed.answers === answers
    return isSame ? this.of : { ...this.of, ...changed }
  }

  private record<R extends Move | Answer>(record: R): R {
    if (!isOwn(record)) return record
    const { us, them } = this.match
    const key = keyOf(record)
    const logged = this.counts.all(key)
    const tries = wholeOf(record)
    const landing = this.landing.get('move' in record ? record.move : record.id) ?? 0
    const fits = this.fitsOf(Object.keys(tries.reactions ?? {}), tries.race?.reaction)
    if (logged.total === 0 && landing === 0 && fits.size === 0) return record
    const { whole, weight } = withWeight(tries)
    const group = pooled(sharesOf(whole), weight, logged)
    const shares = between({
      group,
      isLogged: logged.total > 0,
      ours: us && this.counts.by('us', us.id, key),
      theirs: them && this.counts.by('them', them.id, key),
      landing,
      reactions: logged.total > 0 ? this.reactions : fits,
    })
    return goingBy(record, withShares(whole, shares))
  }

  /** What traits change of these reactions, where they change any. */
  private fitsOf(ids: readonly string[], raced: string | undefined): ReadonlyMap<string, number> {
    const keys = [...ids, ...(raced ? [raced] : [])].map(reactionKey)
    return new Map(
      keys.flatMap((key): [string, number][] => {
        const fit = this.reactions.get(key) ?? 0
        return fit === 0 ? [] : [[key, fit]]
      }),
    )
  }

  /** Traits change what they do unprompted, not how often they do anything. */
  private position(position: Position): Position {
    const { unprompted } = position
    if (!unprompted) return position
    const entries = Object.entries(unprompted.reactions)
    const weights = entries.map(([id, n]) => n * Math.exp(this.reactions.get(reactionKey(id)) ?? 0))
    const total = (list: readonly number[]) => list.reduce((sum, n) => sum + n, 0)
    if (entries.every(([, n], i) => n === weights[i]) || total(weights) === 0) return position
    const scale = total(entries.map(([, n]) => n)) / total(weights)
    const reactions = Object.fromEntries(entries.map(([id], i) => [id, (weights[i] ?? 0) * scale]))
    return { ...position, unprompted: { ...unprompted, reactions } }
  }
}

/** The same list where nothing in it changes. */
function mapped<T>(list: T[], change: (one: T) => T): T[] {
  const changed = list.map(change)
  return changed.every((one, i) => one === list[i]) ? list : changed
}
