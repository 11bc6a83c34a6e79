import { mount, type VueWrapper } from '@vue/test-utils'
import ComboList, { type Choice } from '../../src/components/ComboList.vue'
import InlineText from '../../src/components/InlineText.vue'
import NotationInput from '../../src/components/NotationInput.vue'
import NotesField from '../../src/components/NotesField.vue'
import ProbeFields from '../../src/components/ProbeFields.vue'
import SecondsField from '../../src/components/SecondsField.vue'
import SteadyInput from '../../src/components/SteadyInput.vue'
import TokenField from '../../src/components/TokenField.vue'

Element.prototype.scrollIntoView = () => undefined
const press = (wrapper: VueWrapper, selector: string, key: string, init: object = {}) =>
  wrapper.get(selector).trigger('keydown', { key, ...init })

describe('a text edited where it stands', () => {
  const text = (props: object = {}) =>
    mount(InlineText, { props: { value: 'Kimura', label: 'Name', ...props }, attachTo: document.body })

  it('says what it is, and what it is without a value', () => {
    expect(text().get('[role=button]').attributes('aria-label')).toBe('Name: Kimura')
    expect(text({ value: '', placeholder: 'none yet' }).get('[role=button]').attributes('aria-label')).toBe(
      'Name: none yet',
    )
    expect(text({ value: '' }).get('[role=button]').attributes('aria-label')).toBe('Name: none')
    expect([text({ placeholder: 'none yet' }).text(), text({ value: '', placeholder: 'none yet' }).text()]).toEqual([
      'Kimura',
      'none yet',
    ])
  })

  it.each([
    ['click', {}],
    ['keydown', { key: 'Enter' }],
    ['keydown', { key: 'F2' }],
    ['keydown', { key: ' ' }],
  ])('begins with %s %j, with all of it selected', async (name, init) => {
    const wrapper = text()
    await wrapper.get('[role=button]').trigger(name, init)
    const field = wrapper.get('input').element
    await wrapper.vm.$nextTick()
    expect([document.activeElement, field.selectionStart, field.selectionEnd]).toEqual([field, 0, 6])
  })

  it('keeps on Enter and on leaving, once, without spaces around; gives up on Escape', async () => {
    const wrapper = text()
    await wrapper.get('[role=button]').trigger('click')
    await wrapper.get('input').setValue('  Americana ')
    await press(wrapper, 'input', 'Enter')
    await wrapper.vm.$nextTick()
    expect(wrapper.emitted('change')).toEqual([['Americana']])
    expect(document.activeElement).toBe(wrapper.get('[role=button]').element)
    await wrapper.get('[role=button]').trigger('click')
    await wrapper.get('input').setValue('Armbar')
    await wrapper.get('input').trigger('blur')
    expect(wrapper.emitted('change')).toEqual([['Americana'], ['Armbar']])
    await wrapper.get('[role=button]').trigger('click')
    await wrapper.get('input').setValue('Choke')
    await press(wrapper, 'input', 'Escape')
    await wrapper.vm.$nextTick()
    expect([wrapper.find('input').exists(), wrapper.emitted('change')!.length]).toEqual([false, 2])
    expect(document.activeElement).toBe(wrapper.get('[role=button]').element)
    await wrapper.get('[role=button]').trigger('click')
    expect(wrapper.get('input').element.value).toBe('Kimura')
    await press(wrapper, 'input', 'x')
    expect(wrapper.find('input').exists()).toBe(true)
  })

  it('says nothing of what did not change, nor of nothing where something is required', async () => {
    const wrapper = text({ required: true })
    for (const typed of ['Kimura', '   ']) {
      await wrapper.get('[role=button]').trigger('click')
      await wrapper.get('input').setValue(typed)
      await press(wrapper, 'input', 'Enter')
    }
    expect(wrapper.emitted('change')).toBeUndefined()
    const free = text()
    await free.get('[role=button]').trigger('click')
    await free.get('input').setValue('')
    await press(free, 'input', 'Enter')
    expect(free.emitted('change')).toEqual([['']])
  })

  it('has lines where it is long: Shift and Enter begins one', async () => {
    const wrapper = text({ multiline: true })
    await wrapper.get('[role=button]').trigger('click')
    await press(wrapper, 'textarea', 'Enter', { shiftKey: true })
    expect(wrapper.find('textarea').exists()).toBe(true)
    await wrapper.get('textarea').setValue('a\nb')
    await press(wrapper, 'textarea', 'Enter')
    expect(wrapper.emitted('change')).toEqual([['a\nb']])
  })

  it('offers limbs where it knows some', async () => {
    const wrapper = text({ tokens: ['{our top hook}', '{our bottom hook}'] })
    await wrapper.get('[role=button]').trigger('click')
    expect(wrapper.findComponent(TokenField).exists()).toBe(true)
    await wrapper.get('input').setValue('Hold {our b')
    await press(wrapper, 'input', 'Enter')
    await press(wrapper, 'input', 'Enter')
    expect(wrapper.emitted('change')).toEqual([['Hold {our bottom hook}']])
  })
})

describe('a field with limbs after a brace', () => {
  const tokens = ['{our top hook}', '{our bottom hook}', '{their chin}']
  const make = () => mount(TokenField, { props: { label: 'Text', tokens, modelValue: '' }, attachTo: document.body })
  const options = (wrapper: VueWrapper) => wrapper.findAll('[role=option]').map((one) => one.text())

  it('offers those that fit what was typed, and takes the chosen one', async () => {
    const wrapper = make()
    await wrapper.get('input').setValue('with {hook')
    await wrapper.setProps({ modelValue: 'with {hook' })
    expect(options(wrapper)).toEqual(['our top hook', 'our bottom hook'])
    await press(wrapper, 'input', 'ArrowDown')
    expect(wrapper.get('[aria-selected=true]').text()).toBe('our bottom hook')
    await press(wrapper, 'input', 'ArrowDown')
    await press(wrapper, 'input', 'ArrowUp')
    await press(wrapper, 'input', 'Tab')
    expect(wrapper.emitted('update:modelValue')!.at(-1)).toEqual(['with {our bottom hook}'])
  })

  it('closes the offers with Escape first, and only then gives up', async () => {
    const wrapper = make()
    await wrapper.get('input').setValue('{')
    await wrapper.setProps({ modelValue: '{' })
    expect(options(wrapper)).toHaveLength(3)
    await press(wrapper, 'input', 'Escape')
    expect([options(wrapper), wrapper.emitted('escape')]).toEqual([[], undefined])
    await press(wrapper, 'input', 'Escape')
    await press(wrapper, 'input', 'Enter')
    await wrapper.get('input').trigger('blur')
    expect(Object.keys(wrapper.emitted())).toEqual(expect.arrayContaining(['escape', 'enter', 'leave']))
  })

  it('takes one that is pressed', async () => {
    const wrapper = make()
    await wrapper.get('input').setValue('{their')
    await wrapper.setProps({ modelValue: '{their' })
    await wrapper.get('[role=option]').trigger('click')
    expect(wrapper.emitted('update:modelValue')!.at(-1)).toEqual(['{their chin}'])
  })
})

describe('a field with a list under it', () => {
  const all = ['Mount', 'Side control', 'Back']
  const find = (text: string): Choice[] =>
    all
      .filter((name) => name.toLowerCase().includes(text.toLowerCase()))
      .map((name) => ({ key: name, value: name, id: name, hint: 'x' }))
  const make = (floating = false) =>
    mount(ComboList, { props: { label: 'Position', find, floating }, attachTo: document.body })
  const picked = (wrapper: VueWrapper) => wrapper.emitted<[Choice]>('pick')?.map(([{ value }]) => value)

  it('has the focus at once; Enter takes the first of those that fit', async () => {
    const wrapper = make()
    expect(document.activeElement).toBe(wrapper.get('input').element)
    await wrapper.get('input').setValue('co')
    await press(wrapper, 'input', 'Enter')
    expect(picked(wrapper)).toEqual(['Side control'])
  })

  it('keeps an Enter that comes before what can be found, and says of nothing that it is not there yet', async () => {
    const wrapper = mount(ComboList, { props: { label: 'Position', find: () => [], waits: true } })
    await wrapper.get('input').setValue('co')
    await press(wrapper, 'input', 'Enter')
    expect([picked(wrapper), wrapper.text()]).toEqual([undefined, ''])
    await wrapper.setProps({ find, waits: false })
    expect(picked(wrapper)).toEqual(['Side control'])
  })

  it('goes round with arrows, and begins again when something else is typed', async () => {
    const wrapper = make()
    for (const key of ['ArrowUp', 'Enter', 'ArrowDown', 'Enter', 'ArrowDown']) await press(wrapper, 'input', key)
    await wrapper.get('input').setValue('b')
    await press(wrapper, 'input', 'Enter')
    expect(picked(wrapper)).toEqual(['Back', 'Mount', 'Back'])
    const active = wrapper.get('input').attributes('aria-activedescendant')
    expect(wrapper.get(`[id="${active}"]`).text()).toContain('Back')
    await wrapper.get('input').setValue('')
    await press(wrapper, 'input', 'ArrowDown')
    expect(wrapper.findAll('[role=option]').map((one) => one.attributes('aria-selected'))).toEqual([
      ...['false', 'true', 'false'],
    ])
    await press(wrapper, 'input', 'x')
    expect(picked(wrapper)).toHaveLength(3)
  })

  it('says that there is nothing, takes nothing then, and can be left', async () => {
    const wrapper = make()
    await wrapper.get('input').setValue('guard')
    for (const key of ['ArrowDown', 'ArrowUp', 'Enter', 'Escape']) await press(wrapper, 'input', key)
    expect(wrapper.text()).toContain('Nothing of that name.')
    expect([picked(wrapper), wrapper.emitted('cancel')]).toEqual([undefined, [[]]])
  })

  it('is left with the focus where it floats, and only there', async () => {
    const [fixed, floating] = [make(), make(true)]
    await fixed.get('input').trigger('blur')
    await floating.get('input').trigger('blur')
    expect([fixed.emitted('cancel'), floating.emitted('cancel')]).toEqual([undefined, [[]]])
    await floating.findAll('[role=option]')[1].trigger('click')
    expect(picked(floating)).toEqual(['Side control'])
  })
})

describe('a line of notation', () => {
  const completion = {
    from: 4,
    options: ['turns in', 'turns away'].map((insert) => ({ insert, label: insert, kind: 'reaction' as const })),
  }
  const make = (props: object = {}) =>
    mount(NotationInput, {
      props: { value: '', label: 'Say it', complete: () => completion, error: null, ...props },
      attachTo: document.body,
    })

  it('is said with Enter, and goes on with Shift and Enter', async () => {
    const wrapper = make()
    await wrapper.get('textarea').setValue('kimura [3 land]')
    await press(wrapper, 'textarea', 'Enter', { shiftKey: true })
    expect(wrapper.emitted('say')).toBeUndefined()
    await press(wrapper, 'textarea', 'Enter')
    expect(wrapper.emitted('say')).toEqual([['kimura [3 land]']])
    await press(wrapper, 'textarea', 'Escape')
    expect(wrapper.emitted('cancel')).toHaveLength(1)
  })

  it('completes names while typing: Tab takes the first, arrows another; Escape closes the offers only', async () => {
    const wrapper = make()
    const type = async (text: string) => {
      await wrapper.get('textarea').setValue(text)
      return wrapper.get('textarea')
    }
    await type('he: tu')
    expect(wrapper.findAll('[role=option]')).toHaveLength(2)
    await press(wrapper, 'textarea', 'Tab')
    expect(wrapper.get('textarea').element.value).toBe('he: turns in')
    const { element } = await type('he: tu')
    await press(wrapper, 'textarea', 'ArrowDown')
    await press(wrapper, 'textarea', 'ArrowUp')
    expect(wrapper.get('[aria-selected=true]').text()).toContain('turns away')
    await press(wrapper, 'textarea', 'x')
    expect(element.value).toBe('he: tu')
    await press(wrapper, 'textarea', 'Enter')
    await wrapper.vm.$nextTick()
    expect([element.value, element.selectionStart, element.selectionEnd]).toEqual(['he: turns away', 14, 14])
    await type('he: tu')
    await press(wrapper, 'textarea', 'Escape')
    expect([wrapper.findAll('[role=option]').length, wrapper.emitted('cancel')]).toEqual([0, undefined])
    await type('   ')
    expect(wrapper.findAll('[role=option]')).toHaveLength(0)
    await type('he: tu')
    await wrapper.findAll('[role=option]')[1].trigger('click')
    expect(wrapper.get('textarea').element.value).toBe('he: turns away')
    expect(wrapper.emitted('say')).toBeUndefined()
  })

  it('points at a mistake, with its line where there are several', async () => {
    const wrapper = make({
      value: 'a\nkimura (monut)',
      error: { line: 1, at: 8, end: 13, message: 'no such position' },
    })
    expect(wrapper.get('mark').text()).toBe('monut')
    expect(wrapper.get('[role=alert]').text()).toContain('Line 2: no such position')
    await wrapper.setProps({ value: 'kimura', error: { line: 0, at: 6, end: 6, message: 'what comes of it?' } })
    expect(wrapper.get('[role=alert]').text()).not.toContain('Line')
  })
})

describe('small fields', () => {
  it('show what stands there again once a change was taken or refused, and keep what is being typed', async () => {
    const wrapper = mount(SteadyInput, { props: { value: 5 }, attrs: { class: 'field' } })
    const field = wrapper.get('input')
    field.element.value = '9'
    await field.trigger('input')
    expect(field.element.value).toBe('9')
    await field.trigger('change')
    for (let i = 0; i < 2; i++) await wrapper.vm.$nextTick()
    expect([field.element.value, wrapper.classes()]).toEqual(['5', ['el-input', 'field']])
    expect(wrapper.emitted('change')!.at(-1)![0]).toBeInstanceOf(Event)
    await wrapper.setProps({ value: undefined })
    await wrapper.vm.$nextTick()
    expect(field.element.value).toBe('')
  })

  it('take whole seconds from 1 to 600, and say why not', async () => {
    const wrapper = mount(SecondsField, { props: { value: 5 } })
    for (const typed of ['12', '0', '601', '2.5', '600', '']) await wrapper.get('input').setValue(typed)
    expect(wrapper.emitted('change')).toEqual([[12], [600]])
    expect(wrapper.emitted('refuse')).toHaveLength(4)
    expect(wrapper.text()).not.toContain('guess')
    expect(mount(SecondsField, { props: { value: 5, guessed: true } }).text()).toContain('(a guess)')
  })

  it('pass notes on', async () => {
    const wrapper = mount(NotesField, { props: { value: undefined }, attachTo: document.body })
    await wrapper.get('[role=button]').trigger('click')
    await wrapper.get('textarea').setValue('for Tuesday')
    await press(wrapper, 'textarea', 'Enter')
    expect(wrapper.emitted('change')).toEqual([['for Tuesday']])
  })

  it('say factors, with a comma too; nothing means as usual', async () => {
    const usual = { lands: 0.4, stalls: 1.5, reactions: 1 }
    const wrapper = mount(ProbeFields, { props: { probe: { lands: 0.5, stalls: 2 }, usual } })
    const [lands, stalls, reactions] = wrapper.findAll('input')
    expect([lands.element.value, reactions.attributes('placeholder')]).toEqual(['0.5', '1'])
    for (const [field, typed] of [
      [lands, '0,3'],
      [stalls, ''],
      [reactions, '11'],
      [reactions, 'x'],
      [reactions, '10'],
    ] as const) {
      field.element.value = typed
      await field.trigger('change')
    }
    expect(wrapper.emitted('change')).toEqual([
      [{ lands: 0.3, stalls: 2 }],
      [{ lands: 0.5, stalls: undefined }],
      [{ lands: 0.5, stalls: 2, reactions: 10 }],
    ])
    expect(wrapper.emitted('refuse')).toHaveLength(2)
  })
})
