import { lookUp } from '../../../src/core/chart/lookUp'
import { otherChair, withoutPartner } from '../../../src/core/shelf/otherChair'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'

const shelf = joinRegions(readRegions())

describe('the other chair', () => {
  it('is linked both ways, ours with theirs', () => {
    const linked = shelf.positions.filter(({ mirror }) => mirror)
    expect(linked.length).toBeGreaterThan(30)
    for (const { id, ahead, mirror } of linked) {
      const partner = lookUp(shelf.positions, mirror)!
      expect([id, partner.mirror]).toEqual([id, id])
      expect([id, ahead === 'ours' && partner.ahead === 'ours']).toEqual([id, false])
    }
    for (const { id, mirror } of shelf.reactions)
      if (mirror) expect([id, lookUp(shelf.moves, mirror)?.id]).toEqual([id, mirror])
  })

  it('turns an attack chain into its defence: what each way out breaks, and what the attacker answers', () => {
    const sheet = otherChair(shelf, 'def-back-open-side')
    expect(sheet.map(({ attack }) => attack.from)).toEqual(sheet.map(() => 'back-under-side'))
    expect(sheet.length).toBeGreaterThan(2)
    const ways = sheet.flatMap((defence) => defence.ways)
    expect(ways.some(({ ours }) => ours?.kind === 'escape')).toBe(true)
    expect(ways.some(({ answers }) => answers.length > 0)).toBe(true)
    expect(otherChair(shelf, 'underhook-top')).toEqual([])
  })

  it('lists what has no partner', () => {
    for (const id of withoutPartner(shelf)) expect(lookUp(shelf.positions, id)).toMatchObject({ ahead: 'theirs' })
    expect(withoutPartner(shelf)).not.toContain('def-back-open-side')
  })
})
