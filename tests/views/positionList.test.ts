import { nextTick } from 'vue'
import { addPosition } from '../../src/core/chart/edits/records'
import { useFigures } from '../../src/stores/figures'
import { demoFigures, demoPlan } from '../fixtures/demoPlan'
import { onScreen } from './screen'
import PositionList from '../../src/views/parts/PositionList.vue'

const list = () => onScreen(PositionList, () => ({}), { position: 'scarf-hold' })
type Shown = Awaited<ReturnType<typeof list>>
const rows = ({ wrapper }: Shown) => wrapper.findAll('a').map((row) => row.get('span').text())

describe('the list of positions', () => {
  it('has every position under its band, with the one that is open marked', async () => {
    const shown = await list()
    expect(rows(shown).toSorted()).toEqual(
      demoPlan()
        .positions.map(({ name }) => name)
        .toSorted(),
    )
    expect(shown.wrapper.get('[aria-current=page]').attributes('data-position')).toBe('scarf-hold')
    expect(shown.wrapper.findAll('h2').length).toBeGreaterThan(3)
  })

  it('says what each is worth, and greys that where it is of before the last change', async () => {
    const shown = await list()
    expect(shown.wrapper.find('b').exists()).toBe(false)
    const figures = useFigures()
    figures.$patch({ figures: demoFigures() })
    await nextTick()
    const worth = () => shown.wrapper.get('[data-position=scarf-hold] b')
    expect(worth().text()).toBe(String(Math.round(100 * demoFigures().positions['scarf-hold' as never].value)))
    expect(worth().classes()).not.toContain('stale')
    figures.$patch({ stale: 'the worker stopped' })
    await nextTick()
    expect(worth().classes()).toContain('stale')
  })

  it('moves a position within its band with Alt and an arrow, and stops at its ends', async () => {
    const shown = await list()
    const ids = () => shown.wrapper.findAll('a').map((row) => row.attributes('data-position'))
    const before = ids()
    const first = shown.wrapper.get('h2').element.parentElement!.nextElementSibling!.querySelector('a')!
    const { position } = first.dataset
    const press = (key: string, altKey = true) =>
      shown.wrapper.get(`[data-position="${position}"]`).trigger('keydown', { key, altKey })
    await press('ArrowUp')
    await press('ArrowDown', false)
    expect(ids()).toEqual(before)
    await press('ArrowDown')
    await nextTick()
    expect(ids().slice(0, 2)).toEqual([before[1], before[0]])
    expect((document.activeElement as HTMLElement).dataset.position).toBe(position)
  })

  it('finds by a few letters, and makes what is not there', async () => {
    const shown = await list()
    const field = shown.wrapper.get('input')
    await field.setValue('scarf')
    expect(rows(shown)[0]).toBe('Scarf hold')
    await field.setValue('qqqq zzzz')
    await field.trigger('keydown', { key: 'Enter' })
    expect(shown.chart().positions.at(-1)!.name).toMatch(/^qqqq zzzz$/i)
  })

  it('draws a long chart as far as it is seen', async () => {
    const shown = await list()
    shown.charts.edit('Many', (draft) => {
      for (let n = 0; n < 900; n++) addPosition(draft, { name: `Place ${n}`, family: 'side', ahead: 'even' })
    })
    await nextTick()
    expect(rows(shown).length).toBeLessThan(100)
  })
})
