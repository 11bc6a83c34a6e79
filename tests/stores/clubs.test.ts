import 'fake-indexeddb/auto'
import { readFileSync } from 'node:fs'
import { nextTick } from 'vue'
import { tallyRound } from '../../src/core/chart/edits/positionalRounds'
import { addPeople, removePerson, setPerson } from '../../src/core/club/edits/people'
import { makeDocument } from '../../src/core/document/read'
import { adjusted } from '../../src/core/match/adjust'
import { everythingKept } from '../../src/storage/everything'
import { useActing } from '../../src/stores/acting'
import { useClubs } from '../../src/stores/clubs'
import { logged, played } from '../../src/stores/estimates'
import { wantEstimates } from '../../src/stores/wantEstimates'
import { demoPlan } from '../fixtures/demoPlan'
import { beginTest, openTab, turns } from './tab'

const DEMO = readFileSync('demo/tern-street.ataque-club.json', 'utf8')

async function openClubs() {
  const charts = await openTab()
  const clubs = useClubs()
  await clubs.start()
  return { charts, clubs }
}

beforeEach(beginTest)

describe('the club', () => {
  it('is made, changed, undone, and there again in the next tab', async () => {
    const { clubs } = await openClubs()
    expect(clubs.club).toBeNull()
    await clubs.create('North hall')
    clubs.edit('Add', (draft) => void addPeople(draft, ['Ana', 'Bo']))
    clubs.edit('Age', (draft) => setPerson(draft, 'bo', 'ageBand', '10-13'))
    expect(clubs.undo()).toBe(true)
    await turns()
    const { clubs: next } = await openClubs()
    expect(next.club?.people).toEqual([
      { id: 'ana', name: 'Ana' },
      { id: 'bo', name: 'Bo' },
    ])
    expect(next.steps).toEqual({ undo: 'Add', redo: 'Age' })
  })

  it('is taken in from a file, under another id where its own is taken; what is broken is refused by name', async () => {
    const { clubs } = await openClubs()
    expect((await clubs.importText(DEMO))?.ok).toBe(true)
    expect((await clubs.importText(DEMO))?.ok).toBe(true)
    expect(clubs.entries.map(({ id }) => id).sort()).toEqual(['tern-street', 'tern-street-2'])
    expect(clubs.club?.id).toBe('tern-street-2')
    const broken = JSON.parse(DEMO) as { people: { weight: unknown }[] }
    broken.people[2]!.weight = 'heavy'
    const refused = await clubs.importText(JSON.stringify(broken))
    expect(refused?.ok === false && refused.problems[0]?.path).toEqual(['people', 2, 'weight'])
    expect(clubs.club?.id).toBe('tern-street-2')
    expect(JSON.parse(clubs.exportText()).people).toHaveLength(14)
    expect(await clubs.open('tern-street')).toBe(true)
    expect(await clubs.open('nowhere')).toBe(false)
  })

  it('deletes somebody for good: out of the document, its steps, what is kept and what is given away', async () => {
    const { clubs } = await openClubs()
    await clubs.importText(DEMO)
    clubs.edit('Weight of Bram', (draft) => setPerson(draft, 'bram', 'weight', 90))
    clubs.edit('Not with', (draft) => setPerson(draft, 'odile', 'notWith', ['bram']))
    clubs.edit('Age', (draft) => setPerson(draft, 'kofi', 'weight', 83))
    clubs.undo()
    await turns()
    expect(await everythingKept()).toMatch(/bram/i)
    expect(await clubs.editForGood('Delete somebody', (draft) => removePerson(draft, 'bram'))).toBe(true)
    expect(clubs.steps).toEqual({ undo: undefined, redo: undefined })
    expect(await everythingKept()).not.toMatch(/bram/i)
    expect(clubs.exportText()).not.toMatch(/bram/i)
    // What comes after can be undone as ever, and a new tab finds it so.
    clubs.edit('Age again', (draft) => setPerson(draft, 'kofi', 'weight', 82))
    await turns()
    const { clubs: next } = await openClubs()
    expect(next.steps.undo).toBe('Age again')
    next.undo()
    expect(next.club?.people.some(({ id }) => id === 'bram')).toBe(false)
    expect(next.steps.undo).toBeUndefined()
    expect(next.club?.rounds).toHaveLength(JSON.parse(DEMO).rounds.length)
  })

  it('deletes somebody for good also where another tab has written in between', async () => {
    const { clubs: first } = await openClubs()
    await first.importText(DEMO)
    const { clubs: second } = await openClubs()
    second.edit('Notes', (draft) => setPerson(draft, 'bram', 'notes', 'Bram likes it hard'))
    await turns()
    await first.editForGood('Delete somebody', (draft) => removePerson(draft, 'bram'))
    await turns()
    expect(await everythingKept()).not.toMatch(/bram/i)
  })

  it('tells why an edit is refused, and changes nothing', async () => {
    const { charts, clubs } = await openClubs()
    await clubs.create('North hall')
    expect(clubs.edit('Nobody', (draft) => setPerson(draft, 'zed', 'weight', 70))).toBe(false)
    await nextTick()
    expect(charts.news).toMatchObject({ kind: 'warning', text: expect.stringContaining('there is nobody "zed"') })
    clubs.edit('Add', (draft) => void addPeople(draft, ['Ana']))
    expect(clubs.edit('Too light', (draft) => setPerson(draft, 'ana', 'weight', 1))).toBe(false)
    expect(clubs.club?.people).toEqual([{ id: 'ana', name: 'Ana' }])
  })

  it('has what was logged count for the chart it is of, and for no other', async () => {
    const plan = demoPlan()
    const { clubs } = await openClubs()
    expect(played.value(plan)).toBe(plan)
    await clubs.importText(DEMO)
    await nextTick()
    const after = played.value(plan)
    expect(after).not.toBe(plan)
    expect(played.value(plan)).toBe(after)
    const log = { tries: clubs.club!.tries, now: new Date().toISOString().slice(0, 10) }
    // What was tallied on the plan is in the log, and counts there alone.
    const untallied = <R extends { tries?: object }>(one: R): R =>
      one.tries && 'tallies' in one.tries ? { ...one, tries: { ...one.tries, tallies: [] } } : one
    const alone = { ...plan, moves: plan.moves.map(untallied), answers: plan.answers.map(untallied) }
    expect(after).toEqual(adjusted(alone, { us: null, them: null, log }))
    expect(logged.value?.of(plan.id)).toBe(clubs.club!.tries.filter(({ isPartial }) => !isPartial).length)
    const other = { ...plan, id: 'another' }
    expect([played.value(other), logged.value?.of('another')]).toEqual([other, 0])
    await clubs.create('Nobody yet')
    await nextTick()
    expect(played.value(plan)).toBe(plan)
  })

  it('takes in what is tallied on the chart, at once and when more is; what is taken back stays so', async () => {
    const { charts, clubs } = await openClubs()
    await clubs.create('North hall')
    await charts.add({ ...demoPlan(), id: 'plan' })
    await nextTick()
    const before = clubs.club!.tries.length
    expect(before).toBeGreaterThan(20)
    const card = charts.chart!.cards![0]!.id
    charts.edit('Tally', (draft) => tallyRound(draft, card, true, '2026-11-24'))
    await nextTick()
    expect(clubs.club!.tries.length).toBe(before + 1)
    expect(clubs.club!.tries.at(-1)).toMatchObject({ outcome: 'lands', when: '2026-11-24', tallied: '2026-11-24' })
    expect(clubs.undo()).toBe(true)
    await nextTick()
    expect(clubs.club!.tries.length).toBe(before)
  })

  it('is not read where there is none', async () => {
    await openTab()
    expect(wantEstimates()).toBeNull()
  })

  it('is what Undo is about while its screens are shown', async () => {
    const { charts, clubs } = await openClubs()
    await charts.create('A plan')
    await clubs.create('North hall')
    const acting = useActing()
    expect(acting.steps).toEqual(charts.steps)
    const { effectScope } = await import('vue')
    const screen = effectScope()
    screen.run(() => clubs.onScreen())
    clubs.edit('Add', (draft) => void addPeople(draft, ['Ana']))
    expect(acting.steps).toEqual({ undo: 'Add' })
    expect(acting.undo()).toBe(true)
    expect(acting.redo()).toBe(true)
    expect(clubs.club?.people).toHaveLength(1)
    await acting.retry()
    expect(acting.unsaved).toEqual([])
    screen.stop()
    expect(acting.steps).toEqual(charts.steps)
    expect(makeDocument(clubs.club!)).toContain('Ana')
  })
})
