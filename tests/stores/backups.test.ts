import 'fake-indexeddb/auto'
import { nextTick } from 'vue'
import { setTitle } from '../../src/core/chart/edits/fields'
import { readBackup } from '../../src/core/files/backup'
import { useBackups } from '../../src/stores/backups'
import { useRestoring } from '../../src/stores/restoring'
import { taken } from '../reference/taken'
import { LocalChannel } from './localChannel'
import { beginTest, openTab, sound, turns } from './tab'

beforeEach(() => {
  beginTest()
  Object.assign(globalThis, { BroadcastChannel: LocalChannel })
})

describe('backups', () => {
  it('are due after two weeks with changes, or after many changes; until then nobody is reminded', async () => {
    const charts = await openTab()
    const backups = useBackups()
    await charts.add(sound())
    await turns()
    await backups.look()
    expect([backups.isDue, backups.changes, backups.days]).toEqual([false, 0, 0])
    charts.edit('Rename', (draft) => setTitle(draft, 'Renamed'))
    await turns()
    await backups.look()
    expect([backups.isDue, backups.changes > 0]).toEqual([false, true])
    const { last } = backups
    backups.last = { ...last, at: last.at - 15 * 86_400_000 }
    expect([backups.isDue, backups.days]).toEqual([true, 15])
    backups.putOff()
    expect(backups.isDue).toBe(false)
    backups.last = { ...last, writes: last.writes - 300 }
    expect(backups.isDue).toBe(true)
    await backups.make()
    backups.keep()
    expect([backups.isDue, backups.changes, backups.days]).toEqual([false, 0, 0])
  })

  it('bring back what was changed as one step that can be undone, and what is gone', async () => {
    const charts = await openTab()
    const backups = useBackups()
    await charts.add(sound())
    await charts.create('Other')
    await turns()
    const backup = taken(readBackup((await backups.make()).bytes))
    await charts.forget('other')
    await charts.open('sound')
    charts.edit('Rename', (draft) => setTitle(draft, 'Renamed'))
    await turns()
    const { restoring, restore } = useRestoring()
    const found = await restoring(backup)
    expect(found.map(({ document, state }) => [document.id, state]).toSorted()).toEqual([
      ['other', 'new'],
      ['sound', 'differs'],
    ])
    expect(await restore(found, 'Restore')).toEqual({ ok: true, value: null })
    await turns()
    await turns()
    expect([charts.chart?.title, charts.steps.undo]).toEqual(['Sound', 'Restore'])
    expect(charts.kept.map(({ title }) => title).toSorted()).toEqual(['Other', 'Sound'])
    charts.undo()
    await nextTick()
    expect(charts.chart?.title).toBe('Renamed')
    await turns()
    expect((await restoring(backup)).filter(({ state }) => state === 'differs')).toHaveLength(1)
    // One that is not open is put back beneath, as a step as well.
    await charts.open('other')
    expect(await restore(await restoring(backup), 'Restore')).toEqual({ ok: true, value: null })
    await charts.open('sound')
    expect([charts.chart?.title, charts.steps.undo]).toEqual(['Sound', 'Restore'])
  })
})
