import { produce } from 'immer'
import { CLUB_KIND, emptyClub, type Club } from '../../../src/core/club/clubKind'
import { addBout, removeBout, score, setBout, toggleBout } from '../../../src/core/club/edits/bouts'
import { addPeople, removePerson, setPerson } from '../../../src/core/club/edits/people'
import { spentIn } from '../../../src/core/club/live/clock'
import { checkDocument } from '../../../src/core/document/read'

const DAY = '2026-11-28'
const made = (change: (draft: Club, id: string) => void = () => undefined) =>
  produce(emptyClub('tern', 'Tern'), (draft) => {
    addPeople(draft, ['Ana', 'Bo'])
    change(draft, addBout(draft, 'ana', DAY))
  })

describe('a match of an athlete’s', () => {
  it('begins with the cues, the rules and the time of their last one', () => {
    const club = made((draft, id) => {
      setBout(draft, id, 'cues', ['Elbows in', 'Breathe'])
      setBout(draft, id, 'rules', 'gi-points')
      setBout(draft, id, 'seconds', 360)
      addBout(draft, 'ana', DAY)
      addBout(draft, 'bo', DAY)
    })
    expect(club.bouts?.map(({ id, cues, rules, seconds }) => [id, cues, rules, seconds])).toEqual([
      ['ana-2026-11-28', ['Elbows in', 'Breathe'], 'gi-points', 360],
      ['ana-2026-11-28-2', ['Elbows in', 'Breathe'], 'gi-points', 360],
      ['bo-2026-11-28', [], 'gi-points', 360],
    ])
    expect(checkDocument(CLUB_KIND, club)).toEqual([])
  })

  it('keeps its clock by the wall, and both scores, never under 0', () => {
    const club = made((draft, id) => {
      toggleBout(draft, id, 1000)
      toggleBout(draft, id, 61_000)
      score(draft, id, 'ours', 3)
      score(draft, id, 'ours', -1)
      score(draft, id, 'theirs', -1)
    })
    expect(club.bouts?.[0]).toMatchObject({ ran: 60_000, ours: 2, theirs: 0 })
    expect(club.bouts?.[0]?.since).toBeUndefined()
    const on = produce(club, (draft) => toggleBout(draft, draft.bouts![0].id, 100_000))
    expect(spentIn(on.bouts![0], 130_000)).toBe(90_000)
  })

  it('keeps nothing of whom a minor meets, and is gone with its athlete', () => {
    const club = made((draft, id) => setBout(draft, id, 'opponent', 'a tall one'))
    expect(club.bouts?.[0]?.opponent).toBe('a tall one')
    const minor = produce(club, (draft) => setPerson(draft, 'ana', 'ageBand', '14-17'))
    const id = minor.bouts![0].id
    expect(() => produce(minor, (draft) => setBout(draft, id, 'opponent', 'another'))).toThrow('whom a minor meets')
    expect(produce(minor, (draft) => setBout(draft, id, 'opponent', undefined)).bouts?.[0]).not.toHaveProperty(
      'opponent',
    )
    expect(produce(club, (draft) => removePerson(draft, 'ana')).bouts).toEqual([])
    expect(produce(club, (draft) => removeBout(draft, id)).bouts).toEqual([])
    expect(() => produce(club, (draft) => removeBout(draft, 'gone'))).toThrow('there is no match')
  })

  it('names somebody who is there, and three cues at most', () => {
    const four = made((draft, id) => setBout(draft, id, 'cues', ['a', 'b', 'c', 'd']))
    expect(checkDocument(CLUB_KIND, four).map(({ path }) => path.join('.'))).toEqual(['bouts.0.cues'])
    const nobody = made((draft) => void (draft.bouts![0].athlete = 'zed'))
    expect(checkDocument(CLUB_KIND, nobody).map(({ path }) => path.join('.'))).toEqual(['bouts.0.athlete'])
  })
})
