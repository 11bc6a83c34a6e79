import { mount, RouterLinkStub } from '@vue/test-utils'
import CautionLines from '../../src/components/CautionLines.vue'
import HazardBadge from '../../src/components/HazardBadge.vue'
import LooseRing from '../../src/components/LooseRing.vue'
import NetMark from '../../src/components/NetMark.vue'
import TabLinks from '../../src/components/TabLinks.vue'
import { dragged, letterOf, tryWidth, TypedDigits } from '../../src/components/tryParts'

describe('marks', () => {
  it.each([
    [0.14, 'trap', '+14'],
    [0.03, 'trap', '+3'],
    [0.029, 'even', '+2.9'],
    [-0.029, 'even', '−2.9'],
    [-0.03, 'leak', '−3'],
    [-0.09, 'leak', '−9'],
  ])('a net of %f is a %s, in shape and in words', (net, kind, text) => {
    const wrapper = mount(NetMark, { props: { net, noteworthy: 0.03 } })
    expect(wrapper.classes()).toContain(kind)
    expect(wrapper.get('.readers-only').text()).toBe(kind)
    expect(wrapper.text()).toContain(text)
    expect(wrapper.attributes('data-tip')).toContain(`${kind}: `)
    const shapes = { trap: /^M6 1 /, leak: /^M6 11 /, even: /^M1 5/ }
    expect(wrapper.get('path').attributes('d')).toMatch(shapes[kind as keyof typeof shapes])
  })

  it('a hazard says what and how fast; a loose end is the only ring', () => {
    expect(mount(HazardBadge, { props: { part: 'elbow' } }).text()).toBe('Caution: elbow')
    expect(mount(HazardBadge, { props: { part: 'elbow', speed: 'fast' } }).text()).toBe('Caution: elbow, fast')
    const ring = mount(LooseRing, { props: { text: 'no answer' } })
    expect([ring.text(), ring.findAll('circle').length]).toEqual(['no answer', 1])
  })

  it('cautions are a list, and nothing where there is none', () => {
    expect(mount(CautionLines, { props: { lines: ['Neck: choke.', 'Tap early.'] } }).findAll('li')).toHaveLength(2)
    expect(
      mount(CautionLines, { props: { lines: [] } })
        .find('ul')
        .exists(),
    ).toBe(false)
  })

  it('tabs say which one is shown', () => {
    const tabs = ['chain', 'beat'].map((key) => ({ key, to: `/runs/${key}`, name: key }))
    const wrapper = mount(TabLinks, {
      props: { label: 'Runs', tabs, at: 'beat' },
      global: { stubs: { RouterLink: RouterLinkStub } },
    })
    expect(wrapper.findAllComponents(RouterLinkStub).map((one) => one.props('to'))).toEqual([
      '/runs/chain',
      '/runs/beat',
    ])
    expect(wrapper.findAll('a').map((one) => one.attributes('aria-current'))).toEqual([undefined, 'true'])
  })
})

describe('the parts of a strip', () => {
  it('have letters that go on after Z', () => {
    expect([0, 25, 26, 27, 51, 52].map(letterOf)).toEqual(['A', 'Z', 'AA', 'AB', 'AZ', 'BA'])
  })

  it('are as wide as twelve tries at the most, and never too small to see', () => {
    expect([0, 5, 12, 24, 1000].map((total) => tryWidth(total, 30))).toEqual([30, 30, 30, 15, 4])
  })

  it('give and take no more than there is', () => {
    expect([dragged(4, 3, 2), dragged(4, 3, 9), dragged(4, 3, -9), dragged(0, 0, 1)]).toEqual([
      [6, 1],
      [7, 0],
      [0, 7],
      [0, 0],
    ])
  })

  it('take digits within a second for one number, and begin anew above a thousand', () => {
    const digits = new TypedDigits()
    const typed = (text: string, from: number) => [...text].map((digit, i) => digits.type(digit, from + i * 100))
    expect(typed('1000', 0)).toEqual([1, 10, 100, 1000])
    expect(digits.type('5', 400)).toBe(5)
    expect([digits.type('1', 1400), digits.type('2', 2399)]).toEqual([1, 12])
  })
})
