// Stryker's plugins: the seeded sample of an area, and the places of a .vue file that no fault can be put in.
import { createHash } from 'node:crypto'
import { relative } from 'node:path'
import { declareClassPlugin, declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin'

const SEED = 'ataque'
/** Mutants of an area; fewer for a quick look: `MUTANTS=40 npm run mutants -- storage`. */
const SAMPLE = Number(process.env.MUTANTS ?? 150)

/** Name of a mutant that stays the same from run to run: file, place and what stands there instead. */
export function nameOf({ fileName, location, replacement }) {
  const { start, end } = location
  const file = relative(process.cwd(), fileName).replace(/^\.cache\/mutants\/[^/]+\//, '')
  return `${file}:${start.line}:${start.column}-${end.line}:${end.column} ${replacement}`
}

const rank = (mutant) =>
  createHash('sha1')
    .update(`${SEED} ${nameOf(mutant)}`)
    .digest('hex')

/** The first `SAMPLE` of `mutants` in an order that only the seed and their names decide. */
export const sampleOf = (mutants) =>
  mutants
    .map((mutant) => ({ mutant, rank: rank(mutant) }))
    .sort((a, b) => (a.rank < b.rank ? -1 : 1))
    .slice(0, SAMPLE)
    .map(({ mutant }) => mutant)

/** Lets the sample pass and holds back the rest. Mutants that no test reaches never come here: they count all the same. */
class Sample {
  async init() {}

  async group(mutants) {
    return [mutants.map(({ id }) => id)]
  }

  async check(mutants) {
    const sampled = new Set(sampleOf(mutants).map(({ id }) => id))
    const verdict = (id) => (sampled.has(id) ? { status: 'passed' } : { status: 'compileError', reason: 'not sampled' })
    return Object.fromEntries(mutants.map(({ id }) => [id, verdict(id)]))
  }
}

const MACROS = new Set(['defineProps', 'withDefaults', 'defineEmits', 'defineModel', 'defineOptions', 'defineExpose'])

/** The arguments of Vue's macros are lifted out of the script by its compiler and may not refer to anything in it. */
const vueMacros = {
  shouldIgnore: ({ node }) =>
    node.type === 'CallExpression' && MACROS.has(node.callee.name) ? 'argument of a macro of Vue' : undefined,
}

export const strykerPlugins = [
  declareClassPlugin(PluginKind.Checker, 'sample', Sample),
  declareValuePlugin(PluginKind.Ignore, 'vue-macros', vueMacros),
]
