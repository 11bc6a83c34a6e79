// Faults in templates, which Stryker does not change: put in by hand, tried one at a time in a copy of the project.
import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'

const COPY = '.cache/templates'
const COPIED = ['src', 'tests', 'scripts', 'bench', 'demo', 'docs', 'jest.config.js', 'package.json']
const INSPECTORS = 'src/views/parts/inspectors'

const FAULTS = [
  ['src/components/ComboList.vue', ':aria-selected="i === chosen"', ':aria-selected="i === 0"'],
  ['src/components/ComboList.vue', `@blur="floating && emit('cancel')"`, `@blur="emit('cancel')"`],
  ['src/components/InlineText.vue', '@keydown.space.stop.prevent="begin"', ''],
  ['src/components/InlineText.vue', '<span v-if="!value" class="muted">', '<span v-if="value" class="muted">'],
  ['src/components/NetMark.vue', `v-else-if="kind === 'leak'"`, `v-else-if="kind === 'even'"`],
  ['src/components/NotationInput.vue', '@pointerdown.prevent="take(i)"', '@pointerdown.prevent="take(0)"'],
  ['src/components/ProbeFields.vue', ':placeholder="String(usual[key])"', ':placeholder="String(usual.lands)"'],
  ['src/components/ProblemList.vue', 'v-if="problems.length > most"', 'v-if="problems.length >= most"'],
  ['src/components/SecondsField.vue', '@change="onChange"', '@focus="onChange"'],
  ['src/components/TenTries.vue', ':aria-valuenow="part.count"', ':aria-valuenow="total"'],
  ['src/components/TenTries.vue', 'v-if="i < parts.length - 1"', 'v-if="i < parts.length"'],
  ['src/components/TokenField.vue', `@blur="emit('leave')"`, ''],
  [`${INSPECTORS}/CheckpointList.vue`, '@click="shift(checkpoint.id, -1)"', '@click="shift(checkpoint.id, 1)"'],
  [`${INSPECTORS}/CheckpointList.vue`, 'v-if="isOpen(checkpoint).until"', 'v-if="!isOpen(checkpoint).until"'],
  [`${INSPECTORS}/HazardNote.vue`, 'goal: isGoal ? [] : [move.from]', 'goal: [move.from]'],
  [`${INSPECTORS}/HazardNote.vue`, `v-if="move.to === 'finish'"`, `v-if="move.to !== 'finish'"`],
  [`${INSPECTORS}/UsesField.vue`, ':checked="uses.includes(capability)"', ':checked="!uses.includes(capability)"'],
  [`${INSPECTORS}/ReactionInspector.vue`, 'v-if="by.length > 1"', 'v-if="by.length > 0"'],
  [`${INSPECTORS}/GateField.vue`, `part === 'hold' ? 'do not let go of'`, `part === 'next' ? 'do not let go of'`],
  [`${INSPECTORS}/ProbeNote.vue`, 'v-if="!move.probe?.never"', 'v-if="move.probe?.never"'],
]
/** Faults of all that must be noticed. */
const NEEDED = 0.8

/** Whether a test fails while `from` in a file says `to`. Throws where the file no longer says `from` exactly once. */
function isNoticed([file, from, to]) {
  const source = readFileSync(file, 'utf8')
  if (source.split(from).length !== 2) throw new Error(`${file} should say once: ${from}`)
  writeFileSync(`${COPY}/${file}`, source.replace(from, to))
  const args = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', '--silent', '--bail']
  const run = spawnSync('node', [...args, '--findRelatedTests', file], { cwd: COPY })
  writeFileSync(`${COPY}/${file}`, source)
  return run.status !== 0
}

/** Prints which faults nothing noticed; true when enough were. */
export function tryTemplates() {
  rmSync(COPY, { recursive: true, force: true })
  mkdirSync(COPY, { recursive: true })
  for (const path of COPIED) cpSync(path, `${COPY}/${path}`, { recursive: true })
  symlinkSync('../../node_modules', `${COPY}/node_modules`)
  const missed = FAULTS.filter((fault) => !isNoticed(fault))
  for (const [file, from, to] of missed) console.log(`  Survived: ${file}  ${from}  →  ${to || 'nothing'}`)
  rmSync(COPY, { recursive: true })
  console.log(`templates: ${FAULTS.length - missed.length} of ${FAULTS.length} faults noticed`)
  return missed.length <= FAULTS.length * (1 - NEEDED)
}
