import type * as answers from '../../src/core/chart/edits/answers'
import * as checkpoints from '../../src/core/chart/edits/checkpoints'
import * as cues from '../../src/core/chart/edits/cues'
import * as fields from '../../src/core/chart/edits/fields'
import * as group from '../../src/core/chart/edits/group'
import * as holds from '../../src/core/chart/edits/holds'
import * as rounds from '../../src/core/chart/edits/positionalRounds'
import * as probe from '../../src/core/chart/edits/probe'
import * as records from '../../src/core/chart/edits/records'
import * as ruleSets from '../../src/core/chart/edits/ruleSets'
import * as runs from '../../src/core/chart/edits/runs'
import * as slope from '../../src/core/chart/edits/slope'
import type * as tries from '../../src/core/chart/edits/tries'
import * as ways from '../../src/core/chart/edits/ways'
import type { Chart } from '../../src/core/chart/chart'
import { BUILT_IN_RULES } from '../../src/core/chart/rules/builtInRules'
import type { RunStep } from '../../src/core/chart/run'
import { AHEAD, KINDS } from '../../src/core/chart/words'
import * as scenario from '../../src/core/game/edits/scenario'
import { play } from '../../src/core/limbScore/play'
import * as bars from '../../src/core/limbScore/edits/editBars'
import type * as fork from '../../src/core/notation/edits/applyFork'
import * as lines from '../../src/core/notation/edits/sayLines'
import * as supposed from '../../src/core/questions/edits/planSupposed'
import * as pull from '../../src/core/shelf/edits/pull'
import * as updates from '../../src/core/shelf/edits/updates'
import { smallShelf } from '../fixtures/smallShelf'
import { SOUND_EDITS, type Draw, type RandomEdit } from './randomEdits'

/* Every edit that a module under an `edits` folder exports: one that is missing here does not compile. */

type Modules = typeof answers &
  typeof checkpoints &
  typeof cues &
  typeof fields &
  typeof group &
  typeof holds &
  typeof rounds &
  typeof probe &
  typeof records &
  typeof ruleSets &
  typeof runs &
  typeof slope &
  typeof tries &
  typeof ways &
  typeof scenario &
  typeof bars &
  typeof lines &
  typeof supposed &
  typeof pull &
  typeof updates &
  typeof fork

/** Exports that edit nothing, or that are only a part of edits. */
type NoEdit =
  | ('GUESS_WEIGHT' | 'answersTo' | 'partsOf' | 'partCount' | 'withPart' | 'dropRace' | 'loseReaction' | 'losePosition')
  | (
      | 'holdIn'
      | 'roundIn'
      | 'runIn'
      | 'answerOfRound'
      | 'wantedOfRegion'
      | 'changedOnShelf'
      | 'differencesOf'
      | 'markOf'
    )
  | ('unbreak' | 'dropRounds' | 'cutRuns' | 'applyFork' | 'applyStill' | 'nameHead' | 'sayParts')

const shelf = smallShelf()
const LIMBS = ['left-hand', 'right-hand', 'left-knee', 'head'] as const

/** A checkpoint of some move, with a few texts to set. */
function checkpointOf(chart: Chart, { one }: Draw) {
  const move = one(chart.moves.filter(({ checkpoints }) => checkpoints?.length))
  return move && { move: move.id, id: one(move.checkpoints!).id }
}

const holdOf = (chart: Chart, { one }: Draw) => one(chart.holds ?? [])?.id
const runOf = (chart: Chart, { one }: Draw) => one(chart.runs ?? [])?.id
const roundOf = (chart: Chart, { one }: Draw) => one(chart.cards ?? [])?.id
const keptOf = (chart: Chart, { one }: Draw) => one(chart.settings?.keptScenarios ?? [])?.id
const ownSetOf = (chart: Chart, { one }: Draw) => one(chart.settings?.ruleSets ?? [])?.id
const textOf = ({ one }: Draw) => one(['Weight on the chest', '', '  ', 'x'.repeat(250)])

function stepOf(chart: Chart, { one, below }: Draw): RunStep {
  const move = one(chart.moves).id
  if (below(2)) return { move, reaction: one(chart.reactions).id }
  return below(2) ? { move } : { move, elsewhere: below(2) ? 'caught' : one(chart.positions).id }
}

const ABOUT_HOLDS = {
  addHold: (chart, { one }) => {
    const by = one(['ours', 'theirs'] as const)
    holds.addHold(chart, { name: 'New hold', by, limbs: [one(LIMBS)], on: 'left-hand' })
  },
  putOn: (chart, draw) => chart.holds?.length && holds.putOn(chart, draw.one(chart.positions).id, holdOf(chart, draw)!),
  takeOff: (chart, draw) =>
    chart.holds?.length && holds.takeOff(chart, draw.one(chart.positions).id, holdOf(chart, draw)!),
  putOnKnown: (chart, { one }) => holds.putOnKnown(chart, one(chart.positions).id, one(shelf.holds).id, shelf.holds),
  removeHold: (chart, draw) => chart.holds?.length && holds.removeHold(chart, holdOf(chart, draw)!),
  setDenial: (chart, draw) =>
    chart.holds?.length && holds.setDenial(chart, holdOf(chart, draw)!, 'bridge', draw.one([0, 0.5, 1, 2])),
  setLimbs: (chart, draw) =>
    chart.holds?.length && holds.setLimbs(chart, holdOf(chart, draw)!, [draw.one(LIMBS), draw.one(LIMBS)]),
  setHolds: (chart, draw) => {
    const list = draw.one(['moves', 'reactions'] as const)
    const field = draw.one(
      list === 'moves' ? (['needs', 'adds', 'drops', 'keeps', 'strips'] as const) : (['strips', 'adds'] as const),
    )
    const some = (chart.holds ?? []).filter(() => draw.below(4) === 0).map(({ id }) => id)
    holds.setHolds(chart, list, draw.one<{ id: string }>(chart[list]).id, field, some)
  },
  setBar: (chart, draw) => {
    const run = draw.one(chart.runs ?? [])
    const hold = holdOf(chart, draw)
    if (!run || !hold) return
    const from = draw.below(play(chart, run).beats.length)
    bars.setBar(chart, run.id, hold, null, { from, to: from })
  },
} satisfies Partial<Record<keyof Modules, RandomEdit>>

const ABOUT_RUNS = {
  addRun: (chart, draw) => runs.addRun(chart, 'New run', draw.one(chart.positions).id, [stepOf(chart, draw)]),
  continueRun: (chart, draw) => {
    const run = draw.one(chart.runs ?? [])
    if (run) runs.continueRun(chart, run.id, run.steps.slice(0, draw.below(3)), stepOf(chart, draw))
  },
  intend: (chart, draw) => chart.runs?.length && runs.intend(chart, runOf(chart, draw)!, 'loose hand', textOf(draw)),
  removeRun: (chart, draw) => chart.runs?.length && runs.removeRun(chart, runOf(chart, draw)!),
  shiftRun: (chart, draw) => chart.runs?.length && runs.shiftRun(chart, runOf(chart, draw)!, draw.below(2) ? 1 : -1),
  addRound: (chart, { one, below }) =>
    rounds.addRound(chart, one(chart.positions).id, one(chart.reactions).id, below(2) ? one(chart.moves).id : null),
  removeRound: (chart, draw) => chart.cards?.length && rounds.removeRound(chart, roundOf(chart, draw)!),
  setRoundSeconds: (chart, draw) =>
    chart.cards?.length && rounds.setRoundSeconds(chart, roundOf(chart, draw)!, draw.one([5, 30, 30.5, 700])),
  tallyRound: (chart, draw) =>
    chart.cards?.length && rounds.tallyRound(chart, roundOf(chart, draw)!, draw.below(2) === 0, '2026-11-28'),
} satisfies Partial<Record<keyof Modules, RandomEdit>>

const ABOUT_SETTINGS = {
  setTitle: (chart, draw) => fields.setTitle(chart, textOf(draw)),
  setWord: (chart, draw) => fields.setWord(chart, 'over', textOf(draw)),
  setSetting: (chart, { one }) => fields.setSetting(chart, 'breakUp', one([30, 0.5, null, undefined])),
  setGroup: (chart, { one }) => group.setGroup(chart, one(['minors', 'beginners', undefined] as const)),
  setProbe: (chart, { one, below }) =>
    probe.setProbe(chart, below(2) ? one(chart.moves).id : null, { lands: one([0.5, 1, 11]), never: below(2) === 0 }),
  copyRuleSet: (chart, { one }) => ruleSets.copyRuleSet(chart, one(BUILT_IN_RULES).id),
  removeRuleSet: (chart, draw) => ownSetOf(chart, draw) && ruleSets.removeRuleSet(chart, ownSetOf(chart, draw)!),
  setForbidden: (chart, draw) =>
    ownSetOf(chart, draw) && ruleSets.setForbidden(chart, ownSetOf(chart, draw)!, 'slam', draw.below(2) === 0),
  setPoints: (chart, draw) =>
    ownSetOf(chart, draw) && ruleSets.setPoints(chart, ownSetOf(chart, draw)!, 'sweep', draw.one([0, 2, 100, NaN])),
  setRule: (chart, draw) => {
    const id = ownSetOf(chart, draw)
    if (id)
      ruleSets.setRule(
        chart,
        id,
        'rounds',
        draw.one([
          { count: 2, seconds: 300 },
          { count: NaN, seconds: 300 },
        ]),
      )
  },
  letGo: (chart, { one, below }) => (below(2) ? slope.letGo(chart) : slope.letGo(chart, [one(chart.positions).id])),
  orderBands: (chart) => slope.orderBands(chart, ['side', 'guard']),
  putByHand: (chart, { one, below }) =>
    slope.putByHand(chart, { [one(chart.positions).id]: { row: below(4), x: below(900) } }),
  chooseWay: (chart, { one }) =>
    ways.chooseWay(chart, { variant: 'how', view: 'a', says: 'Climb', aside: [one(chart.moves).id] }),
  keepAllWays: (chart) => ways.keepAllWays(chart, 'how'),
  setScenario: (chart, { one }) =>
    scenario.setScenario(chart, one([{ seconds: 40 }, { start: one(chart.positions).id }, { sharpness: 0.5 }])),
  keepScenario: (chart, { one }) => scenario.keepScenario(chart, one(['Final', 'final', 'Monday'])),
  goBackToScenario: (chart, draw) => keptOf(chart, draw) && scenario.goBackToScenario(chart, keptOf(chart, draw)!),
  forgetScenario: (chart, draw) => keptOf(chart, draw) && scenario.forgetScenario(chart, keptOf(chart, draw)!),
} satisfies Partial<Record<keyof Modules, RandomEdit>>

const ABOUT_RECORDS = {
  setField: (chart, { one }) => fields.setField(chart, 'moves', one(chart.moves).id, 'seconds', one([4, 0, undefined])),
  replaceWith: (chart, { one }) => {
    const [first, ...others] = chart.moves
    if (first) fields.replaceWith(chart, { ...chart, title: 'Other', moves: one([chart.moves, [first, ...others]]) })
  },
  setGate: (chart, draw) => {
    const at = checkpointOf(chart, draw)
    const [hold = '', next = ''] = [holdOf(chart, draw), holdOf(chart, draw)]
    if (at) checkpoints.setGate(chart, at.move, at.id, hold, next)
  },
  setCheckpoint: (chart, draw) => {
    const at = checkpointOf(chart, draw)
    const field = draw.one(['text', 'test', 'until'] as const)
    if (at) checkpoints.setCheckpoint(chart, at.move, at.id, field, textOf(draw))
  },
  setFault: (chart, draw) => {
    const at = checkpointOf(chart, draw)
    if (at) checkpoints.setFault(chart, at.move, at.id, draw.one(['mistake', 'fix'] as const), textOf(draw))
  },
  shiftCheckpoint: (chart, draw) => {
    const at = checkpointOf(chart, draw)
    if (at) checkpoints.shiftCheckpoint(chart, at.move, at.id, draw.below(2) ? 1 : -1)
  },
  dropUnprompted: (chart, { one }) => {
    const position = one(chart.positions.filter(({ unprompted }) => unprompted))
    if (position) records.dropUnprompted(chart, position.id, one(Object.keys(position.unprompted!.reactions)) as never)
  },
  setFact: (chart, { one }) => records.setFact(chart, one(chart.positions).id, 'over', one(['left', ''])),
  setLanding: (chart, { one, below }) =>
    records.setLanding(chart, one(chart.moves).id, below(2) ? 'finish' : one(chart.positions).id),
  setAhead: (chart, { one }) => records.setAhead(chart, one(chart.positions).id, one(AHEAD)),
  setFamily: (chart, { one }) => records.setFamily(chart, one(chart.positions).id, one(['side', 'clinch', 'guard'])),
  setKind: (chart, { one }) => records.setKind(chart, one(chart.moves).id, one(KINDS)),
  setOut: (chart, { one }) => records.setOut(chart, one(chart.positions).id, one([20, 0, undefined])),
  setReply: (chart, { one, below }) => records.setReply(chart, one(chart.moves).id, below(2) === 0),
  setThreat: (chart, { one }) => records.setThreat(chart, one(chart.positions).id, one([20, 0, undefined])),
  setTurn: (chart, { one, below }) => records.setTurn(chart, one(chart.moves).id, 'over', below(2) === 0),
  sayLines: (chart, { one }) => {
    const line = one(['Sweep (finish): 3 land; 2 bridges > sweep 4 of 10', 'New trap: 3 land', 'Trap (mount): 2 land'])
    lines.sayLines(chart, one(chart.positions).id, line)
  },
  sayStill: (chart, { one }) => {
    const line = one(['3 bridges', '2 rolls (mount) > ?', '2 shakes > sweep 4 of 10', '3 land'])
    lines.sayStill(chart, one(chart.positions).id, line)
  },
  addCue: (chart, { one, below }) => {
    const position = one(chart.positions)
    if (Object.keys(position.seen ?? {}).length < 12) cues.addCue(chart, position.id, 'Their far hand', 1 + below(4))
  },
  setSeen: (chart, { one, below }) => {
    const position = one(chart.positions.filter(({ seen }) => seen))
    if (position) cues.setSeen(chart, position.id, 'nothing', below(6))
  },
  unsee: (chart, { one }) => {
    const position = one(chart.positions.filter(({ seen }) => seen))
    const cue = position && one((chart.cues ?? []).filter(({ id }) => position.seen![id] !== undefined))
    if (cue) cues.unsee(chart, position.id, cue.id)
  },
  renameCue: (chart, { one }) => {
    const cue = one(chart.cues ?? [])
    if (cue) cues.renameCue(chart, cue.id, 'Their near hip')
  },
  setOrigin: (chart, { one }) => cues.setOrigin(chart, one(chart.moves).id, one(chart.positions).id),
  setWhen: (chart, { one, below }) => {
    const move = one(chart.moves)
    const { seen = {} } = chart.positions.find(({ id }) => id === move.from)!
    const cue = one((chart.cues ?? []).filter(({ id }) => seen[id] !== undefined))
    if (cue) cues.setWhen(chart, move.id, cue.id, below(3) > 0)
  },
  planSupposed: (chart, { one }) => {
    const target = { of: 'move' as const, move: one(chart.moves).id }
    supposed.planSupposed(
      chart,
      { tries: [{ target, part: { of: 'lands' }, share: one([0.2, 0.9]) }], seconds: 40 },
      chart,
    )
  },
  pullIn: (chart, { one }) => pull.pullIn(chart, shelf, { moves: [one(shelf.moves).id], onward: 1 }),
  takeUpdate: (chart, { one }) => updates.takeUpdate(chart, one(shelf.moves)),
  leaveUpdate: (chart, { one }) => updates.leaveUpdate(chart, one(shelf.moves)),
} satisfies Partial<Record<keyof Modules, RandomEdit>>

export const EVERY_EDIT: Record<Exclude<keyof Modules, NoEdit>, RandomEdit> = {
  ...SOUND_EDITS,
  ...ABOUT_RECORDS,
  ...ABOUT_HOLDS,
  ...ABOUT_RUNS,
  ...ABOUT_SETTINGS,
}
