import { produce } from 'immer'
import { mergeCharts } from '../../src/core/chart/mergeCharts'
import { sayConflict } from '../../src/core/say/merge'
import { demoPlan } from '../fixtures/demoPlan'

/** The demo with three answers to one reaction. */
const base = produce(demoPlan(), (draft) => {
  const two = draft.answers.find((one, i) => draft.answers[i + 1]?.reaction === one.reaction)!
  const had = draft.answers.filter(({ reaction }) => reaction === two.reaction).map(({ move }) => move)
  const fresh = draft.moves.find(({ id, tries }) => tries && !had.includes(id))!
  draft.answers.push({ reaction: two.reaction, move: fresh.id })
})
const all = (mine: typeof base, theirs: typeof base, side: 'mine' | 'theirs' = 'mine') =>
  mergeCharts(base, mine, theirs, () => side)
const answersTo = (id: string) => base.answers.filter(({ reaction }) => reaction === id)
const most = base.reactions.toSorted((a, b) => answersTo(b.id).length - answersTo(a.id).length)[0]!
const [first, second, third] = answersTo(most.id)
const orderOf = (chart: typeof base) =>
  chart.answers.filter(({ reaction }) => reaction === first!.reaction).map(({ move }) => move)

/** The chart with two of its answers the other way round. */
const swapped = (chart: typeof base, a: object, b: object) =>
  produce(chart, (draft) => {
    const [i, k] = [a, b].map((one) => chart.answers.indexOf(one as never)) as [number, number]
    ;[draft.answers[i], draft.answers[k]] = [draft.answers[k]!, draft.answers[i]!]
  })

describe('a merge of two charts', () => {
  it('keeps the order of answers to one reaction while the other orders those to another', () => {
    const other = base.answers.find(
      (one, i) => one.reaction !== first!.reaction && base.answers[i + 1]?.reaction === one.reaction,
    )!
    const next = base.answers[base.answers.indexOf(other) + 1]!
    const { document, conflicts } = all(swapped(base, first!, second!), swapped(base, other, next))
    expect(conflicts).toEqual([])
    expect(orderOf(document).slice(0, 2)).toEqual([second!.move, first!.move])
    const theirs = document.answers.filter(({ reaction }) => reaction === other.reaction).map(({ move }) => move)
    expect(theirs.indexOf(next.move)).toBeLessThan(theirs.indexOf(other.move))
  })

  it('asks which order stands where both have changed it', () => {
    const [mine, theirs] = [swapped(base, first!, second!), swapped(base, second!, third!)]
    const { conflicts, document } = all(mine, theirs)
    expect(conflicts.map((one) => sayConflict(one, mine, theirs).about)).toEqual(['Order of the answers'])
    expect(orderOf(document)).toEqual(orderOf(mine))
    expect(orderOf(all(mine, theirs, 'theirs').document)).toEqual(orderOf(theirs))
  })

  it('asks for what one has deleted and the other has come to need', () => {
    const place = base.positions.find(({ id }) => !base.moves.some(({ to }) => to === id))!
    const mine = produce(base, (draft) => {
      draft.positions = draft.positions.filter(({ id }) => id !== place.id)
      draft.moves = draft.moves.filter(({ from }) => from !== place.id)
      draft.answers = draft.answers.filter(({ move }) => draft.moves.some(({ id }) => id === move))
      for (const one of draft.reactions) if (one.endsIn === place.id) one.endsIn = 'over' as never
    })
    const theirs = produce(base, (draft) => {
      const one = draft.moves.find(({ from, to }) => from !== place.id && to !== 'finish')!
      one.to = place.id
    })
    const { conflicts, problems } = all(mine, theirs, 'theirs')
    expect(conflicts.map(({ list, key }) => [list, key])).toContainEqual(['positions', place.id])
    expect(problems).toEqual([])
    const chosen = all(mine, theirs)
    expect(chosen.problems.map(({ message }) => message)).toContain(`there is no position "${place.id}"`)
    const said = sayConflict(
      conflicts.find(({ key }) => key === place.id)!,
      mine,
      theirs,
    )
    expect(said).toMatchObject({ about: `${place.name} (position)`, mine: 'Not there' })
    expect(said.theirs).toMatch(/^Family /)
  })

  it('says what stands on either side by the names of records', () => {
    const [move] = base.moves
    const named = (lands: number) => produce(base, (draft) => void (draft.moves[0]!.tries = { ...move!.tries, lands }))
    const [conflict] = all(named(6), named(7)).conflicts
    const said = sayConflict(conflict!, named(6), named(7))
    expect(said.about).toBe(`${move!.name} (move): tries`)
    expect(said.mine).toMatch(/^Lands 6; /)
    const [met] = Object.keys(move!.tries!.reactions!)
    expect(said.theirs).toContain(base.reactions.find(({ id }) => id === met)!.name)
  })
})
