import { produce } from 'immer'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { CLUB_KIND } from '../../../src/core/club/clubKind'
import { readDocument } from '../../../src/core/document/read'
import { makeBackup, readBackup, restoringOf, type BackedUp } from '../../../src/core/files/backup'
import { problemText } from '../../../src/core/problem'
import demoClub from '../../../demo/tern-street.ataque-club.json' with { type: 'json' }
import { demoPlan } from '../../fixtures/demoPlan'
import { askPython, fileOf, withProgram } from '../../foreign/programs'
import { taken } from '../../reference/taken'

const plan = demoPlan()
const club = taken(readDocument(CLUB_KIND, demoClub))
const all: BackedUp[] = [
  { kind: 'chart', document: plan },
  { kind: 'club', document: club },
]
const bytes = makeBackup(all, Date.UTC(2026, 10, 30))

/** The archive with some of its files changed; null takes one out. */
function withFiles(files: Record<string, string | null>): Uint8Array {
  const all: Record<string, Uint8Array<ArrayBuffer>> = {}
  for (const [path, data] of Object.entries(unzipSync(bytes))) all[path] = Uint8Array.from(data)
  for (const [path, text] of Object.entries(files)) {
    if (text === null) delete all[path]
    else all[path] = Uint8Array.from(strToU8(text))
  }
  return zipSync(all)
}
const problems = (data: Uint8Array) => {
  const read = readBackup(data)
  return read.ok ? [] : read.problems.map(problemText)
}
const CHART = `chart/${plan.id}.ataque.json`

describe('a backup', () => {
  it('comes back as it was, document by document', () => {
    expect(taken(readBackup(bytes))).toEqual({ made: '2026-11-30T00:00:00.000Z', documents: all })
  })

  withProgram('python')('is read by Python, whose sums are those of the manifest', () => {
    const READ = `
import hashlib, json, sys, zipfile
with zipfile.ZipFile(sys.stdin.read()) as archive:
    manifest = json.loads(archive.read('manifest.json'))
    print(json.dumps([[f['path'], f['kind'], f['sha256'] == hashlib.sha256(archive.read(f['path'])).hexdigest(), json.loads(archive.read(f['path']))['title']] for f in manifest['files']]))`
    expect(askPython(READ, fileOf('backup.zip', bytes))).toEqual([
      [CHART, 'chart', true, plan.title],
      [`club/${club.id}.ataque-club.json`, 'club', true, club.title],
    ])
  })

  it('is refused whole where a file is gone, changed or not sound, each by its name', () => {
    expect(problems(withFiles({ [CHART]: null }))).toEqual([`${CHART}: is missing in the archive`])
    const text = strFromU8(unzipSync(bytes)[CHART]!)
    expect(problems(withFiles({ [CHART]: text.replace('Tern', 'Fern') }))).toEqual([
      `${CHART}: is not as it was when the backup was made: its checksum differs`,
    ])
    const broken = produce(plan, (draft) => void (draft.moves[0]!.to = 'nowhere' as never))
    const [problem] = problems(makeBackup([{ kind: 'chart', document: broken }], Date.UTC(2026, 0, 1)))
    expect(problem).toContain('there is no position "nowhere"')
    expect(problem).toContain(CHART)
    expect(problems(strToU8('no archive'))[0]).toMatch(/^the archive cannot be read/)
    expect(problems(withFiles({ 'manifest.json': null }))).toEqual([
      'manifest.json: is missing: this is no backup of Ataque',
    ])
    expect(problems(withFiles({ 'manifest.json': '{}' }))).toEqual([
      'manifest.json: says that this is no backup of Ataque',
    ])
    const manifest = JSON.parse(strFromU8(unzipSync(bytes)['manifest.json']!)) as { version: number; files: object[] }
    expect(problems(withFiles({ 'manifest.json': JSON.stringify({ ...manifest, version: 2 }) }))).toEqual([
      'manifest.json: this build reads version 1 of backups',
    ])
    const odd = { ...manifest, files: [{ path: CHART, kind: 'toString', sha256: '' }] }
    expect(problems(withFiles({ 'manifest.json': JSON.stringify(odd) }))).toEqual([
      'manifest.json: names a file without path, kind or checksum',
    ])
  })

  it('is refused before it is unpacked where it says that it would fill the memory', () => {
    const swollen = bytes.slice()
    const view = new DataView(swollen.buffer)
    // The size of an entry, as the directory at the end of the archive tells it.
    const directory = swollen.findLastIndex((_, i) => i + 4 <= swollen.length && view.getUint32(i, true) === 0x02014b50)
    view.setUint32(directory + 24, 301 * 1024 * 1024, true)
    expect(problems(swollen)).toEqual(['the archive cannot be read: it unpacks to more than 300 MB'])
  })

  it('says first what restoring it would change', () => {
    const backup = taken(readBackup(bytes))
    const now = produce(plan, (draft) => {
      draft.title = 'Since then'
      draft.moves[0]!.name = 'Renamed since'
      draft.positions.push({ ...draft.positions[0]!, id: 'new-since' as never })
      draft.answers.pop()
    })
    const here: BackedUp[] = [{ kind: 'chart', document: now }]
    expect(restoringOf(backup, here).map(({ state, come, change, go }) => [state, come, change, go])).toEqual([
      ['differs', 1, 2, 1],
      ['new', 0, 0, 0],
    ])
    expect(restoringOf(backup, all).map(({ state }) => state)).toEqual(['same', 'same'])
  })
})
