import { lookUp } from '../../../src/core/chart/lookUp'
import type { Chart } from '../../../src/core/chart/chart'
import type { PositionId } from '../../../src/core/chart/ids'
import { HoldTable } from '../../../src/core/holds/holdTable'
import { armsFree, controlsOf, holdsOf, limbState } from '../../../src/core/limbScore/limbs'
import { play } from '../../../src/core/limbScore/play'
import { remarksOn } from '../../../src/core/limbScore/remarks'
import { ROWS } from '../../../src/core/limbScore/rows'
import { limbInWords } from '../../../src/core/sides/frames'
import { mirrorChart } from '../../../src/core/sides/mirror'
import { demoPlan } from '../../fixtures/demoPlan'

/*
 * Two arms trapped from the back, limb by limb, with the right arm over and the left side down: what our arms and legs
 * and their arms do after each step, how many arms attack and defend, and which arm of ours is on top.
 * O: the arm over the shoulder; U: the one under the armpit.
 */
const COLUMNS = ['our O arm', 'our U arm', 'our O leg', 'our U leg', 'their O arm', 'their U arm', 'arms', 'top arm']
const TO_THE_NECK = [
  ['start', 'attacks', 'holds', 'holds', 'holds', 'free', 'free', '1:2', 'over'],
  ['cross-the-wrists', 'holds', 'holds', 'holds', 'holds', 'held', 'held', '0:0', 'over'],
  ['lift-the-top-elbow', 'holds', 'holds', 'free', 'holds', 'held', 'held', '0:0', 'over'],
  ['leg-over-the-lifted-elbow', 'holds', 'free', 'holds', 'holds', 'trapped', 'held', '1:0', 'over'],
  ['lock-the-legs', 'holds', 'free', 'holds', 'holds', 'trapped', 'held', '1:0', 'over'],
  ['hand-the-wrist-over', 'free', 'holds', 'holds', 'holds', 'trapped', 'held', '1:0', 'over'],
  ['hand-to-the-neck', 'attacks', 'holds', 'holds', 'holds', 'trapped', 'held', '1:0', 'over'],
]
const TABLES: Record<string, string[][]> = {
  'two-arms-then-the-choke': [
    ...TO_THE_NECK,
    ['arm-behind-the-head', 'attacks', 'attacks', 'holds', 'holds', 'trapped', 'free', '2:1', 'over'],
    ['elbows-together', 'attacks', 'attacks', 'holds', 'holds', 'trapped', 'free', '2:1', 'over'],
  ],
  'two-arms-and-the-roll': [
    ...TO_THE_NECK,
    ['roll-with-the-bridge', 'attacks', 'holds', 'holds', 'holds', 'trapped', 'held', '1:0', 'under'],
    ['second-arm-to-the-leg', 'free', 'free', 'holds', 'holds', 'trapped', 'trapped', '2:0', 'under'],
    ['choke-with-both-arms-free', 'attacks', 'attacks', 'holds', 'holds', 'trapped', 'trapped', '2:0', 'under'],
    ['elbows-together', 'attacks', 'attacks', 'holds', 'holds', 'trapped', 'trapped', '2:0', 'under'],
  ],
}

const demo = demoPlan()
const SIDES: [over: 'right' | 'left', chart: Chart][] = [
  ['right', demo],
  ['left', mirrorChart(demo)],
]

/** The whole table as the score makes it. */
function tableOf(chart: Chart, run: string, over: 'right' | 'left'): string[][] {
  const under = over === 'right' ? 'left' : 'right'
  const limbs = [
    [`${over}-arm`, 'ours'],
    [`${under}-arm`, 'ours'],
    [`${over}-leg`, 'ours'],
    [`${under}-leg`, 'ours'],
    [`${over}-arm`, 'theirs'],
    [`${under}-arm`, 'theirs'],
  ]
  return play(chart, lookUp(chart.runs, run)!).beats.map(({ step, holds, frame, orientation }) => {
    const on = holdsOf(chart, holds)
    const states = limbs.map(([limb, by]) =>
      limbState(
        ROWS.find((row) => row.limb === limb && row.by === by)!,
        on,
      ),
    )
    const { attack, defend } = armsFree(on)
    const words = limbInWords(frame, orientation, 'ours', `${over}-hand`)
    return [step?.move ?? 'start', ...states, `${attack}:${defend}`, words.includes('top') ? 'over' : 'under']
  })
}

describe.each(SIDES)('two arms trapped from the back, the %s arm over', (over, chart) => {
  it.each(Object.keys(TABLES))(`gives after each step of %s: ${COLUMNS.join(', ')}`, (run) => {
    expect(tableOf(chart, run, over)).toEqual(TABLES[run])
  })

  it('calls the limbs by the sides that they have then: after the roll what was top is bottom', () => {
    const { beats } = play(chart, lookUp(chart.runs, 'two-arms-and-the-roll')!)
    const at = (n: number, by: 'ours' | 'theirs', limb: string) =>
      limbInWords(beats[n].frame, beats[n].orientation, by, `${limb}` as never)
    const under = over === 'right' ? 'left' : 'right'
    expect(at(6, 'ours', `${over}-knee`)).toBe('top knee')
    expect(at(7, 'ours', `${over}-knee`)).toBe('bottom knee')
    expect(at(6, 'theirs', `${under}-hand`)).toBe('bottom hand')
    expect(at(7, 'theirs', `${under}-hand`)).toBe('top hand')
    expect(at(7, 'ours', `${over}-hand`)).toBe('over hand (bottom)')
    expect(at(8, 'ours', `${under}-hand`)).toBe('under hand (top)')
    // The under arm has come out to go behind the head.
    expect(at(9, 'ours', `${under}-hand`)).toBe('other hand (top)')
    expect(at(9, 'ours', `${over}-hand`)).toBe('choking hand (bottom)')
  })

  it('finds nothing wrong but the hand that comes back when the under arm leaves', () => {
    const remarks = Object.keys(TABLES).map((run) => remarksOn(chart, lookUp(chart.runs, run)!))
    expect(remarks[0].map(({ step, kind, key }) => ({ step, kind, key }))).toEqual([
      { step: 7, kind: 'reopened', key: 'reopened arm-behind-the-head late-hand-wedge' },
    ])
    expect(remarks[1]).toEqual([])
  })
})

test('what the arms can do about the choke is halved by the leg and ended by the second hand', () => {
  const table = new HoldTable(demo.holds!)
  const fight = lookUp(demo.reactions, 'hands-on-the-choking-arm')!
  const left = play(demo, lookUp(demo.runs, 'two-arms-then-the-choke')!).beats.map(({ holds }) =>
    table.left(fight, table.setOf(holds), 'ours'),
  )
  expect(left.map((one) => Math.round(one * 100) / 100)).toEqual([1, 0.5, 0.5, 0.5, 0.5, 0.2, 0.2, 1, 1])
})

test('hips, shoulders and face are told apart', () => {
  const table = new HoldTable(demo.holds!)
  const controls = (id: string) =>
    Object.fromEntries(
      controlsOf(table, lookUp(demo.positions, id)!.holds ?? []).map(({ ask, control }) => [ask, control]),
    )
  expect(controls('back-choke-closed')).toEqual({ hips: 'free', shoulders: 'partly', face: 'controlled' })
  expect(controls('standing-open-hands')).toEqual({ hips: 'free', shoulders: 'free', face: 'free' })
})

test('their crossed legs take two of our three ways out, and leave the third, by holds alone', () => {
  const table = new HoldTable(demo.holds!)
  const crossed = table.setOf(['their-seatbelt', 'their-crossed-legs'])
  const left = (move: string, holds: bigint) => table.left(lookUp(demo.moves, move)!, holds, 'theirs')
  const ways = ['walk-the-hips-high', 'slide-to-the-open-side', 'pin-the-low-arm-and-rise']
  expect(ways.map((move) => left(move, table.setOf(['their-seatbelt'])))).toEqual([1, 1, 1])
  expect(ways.map((move) => left(move, crossed))).toEqual([0, 0, 1])
  const run = { id: 'out', name: 'Out', start: 'they-have-our-back' as PositionId }
  const met = { move: 'walk-the-hips-high', reaction: 'crosses-the-legs' } as never
  const out = (move: string) => remarksOn(demo, { ...run, steps: [met, {}, { move } as never] })
  const taken = (move: string) => out(move).filter(({ kind }) => kind === 'impossible')
  expect(ways.map((move) => taken(move).map(({ kind, step }) => `${kind} ${step}`))).toEqual([
    ['impossible 3'],
    ['impossible 3'],
    [],
  ])
})
