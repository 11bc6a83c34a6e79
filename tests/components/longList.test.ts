import { flushPromises, mount } from '@vue/test-utils'
import { h } from 'vue'
import LongList from '../../src/components/LongList.vue'
import MoreButton from '../../src/components/MoreButton.vue'

function listOf(length: number) {
  const scroller = document.createElement('div')
  // Nothing has a size here: the part that scrolls shows twenty rows.
  const offsetHeight = { configurable: true, get: (): number => 28 }
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', offsetHeight)
  Object.defineProperty(scroller, 'clientHeight', { value: 560 })
  const items = Array.from({ length }, (_, i) => `row ${i}`)
  const props = { items, keyOf: (item: string) => item, rowHeight: 28, scroller }
  const wrapper = mount(LongList as never, {
    props: props as never,
    slots: { default: ({ item }: { item: string }) => h('a', item) },
    attachTo: document.body.appendChild(scroller),
  })
  return { wrapper, rows: () => wrapper.findAll('a').map((row) => row.text()) }
}

describe('a list in a part that scrolls', () => {
  it('is drawn whole while it is short', () => {
    const { rows } = listOf(200)
    expect([rows().length, rows()[0], rows()[199]]).toEqual([200, 'row 0', 'row 199'])
  })

  it('is drawn as far as it is seen where it is long, with room for the rest', async () => {
    const { wrapper, rows } = listOf(2_000)
    await flushPromises()
    expect(rows()[0]).toBe('row 0')
    expect(rows().length).toBeGreaterThan(15)
    expect(rows().length).toBeLessThan(100)
    const { paddingTop, paddingBottom } = (wrapper.element as HTMLElement).style
    expect(parseFloat(paddingTop)).toBe(0)
    expect(parseFloat(paddingBottom)).toBe((2_000 - rows().length) * 28)
  })
})

describe('the button under a list', () => {
  const button = (shown: number, of: number) => {
    const set: number[] = []
    const wrapper = mount(MoreButton, {
      props: { few: 5, of, modelValue: shown, 'onUpdate:modelValue': (n: number) => void set.push(n) },
    })
    return { wrapper, set }
  }

  it('is there only where there is more than a few', () => {
    expect(button(5, 5).wrapper.find('button').exists()).toBe(false)
  })

  it.each([
    [5, 40, 'All 40', 40],
    [5, 900, '100 more of 900', 105],
    [850, 900, 'All 900', 900],
    [900, 900, 'Fewer', 5],
  ])('with %i of %i shown says %j', async (shown, of, says, then) => {
    const { wrapper, set } = button(shown, of)
    expect(wrapper.text()).toBe(says)
    await wrapper.get('button').trigger('click')
    expect(set).toEqual([then])
  })
})
