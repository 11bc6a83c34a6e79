import { sure } from '../sure'
import type { Position } from './position'
import { FAMILIES } from './words'

/** Positions that give about as much control, under one heading. */
export interface Band {
  key: string
  name: string
  positions: Position[]
}

/** The bands from the crest down; several families may share one. */
const BANDS: readonly { name: string; families: readonly (typeof FAMILIES)[number][] }[] = [
  { name: 'Back, crucifix', families: ['back', 'crucifix'] },
  { name: 'Mount', families: ['mount'] },
  { name: 'Knee on belly, north-south', families: ['knee-ride', 'north-south'] },
  { name: 'Side control', families: ['side'] },
  { name: 'Turtle, rides', families: ['turtle', 'ride'] },
  { name: 'Front headlock', families: ['headlock'] },
  { name: 'Standing, clinch', families: ['standing', 'clinch'] },
  { name: 'Guards', families: ['half-guard', 'guard', 'legs'] },
]

/** Key of the band at the foot, which stays there in every order. */
export const FOOT = 'theirs'

/**
 * The positions by band, the crest first. What is theirs goes to the foot, whatever its family; a family that we do
 * not know gets a band of its own above the guards. Bands without positions are left out. `order`: keys of bands in an
 * order of the chart's own; a band that it does not name follows the one that it usually follows.
 */
export function bandsOf(positions: readonly Position[], order: readonly string[] = []): Band[] {
  const usual = usualBands(positions)
  const sorted: Band[] = order.flatMap((key) => usual.find((band) => band.key === key && key !== FOOT) ?? [])
  usual.forEach((band, i) => {
    if (sorted.includes(band)) return
    sorted.splice(i === 0 ? 0 : sorted.indexOf(sure(usual[i - 1])) + 1, 0, band)
  })
  const foot = sorted.findIndex(({ key }) => key === FOOT)
  return foot < 0 ? sorted : [...sorted.toSpliced(foot, 1), sure(sorted[foot])]
}

function usualBands(positions: readonly Position[]): Band[] {
  const isKnown = (family: string) => FAMILIES.some((one) => one === family)
  const ours = positions.filter(({ ahead }) => ahead !== 'theirs')
  const known = BANDS.map(({ name, families }) => ({
    key: sure(families[0]),
    name,
    positions: ours.filter(({ family }) => families.some((one) => one === family)),
  }))
  const others = [...new Set(ours.map(({ family }) => family).filter((family) => !isKnown(family)))].map((family) => ({
    key: `family ${family}`,
    name: sure(family[0]).toUpperCase() + family.slice(1),
    positions: ours.filter((position) => position.family === family),
  }))
  const theirs = { key: FOOT, name: 'Theirs', positions: positions.filter(({ ahead }) => ahead === 'theirs') }
  return [...known.slice(0, -1), ...others, sure(known[known.length - 1]), theirs].filter(
    (band) => band.positions.length,
  )
}
