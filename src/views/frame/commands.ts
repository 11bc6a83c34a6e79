import type { Chart } from '../../core/chart/chart'
import { alsoSaid } from '../../core/sides/vocabulary'

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

/** The entry with the side words of other schools as further names, so that "weak side" finds "under side". */
function alsoFound(command: Command): Command {
  const others = [command.name, ...(command.aliases ?? [])].flatMap(alsoSaid)
  return others.length ? { ...command, aliases: [...(command.aliases ?? []), ...others] } : command
}

const TABS: { name: string; path: string; aliases?: string[] }[] = [
  { name: 'The chain, said', path: '/runs', aliases: ['script', 'print the chain'] },
  { name: 'Side by side', path: '/runs/side-by-side', aliases: ['compare runs'] },
  { name: 'Rounds', path: '/runs/rounds', aliases: ['positional rounds', 'print rounds'] },
  { name: 'How they would beat us', path: '/runs/beat', aliases: ['their best way'] },
  { name: 'What if', path: '/runs/what-if', aliases: ['suppose', 'limit on risk', 'what matters most'] },
  { name: 'Holds, one position', path: '/holds', aliases: ['pin', 'controls'] },
  { name: 'A run, limb by limb', path: '/score', aliases: ['limb score'] },
]

const ABOUT_CHART: Command[] = [
  {
    key: 'export',
    name: 'Export this chart',
    aliases: ['save as a file', 'download'],
    where: 'action',
    does: 'export',
  },
  { key: 'how sure', name: 'How sure is it?', aliases: ['range', 'certain'], where: 'action', does: 'how sure' },
  { key: 'drill', name: 'What to drill', aliases: ['train', 'practise'], where: 'Desk', go: { path: '/desk' } },
  { key: 'costs', name: 'What costs us most', aliases: ['leaks', 'loose ends'], where: 'Desk', go: { path: '/desk' } },
]

/** All entries of the palette, screens and actions first. */
export function commandsFor(
  chart: Chart | null,
  steps: { undo?: string | undefined; redo?: string | undefined },
): Command[] {
  const screens: Command[] = [
    { key: 'desk', name: 'Desk', where: 'screen', go: { path: '/desk' } },
    { key: 'slope', name: 'Slope', aliases: ['picture', 'map'], where: 'screen', go: { path: '/slope' } },
    { key: 'worksheet', name: 'Worksheet', where: 'screen', go: { path: '/worksheet' } },
    {
      key: 'runs',
      name: 'Runs',
      aliases: ['script', 'chain', 'how they would beat us'],
      where: 'screen',
      go: { path: '/runs' },
    },
    { key: 'holds', name: 'Holds', aliases: ['pin', 'controls'], where: 'screen', go: { path: '/holds' } },
    { key: 'score', name: 'Limb score', aliases: ['runs', 'arms and legs'], where: 'screen', go: { path: '/score' } },
    { key: 'shelf', name: 'Shelf', aliases: ['library', 'catalogue'], where: 'screen', go: { path: '/shelf' } },
    {
      key: 'rules',
      name: 'Rules',
      aliases: ['points', 'allowed', 'forbidden'],
      where: 'screen',
      go: { path: '/rules' },
    },
    { key: 'charts', name: 'Charts', aliases: ['files', 'import'], where: 'screen', go: { path: '/charts' } },
    ...TABS.map(({ name, path, aliases = [] }): Command => ({
      ...{ key: path, name, aliases: [...aliases], where: 'tab', go: { path } },
    })),
    { key: 'shortcuts', name: 'Keys', aliases: ['shortcuts', 'help'], where: 'action', does: 'shortcuts' },
    { key: 'dark', name: 'Dark or light', aliases: ['theme', 'night'], where: 'action', does: 'dark' },
    { key: 'print', name: 'Print this screen', aliases: ['paper', 'pdf'], where: 'action', does: 'print' },
    ...(chart ? ABOUT_CHART : []),
    ...(steps.undo ? [{ key: 'undo', name: `Undo: ${steps.undo}`, where: 'action', does: 'undo' as const }] : []),
    ...(steps.redo ? [{ key: 'redo', name: `Redo: ${steps.redo}`, where: 'action', does: 'redo' as const }] : []),
  ]
  if (!chart) return screens
  const nameOf = new Map<string, string>(chart.positions.map(({ id, name }) => [id, name]))
  const positions = chart.positions.map(({ id, name, aliases }): Command => ({
    ...{ key: `position ${id}`, name, where: 'position', go: { path: `/worksheet/${id}` } },
    ...(aliases ? { aliases } : {}),
  }))
  const moves = chart.moves.map(({ id, name, aliases, from }): Command => ({
    ...{
      key: `move ${id}`,
      name,
      where: `move from ${nameOf.get(from)}`,
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
      { key: `reaction ${id}`, name, where: `they do, to ${met.name}`, around, go, ...(aliases ? { aliases } : {}) },
    ]
  })
  const runs = (chart.runs ?? []).map(({ id, name }): Command => ({
    key: `run ${id}`,
    name,
    where: 'run',
    go: { path: `/score/${id}` },
  }))
  return [...screens, ...[...positions, ...moves, ...reactions, ...runs].map(alsoFound)]
}
