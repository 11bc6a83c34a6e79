import type { Chart } from '../chart/chart'
import { wholeOf, withWeight } from '../chart/tries'
import { Counts, keyOf } from './counts'
import { KAPPA, NOTHING_COUNTED, pooled, type Counted } from './estimates'
import { recordOf, type Variant } from './recordOf'
import { sharesOf, type Outcomes } from './shares'
import type { TryLog } from './tryLog'

/** A Beta distribution: what landed and what did not, in tries. */
export type Beta = readonly [landed: number, not: number]

export interface Compared {
  first: Beta
  second: Beta
  /** The chance, 0 to 1, that the first lands more often. */
  chance: number
  /** Which lands more, where that is sure enough. */
  better: 'first' | 'second' | null
  /** How many more tries it takes, half each; 0 where it is sure, null where ten thousand do not settle it. */
  more: number | null
}

/** From this chance on one is called better. */
export const SURE = 0.9
const MOST_MORE = 10_000

/** Which of two lands more often, and how many more tries settle it if both go on as they do in the mean. */
export function betterOf(first: Beta, second: Beta): Compared {
  const chance = chanceMore(first, second)
  const isSure = (p: number) => Math.max(p, 1 - p) >= SURE
  const better = !isSure(chance) ? null : chance > 0.5 ? 'first' : 'second'
  return { first, second, chance, better, more: better ? 0 : moreNeeded(first, second, isSure) }
}

/** The least even number of tries, half each, that settles it; the chance moves one way, so it is found by halving. */
function moreNeeded(first: Beta, second: Beta, isSure: (p: number) => boolean): number | null {
  const after = ([a, b]: Beta, n: number): Beta => [a + (n * a) / (a + b), b + (n * b) / (a + b)]
  const settles = (n: number) => isSure(chanceMore(after(first, n), after(second, n)))
  let [low, high] = [0, MOST_MORE / 2]
  if (!settles(high)) return null
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (settles(middle)) high = middle
    else low = middle
  }
  return 2 * high
}

/** Panels for each of the two, over all that it comes to. */
const PANELS = 48
/** Gauss-Legendre nodes and weights for ten points on -1 to 1 (Abramowitz and Stegun 1964, table 25.4). */
const GAUSS: readonly (readonly [node: number, weight: number])[] = [
  [0.1488743389816312, 0.2955242247147529],
  [0.4333953941292472, 0.2692667193099963],
  [0.6794095682990244, 0.219086362515982],
  [0.8650633666889845, 0.1494513491505806],
  [0.9739065285171717, 0.0666713443086881],
].flatMap(([x = 0, w = 0]) => [[-x, w] as const, [x, w] as const])

const over = (f: (x: number) => number, from: number, to: number) =>
  GAUSS.reduce((sum, [x, w]) => sum + w * f((from + to + x * (to - from)) / 2), 0) * ((to - from) / 2)

/**
 * The chance that a draw of one Beta distribution is above a draw of the other. Both are integrated over the log-odds,
 * where they are smooth and fall off fast, panel by panel; their own integrals norm them.
 */
export function chanceMore(first: Beta, second: Beta): number {
  const [f, g] = [densityOf(first), densityOf(second)]
  const edges = [...f.edges, ...g.edges].sort((one, other) => one - other)
  let [below, allFirst, both] = [0, 0, 0]
  edges.slice(1).forEach((to, i) => {
    const from = edges[i] ?? to
    allFirst += over(f.at, from, to)
    both += over((x) => f.at(x) * (below + over(g.at, from, x)), from, to)
    below += over(g.at, from, to)
  })
  return both / (allFirst * below)
}

/** Standard deviations, and powers of e, within which all of a distribution lies as far as a double can tell. */
const [DEVIATIONS, POWERS] = [8, 40]

/** The density of a Beta distribution over the log-odds, up to a factor, and the edges of panels that hold it. */
function densityOf([a, b]: Beta) {
  const mode = Math.log(a / b)
  const log = (x: number) => a * x - (a + b) * softplus(x)
  const top = log(mode)
  // Its tails fall off as exp(a x) to the left and as exp(-b x) to the right.
  const deviation = Math.sqrt(1 / a + 1 / b)
  const low = mode - DEVIATIONS * deviation - POWERS / a
  const high = mode + DEVIATIONS * deviation + POWERS / b
  const edges = Array.from({ length: PANELS + 1 }, (_, i) => low + (i * (high - low)) / PANELS)
  return { at: (x: number) => Math.exp(log(x) - top), edges }
}

const softplus = (x: number) => (x > 0 ? x + Math.log1p(Math.exp(-x)) : Math.log1p(Math.exp(x)))

/** How often something lands: as guessed, as the group does it, and as one person does (null: nobody is asked). */
export interface Landing {
  guess: Beta
  group: Beta
  person: Beta | null
}

/** What is known of how often things land in a chart, with a log that is read once. */
export class Landings {
  private readonly counts: Counts

  constructor(
    private readonly chart: Chart,
    log: TryLog,
  ) {
    this.counts = new Counts(chart, log)
  }

  /** `us`: the person who tries it. Null: it has no tries. */
  of(what: Variant, us?: string): Landing | null {
    const record = recordOf(this.chart, what)
    if (!record) return null
    const key = keyOf(record)
    const { whole, weight } = withWeight(wholeOf(record))
    const guessed = sharesOf(whole)
    const all = this.counts.all(key)
    const landing = (shares: Outcomes) => shares.get('lands') ?? 0
    return {
      guess: beta(landing(guessed), weight, NOTHING_COUNTED),
      group: beta(landing(guessed), weight, all),
      person:
        us === undefined ? null : beta(landing(pooled(guessed, weight, all)), KAPPA, this.counts.by('us', us, key)),
    }
  }
}

/** What is known of how often something lands, for the group, or for one person as who tries it. Null: no tries. */
export function landingOf(chart: Chart, variant: Variant, log: TryLog, us?: string): Beta | null {
  const found = new Landings(chart, log).of(variant, us)
  return found && (found.person ?? found.group)
}

const beta = (share: number, weight: number, { outcomes, total }: Counted): Beta => {
  const landed = outcomes.get('lands') ?? 0
  return [weight * share + landed, weight * (1 - share) + total - landed]
}
