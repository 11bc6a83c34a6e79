import type { Chart } from '../../core/chart/chart'
import { alsoSaid } from '../../core/sides/vocabulary'
import { t, type FindingKey } from '../../words/finding'
import { PLACES } from './places'

/** An entry of the palette: a place to go to, or an action. */
export interface Command {
  key: string
  name: string
  aliases?: string[]
  where: string
  /** Names of what stands around it, by which it is found as well. */
  around?: string
  go?: { path: string; query?: Record<string, string> }
  does?: Action
}

export type Action = 'undo' | 'redo' | 'shortcuts' | 'dark' | 'print' | 'export' | 'how sure'

/** Further names under which an entry is found, one message with commas. */
const also = (key: FindingKey) => t(key).split(', ')

/** The entry with the side words of other schools as further names, so that "weak side" finds "under side". */
function alsoFound(command: Command): Command {
  const others = [command.name, ...(command.aliases ?? [])].flatMap(alsoSaid)
  return others.length ? { ...command, aliases: [...(command.aliases ?? []), ...others] } : command
}

/** A place of the palette by its path: its name, what else it is called, and whether it is a screen or part of one. */
function place(path: string, name: string, called?: FindingKey, where = t('frame.screen')): Command {
  return { key: path, name, ...(called && { aliases: also(called) }), where, go: { path } }
}

function action(does: Action, name: FindingKey, called: FindingKey): Command {
  return { key: does, name: t(name), aliases: also(called), where: t('frame.action'), does }
}

/** What else screens are called. */
const FOUND_AS: Partial<Record<string, FindingKey>> = {
  '/slope': 'finding.slope',
  '/rehearse': 'finding.rehearse',
  '/runs': 'finding.runs',
  '/holds': 'finding.holds',
  '/shelf': 'finding.shelf',
  '/rules': 'finding.rules',
  '/charts': 'finding.charts',
  '/settings': 'finding.settings',
}

const screens = (): Command[] => [
  ...PLACES.map(({ to, name }) => place(to, name, FOUND_AS[to])),
  place('/score', t('frame.limbScore'), 'finding.score'),
]

/** Tabs of screens. A path that a screen has as well is another entry under another name. */
const tabs = (): Command[] =>
  [
    place('/runs', t('common.theChainSaid'), 'finding.chain', t('frame.tab')),
    place('/runs/side-by-side', t('common.sideBySide'), 'finding.sideBySide', t('frame.tab')),
    place('/runs/rounds', t('common.rounds'), 'finding.rounds', t('frame.tab')),
    place('/runs/beat', t('common.howTheyWouldBeatUs'), 'finding.beat', t('frame.tab')),
    place('/runs/pictures', t('common.inPictures'), 'finding.pictures', t('frame.tab')),
    place('/runs/match', t('common.theMatch'), 'finding.match', t('frame.tab')),
    place('/runs/what-if', t('common.whatIf'), 'finding.whatIf', t('frame.tab')),
    place('/holds', t('frame.holdsOnePosition'), 'finding.holds', t('frame.tab')),
    place('/score', t('common.aRunLimbByLimb'), 'finding.limbByLimb', t('frame.tab')),
  ].map((tab) => ({ ...tab, key: `tab ${tab.key}` }))

const ofChart = (): Command[] => [
  action('export', 'frame.exportThisChart', 'finding.export'),
  action('how sure', 'frame.howSureIsIt', 'finding.howSure'),
  { ...place('/desk', t('common.whatToDrill'), 'finding.drill', t('common.desk')), key: 'drill' },
  { ...place('/desk', t('common.whatCostsUsMost'), 'finding.costs', t('common.desk')), key: 'costs' },
]

/** What the next undo and redo would do, each where there is one. */
function stepsBack({ undo, redo }: Steps): Command[] {
  const where = t('frame.action')
  return [
    ...(undo ? [{ key: 'undo', name: t('frame.undoUndo', { undo }), where, does: 'undo' as const }] : []),
    ...(redo ? [{ key: 'redo', name: t('frame.redoRedo', { redo }), where, does: 'redo' as const }] : []),
  ]
}

interface Steps {
  undo?: string | undefined
  redo?: string | undefined
}

/** All entries of the palette, screens and actions first. */
export function commandsFor(chart: Chart | null, steps: Steps): Command[] {
  const always = [
    ...screens(),
    ...tabs(),
    action('shortcuts', 'frame.keys', 'finding.shortcuts'),
    action('dark', 'frame.darkOrLight', 'finding.dark'),
    action('print', 'frame.printThisScreen', 'finding.print'),
    ...(chart ? ofChart() : []),
    ...stepsBack(steps),
  ]
  return chart ? [...always, ...recordsOf(chart)] : always
}

/** The positions, moves, reactions and runs of a chart. */
function recordsOf(chart: Chart): Command[] {
  const nameOf = new Map<string, string>(chart.positions.map(({ id, name }) => [id, name]))
  const positions = chart.positions.map(({ id, name, aliases }): Command => ({
    ...{ key: `position ${id}`, name, where: t('frame.position'), go: { path: `/worksheet/${id}` } },
    ...(aliases ? { aliases } : {}),
  }))
  const moves = chart.moves.map(({ id, name, aliases, from }): Command => ({
    ...{
      key: `move ${id}`,
      name,
      where: t('frame.moveFromFrom', { from: nameOf.get(from) }),
      go: { path: `/worksheet/${from}`, query: { move: id } },
    },
    ...(aliases ? { aliases } : {}),
  }))
  const reactions = chart.reactions.flatMap(({ id, name, aliases }): Command[] => {
    const met = chart.moves.find(({ tries }) => tries?.reactions?.[id] !== undefined)
    if (!met) return []
    const go = { path: `/worksheet/${met.from}`, query: { move: met.id, reaction: id } }
    const around = nameOf.get(met.from) ?? ''
    return [
      {
        key: `reaction ${id}`,
        name,
        where: t('frame.theyDoToMet', { met: met.name }),
        around,
        go,
        ...(aliases ? { aliases } : {}),
      },
    ]
  })
  const runs = (chart.runs ?? []).map(({ id, name }): Command => ({
    key: `run ${id}`,
    name,
    where: t('frame.run'),
    go: { path: `/score/${id}` },
  }))
  return [...positions, ...moves, ...reactions, ...runs].map(alsoFound)
}
