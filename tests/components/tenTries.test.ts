import { mount } from '@vue/test-utils'
import TenTries from '../../src/components/TenTries.vue'
import type { TryPart } from '../../src/components/tryParts'

const parts: TryPart[] = [
  { key: 'lands', kind: 'lands', count: 4, label: 'lands' },
  { key: 'reaction bridge', kind: 'reaction', count: 3, label: 'Bridges', letter: 'A' },
  { key: 'stalls', kind: 'stalls', count: 3, label: 'nothing' },
]
const strip = () => mount(TenTries, { props: { parts, name: 'Americana' }, attachTo: document.body })
const part = (wrapper: ReturnType<typeof strip>, i: number) => wrapper.findAll('[role=spinbutton]')[i]

describe('the strip of ten tries', () => {
  it('says each part, its count and the total to a reader', () => {
    const wrapper = strip()
    expect(wrapper.get('[role=group]').attributes('aria-label')).toBe('Tries of Americana')
    expect(part(wrapper, 1).attributes()).toMatchObject({
      'aria-label': 'Americana: Bridges',
      'aria-valuenow': '3',
      'aria-valuetext': '3 of 10 tries',
    })
    expect(wrapper.get('.total').text()).toBe('10 tries')
  })

  it('changes a count by arrows and signs, never below 0', async () => {
    const wrapper = strip()
    const keys = ['ArrowRight', 'ArrowUp', '+', 'ArrowLeft', 'ArrowDown', '-', 'Delete', 'Backspace']
    for (const key of keys) await part(wrapper, 0).trigger('keydown', { key })
    expect(wrapper.emitted('set')!.map(([counts]) => counts)).toEqual([
      ...[5, 5, 5, 3, 3, 3, 0, 0].map((lands) => ({ lands })),
    ])
    await wrapper.setProps({ parts: parts.map((one) => ({ ...one, count: 0 })) })
    await part(wrapper, 0).trigger('keydown', { key: '-' })
    expect(wrapper.emitted('set')).toHaveLength(8)
  })

  it('leaves keys of the browser and of the screen alone', async () => {
    const wrapper = strip()
    for (const init of [{ key: 'x' }, { key: 'ArrowUp', altKey: true }, { key: '+', ctrlKey: true }]) {
      await part(wrapper, 0).trigger('keydown', init)
    }
    expect(wrapper.emitted('set')).toBeUndefined()
  })

  it('takes digits that follow each other soon for one number, by when they were typed', async () => {
    const wrapper = strip()
    const type = (key: string, timeStamp: number) => {
      const event = new KeyboardEvent('keydown', { key, bubbles: true })
      Object.defineProperty(event, 'timeStamp', { value: timeStamp })
      part(wrapper, 0).element.dispatchEvent(event)
    }
    type('1', 1000)
    type('2', 1400)
    type('7', 9000)
    expect(wrapper.emitted('set')).toEqual([
      [{ lands: 1 }, 'type lands'],
      [{ lands: 12 }, 'type lands'],
      [{ lands: 7 }, 'type lands'],
    ])
  })

  it('has a button for one more and one less of each', async () => {
    const wrapper = strip()
    await wrapper.get('[aria-label="One more: Bridges"]').trigger('click')
    await wrapper.get('[aria-label="One less: Bridges"]').trigger('click')
    expect(wrapper.emitted('set')).toEqual([
      [{ 'reaction bridge': 4 }, undefined],
      [{ 'reaction bridge': 2 }, undefined],
    ])
  })

  it('moves tries from one side of a boundary to the other while it is dragged, as one step', async () => {
    const wrapper = strip()
    expect(wrapper.findAll('.seam')).toHaveLength(parts.length - 1)
    const seam = wrapper.findAll('.seam')[0]
    seam.element.setPointerCapture = () => undefined
    await seam.trigger('pointerdown', { clientX: 100, pointerId: 1 })
    await seam.trigger('pointermove', { clientX: 100 + 2 * 30 })
    await seam.trigger('pointermove', { clientX: 100 - 9 * 30 })
    await seam.trigger('pointerup')
    await seam.trigger('pointermove', { clientX: 300 })
    const [first, second, ...more] = wrapper.emitted('set')!
    expect(first).toEqual([{ lands: 6, 'reaction bridge': 1 }, second[1]])
    expect(second).toEqual([{ lands: 0, 'reaction bridge': 7 }, expect.stringMatching(/^drag \d+$/)])
    expect(more).toEqual([])
  })

  it('draws a pip a try, the letter of a reaction on it, and one bar where there are very many', async () => {
    const wrapper = strip()
    expect(
      wrapper
        .findAll('.part')[1]
        .findAll('.pip')
        .map((pip) => pip.text()),
    ).toEqual(['A', 'A', 'A'])
    await wrapper.setProps({
      parts: [
        { ...parts[0], count: 61 },
        { ...parts[1], count: 0 },
        { ...parts[2], count: 1.5 },
      ],
    })
    expect(wrapper.findAll('.part').map((one) => one.findAll('.pip').length)).toEqual([1, 1, 2])
    expect(wrapper.findAll('.part')[0].get('.pip').classes()).toContain('many')
    expect(wrapper.findAll('.part')[1].classes()).toContain('none')
  })
})
