/** A token of the design, by its name without dashes, as a colour of a picture. */
export type Token = 'ours' | 'theirs' | 'leak' | 'trap' | 'caution' | 'muted' | 'track' | 'their-track' | 'strong-line'

/** A value, or a bar from one value to another; null where there is none. */
export type Value = number | readonly [from: number, to: number] | null

export interface Series {
  name: string
  token: Token
  values: readonly Value[]
  /** Of lines: dashed, for what is only supposed. */
  isDashed?: boolean
  /** Of lines: over a label without a value it goes on. */
  joins?: boolean
  /** It stands on the others rather than beside them. */
  isOver?: boolean
}

/** Pixels of a picture: bars that go across need a line for each. */
export const heightOf = ({ isAcross, labels }: Pick<ChartData, 'isAcross' | 'labels'>): number =>
  isAcross ? 90 + 36 * labels.length : 240

/** What is drawn, in words and figures only: colours are tokens. */
export interface ChartData {
  kind: 'bars' | 'lines'
  labels: readonly string[]
  series: readonly Series[]
  /** Bars go to the right, from a list of names. */
  isAcross?: boolean
  isStacked?: boolean
  /** What the labels are, and what the values are. */
  along?: string
  value?: string
  /** The values are counts, and not shares or worth of which a hundredth is read. */
  isCounted?: boolean
  /** The values need not begin at 0, or begin here. */
  isFree?: boolean
  from?: number
}
