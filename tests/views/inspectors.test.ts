import { nextTick } from 'vue'
import type { Chart } from '../../src/core/chart/chart'
import { lookUp } from '../../src/core/chart/lookUp'
import MoveInspector from '../../src/views/parts/inspectors/MoveInspector.vue'
import PositionInspector from '../../src/views/parts/inspectors/PositionInspector.vue'
import ReactionInspector from '../../src/views/parts/inspectors/ReactionInspector.vue'
import { usualProbe } from '../../src/core/game/scenario'
import { useFigures } from '../../src/stores/figures'
import { demoPlan } from '../fixtures/demoPlan'
import { labelled, onScreen, retype } from './screen'

const demo = demoPlan()
const [americana] = demo.moves.filter(({ id }) => id === 'americana')
const HIPS = 'side-control-hips-low'
const BRIDGE = 'bridges-over-us'
const MOUNT = demo.positions.find(({ family }) => family === 'mount')!.id

const moveOnScreen = async (id = 'americana') => {
  const move = (chart: Chart) => lookUp(chart.moves, id)!
  const screen = await onScreen(MoveInspector, (chart) => ({ move: move(chart) }), {
    position: move(demo).from,
    move: id,
  })
  return { ...screen, move: () => move(screen.chart()) }
}

describe('a move in detail', () => {
  it('says where it is from, and changes its plain fields, each as one step with its name', async () => {
    const { wrapper, charts, move } = await moveOnScreen()
    expect(wrapper.get('h2').text()).toBe(americana.name)
    await labelled(wrapper, 'Kind').setValue('hold')
    expect([move().kind, charts.steps.undo]).toEqual(['hold', `Kind of ${americana.name}`])
    await labelled(wrapper, 'Takes, seconds').setValue('9')
    expect([move().seconds, charts.steps.undo]).toEqual([9, `Seconds of ${americana.name}`])
    await labelled(wrapper, 'If nothing comes of it').setValue('caught')
    expect(move().stallsIn).toBe('caught')
    await labelled(wrapper, 'If nothing comes of it').setValue('')
    expect(move()).not.toHaveProperty('stallsIn')
    await retype(wrapper, 'Other names, with commas', ' Paintbrush, , Figure four ')
    expect(move().aliases).toEqual(['Paintbrush', 'Figure four'])
    await retype(wrapper, 'Other names, with commas', '')
    expect(move()).not.toHaveProperty('aliases')
    await retype(wrapper, 'Notes', 'not cold')
    expect(move().notes).toBe('not cold')
    for (let n = 0; n < 7; n++) charts.undo()
    expect(move()).toEqual(americana)
  })

  it('that lands in a finish becomes a submission, and one that lands elsewhere does not', async () => {
    const { wrapper, move } = await moveOnScreen()
    await labelled(wrapper, 'Lands in').setValue(MOUNT)
    expect(move()).toMatchObject({ to: MOUNT, kind: 'submission' })
    await labelled(wrapper, 'Kind').setValue('advance')
    await labelled(wrapper, 'Lands in').setValue('finish')
    expect(move()).toMatchObject({ to: 'finish', kind: 'submission' })
  })

  it('is tried from another position, which is gone to', async () => {
    const { wrapper, move, router } = await moveOnScreen()
    await labelled(wrapper, 'Tried from').setValue(MOUNT)
    await router.isReady()
    await nextTick()
    expect(move().from).toBe(MOUNT)
    expect(router.currentRoute.value.fullPath).toBe(`/worksheet/${MOUNT}?move=americana`)
  })

  it('refuses what a chart may not say, and is as it was', async () => {
    const { wrapper, charts, move } = await moveOnScreen()
    await labelled(wrapper, 'Takes, seconds').setValue('0')
    expect([move(), charts.news?.text]).toEqual([americana, 'Whole seconds, 1 to 600.'])
    charts.edit('Too many', (draft) => void (lookUp(draft.moves, 'americana')!.tries = { lands: 5000 }))
    expect(charts.refused?.problems[0].message).toContain('must be a number of tries from 0 to 1000')
    expect(move()).toEqual(americana)
  })

  it('says what it is for the rules', async () => {
    const { wrapper, move } = await moveOnScreen()
    const before = move().tags ?? []
    const box = wrapper.findAll('.tag input')[0]
    await box.setValue(!before.includes('neck-crank'))
    expect(move().tags).toEqual([...before, 'neck-crank'])
    await box.setValue(false)
    expect(move().tags ?? []).toEqual(before)
  })

  it('has checkpoints in order, each with test, gate in words, mistake', async () => {
    const { wrapper, move } = await moveOnScreen()
    const texts = () => (move().checkpoints ?? []).map(({ text }) => text)
    const before = texts()
    const field = wrapper.get<HTMLInputElement>(`[aria-label="New checkpoint of ${americana.name}"]`)
    for (const text of ['Wrist to the mat', '  ', 'Elbow in']) {
      await field.setValue(text)
      await field.trigger('keydown', { key: 'Enter' })
    }
    expect(texts()).toEqual([...before, 'Wrist to the mat', 'Elbow in'])
    const n = before.length + 2
    await wrapper.get(`[aria-label="Checkpoint ${n} up"]`).trigger('click')
    expect(texts().slice(-2)).toEqual(['Elbow in', 'Wrist to the mat'])
    await wrapper.get(`[aria-label="Checkpoint ${n - 1} down"]`).trigger('click')
    expect(texts().slice(-2)).toEqual(['Wrist to the mat', 'Elbow in'])
    const item = () => wrapper.findAll('ol > li')[n - 1]
    await item().get('button[aria-expanded=false]').trigger('click')
    await retype(item(), 'How one tests it', 'it does not move')
    await retype(item(), 'Do not let go until', 'the far hand is trapped')
    await retype(item(), 'The usual mistake', 'lifting it')
    await retype(item(), 'What it leads to', 'they pull out')
    await retype(item(), 'The fix', 'slide it')
    const fields = move().checkpoints!.find(({ test }) => test === 'it does not move')
    expect(fields).toMatchObject({ until: 'the far hand is trapped' })
    expect(move().checkpoints!.some(({ fault }) => fault?.mistake === 'lifting it' && fault.fix === 'slide it')).toBe(
      true,
    )
    await wrapper.get(`[aria-label="Remove checkpoint ${n}"]`).trigger('click')
    expect(texts()).toHaveLength(n - 1)
  })

  it('says what it can injure, and stops at control', async () => {
    const { wrapper, charts, move } = await moveOnScreen()
    await retype(wrapper, 'What it can injure', 'shoulder')
    await retype(wrapper, 'How fast', 'slowly')
    expect(move().hazard).toMatchObject({ part: 'shoulder', speed: 'slowly' })
    await wrapper.get('.caution button[aria-pressed]').trigger('click')
    expect(charts.chart?.settings?.scenario?.goal).toEqual([americana.from])
    await wrapper.get('.caution button[aria-pressed]').trigger('click')
    expect(charts.chart?.settings?.scenario?.goal).toEqual([])
  })

  it('of another kind has a caution only when asked', async () => {
    const { wrapper } = await moveOnScreen(demo.moves.find(({ to, hazard }) => to !== 'finish' && !hazard)!.id)
    expect(wrapper.find('.caution').exists()).toBe(false)
    await wrapper
      .findAll('button')
      .find((one) => one.text() === '+ caution')!
      .trigger('click')
    expect(wrapper.find('.caution').exists()).toBe(true)
  })

  it('puts holds on and off, and cannot give one limb two jobs', async () => {
    const { wrapper, charts, move } = await moveOnScreen()
    const select = () => wrapper.get<HTMLSelectElement>('[aria-label="A hold that it puts on"]')
    const ours = demo.holds!.filter(({ by = 'ours' }) => by === 'ours')
    const [first] = ours
    const clash = ours.find((hold) => hold !== first && hold.limbs.some((limb) => first.limbs.includes(limb)))!
    await select().setValue(first.id)
    expect(move().adds).toContain(first.id)
    await select().setValue(clash.id)
    expect(charts.refused?.problems[0].message).toContain('take the same limb')
    expect(move().adds).not.toContain(clash.id)
    await wrapper.get(`[aria-label="No longer puts on: ${first.name}"]`).trigger('click')
    expect(move().adds ?? []).not.toContain(first.id)
  })
})

describe('how a move is shown', () => {
  it('is said of each, unless it cannot be shown at all', async () => {
    const { wrapper, charts, move } = await moveOnScreen()
    useFigures().setScenario({ probe: usualProbe(demo.settings) })
    await nextTick()
    const factors = () => wrapper.findAll('[aria-label^="Only shown, "]')
    const summary = () =>
      wrapper
        .findAll('summary')
        .find((one) => one.text().startsWith('Only shown'))!
        .text()
    expect([factors().length, summary()]).toEqual([3, 'Only shown: as usual'])
    await wrapper.get('[aria-label="Only shown, lands: times"]').setValue('0.3')
    expect([move().probe, summary()]).toEqual([{ lands: 0.3 }, 'Only shown: as set here'])
    expect(charts.steps.undo).toBe(`How ${americana.name} is shown`)
    await wrapper.get('[aria-label="Only shown, lands: times"]').setValue('11')
    expect(charts.news?.text).toContain('A factor from 0 to 10')
    await wrapper.get('.never input').setValue(true)
    expect([move().probe?.never, factors().length, summary()]).toEqual([true, 0, 'Only shown: never'])
  })
})

describe('a release gate', () => {
  it('is one of our holds before another, and is none once either is taken away', async () => {
    const { wrapper, move } = await moveOnScreen()
    const { id } = move().checkpoints![0]
    const gate = () => move().checkpoints!.find((one) => one.id === id)!.gate
    const [first, second] = demo.holds!.filter(({ by = 'ours' }) => by === 'ours')
    const item = () => wrapper.findAll('ol > li')[0]
    if (!gate()) await item().get('button[aria-expanded=false]').trigger('click')
    const field = (words: string) =>
      item()
        .findAll('label')
        .find((one) => one.text().startsWith(words))!
        .get('select')
    await field('do not let go of').setValue('')
    expect(gate()).toBeUndefined()
    await field('do not let go of').setValue(first.id)
    expect(gate()).toBeUndefined()
    await field('before there is').setValue(second.id)
    expect(gate()).toEqual({ hold: first.id, next: second.id })
  })
})

describe('a position in detail', () => {
  const positionOnScreen = async (id = HIPS) => {
    const position = (chart: Chart) => lookUp(chart.positions, id)!
    const screen = await onScreen(
      PositionInspector,
      (chart) => ({ position: lookUp(chart.positions, id) ?? lookUp(demo.positions, id)! }),
      { position: id },
    )
    return { ...screen, position: () => position(screen.chart()) }
  }

  it('changes who is ahead, its family, what ending there is worth and when it breaks up', async () => {
    const { wrapper, position } = await positionOnScreen()
    await labelled(wrapper, 'Who is ahead').setValue('even')
    await labelled(wrapper, 'Family').setValue(' scramble ')
    await labelled(wrapper, 'Broken up after, seconds').setValue('40')
    await labelled(wrapper, 'Worth if time ends here').setValue('-0.5')
    await labelled(wrapper, 'They finish us here').setValue('90')
    expect(position()).toMatchObject({
      ahead: 'even',
      family: 'scramble',
      breakUp: 40,
      endWorth: -0.5,
      threat: { every: 90 },
    })
    for (const field of ['Broken up after, seconds', 'Worth if time ends here', 'They finish us here']) {
      await labelled(wrapper, field).setValue('')
    }
    for (const field of ['breakUp', 'endWorth', 'threat']) expect(position()).not.toHaveProperty(field)
  })

  it.each([
    ['Broken up after, seconds', '0', 'must be a number of seconds, at least 1'],
    ['Worth if time ends here', '2', 'must be a number from -1 to 1'],
    ['They finish us here', '0.5', 'must be a number of seconds, at least 1'],
    ['Family', '  ', 'must be a text of 1 to 200 characters'],
  ])('refuses %s of %j', async (field, typed, reason) => {
    const { wrapper, charts, position } = await positionOnScreen()
    await labelled(wrapper, field).setValue(typed)
    expect(charts.refused?.problems.map(({ message }) => message).join()).toContain(reason)
    expect(position()).toEqual(lookUp(demo.positions, HIPS))
  })

  it('says what they do while we hold still', async () => {
    const { wrapper, position } = await positionOnScreen(MOUNT)
    const select = wrapper.get<HTMLSelectElement>('[aria-label="They also do, unprompted"]')
    const option = select.findAll('option')[0].element.value
    await select.setValue(option)
    expect(position().unprompted?.reactions[option]).toBe(1)
    const every = wrapper.findAll('.still').at(-1)!.get('input')
    await every.setValue('12')
    expect(position().unprompted?.every).toBe(12)
    const count = wrapper.findAll('.still').at(-2)!.get('input')
    await count.setValue('0')
    expect(position().unprompted?.reactions[option]).toBeUndefined()
  })

  it('is removed with what begins and lands there, and says so with a way back', async () => {
    const { wrapper, charts } = await positionOnScreen()
    await wrapper.findAll('button').at(-1)!.trigger('click')
    await new Promise((turn) => setTimeout(turn))
    expect(lookUp(charts.chart?.positions, HIPS)).toBeUndefined()
    expect(charts.news).toMatchObject({
      action: 'undo',
      text: expect.stringMatching(
        /^Removed Side control, hips low with \d+ moves, \d+ reactions, 1 round and 1 answer on Cross-face and pass\. Undo takes that back\.$/,
      ),
    })
    charts.undo()
    expect(charts.news).toBeNull()
    expect(charts.chart).toEqual(demo)
  })
})

describe('a reaction in detail', () => {
  const meeting = (chart: Chart, id: string) => chart.moves.filter(({ tries }) => tries?.reactions?.[id] !== undefined)
  const reactionOnScreen = async (id = BRIDGE) => {
    const move = (chart: Chart) => meeting(chart, id)[0]
    const reaction = (chart: Chart) => lookUp(chart.reactions, id)!
    const shown = (chart: Chart) => {
      const known = lookUp(chart.reactions, id) ? chart : demo
      return { reaction: reaction(known), move: move(known) }
    }
    const screen = await onScreen(ReactionInspector, shown, {
      position: move(demo).from,
    })
    return { ...screen, reaction: () => reaction(screen.chart()), move: () => move(screen.chart()) }
  }

  it('ends elsewhere, takes other seconds, uses other limbs', async () => {
    const { wrapper, reaction } = await reactionOnScreen()
    await labelled(wrapper, 'Ends in').setValue('caught')
    await labelled(wrapper, 'Takes, seconds').setValue('4')
    await retype(wrapper, 'Notes', 'mostly tired')
    expect(reaction()).toMatchObject({ endsIn: 'caught', seconds: 4, notes: 'mostly tired' })
    const before = reaction().uses ?? []
    const boxes = wrapper.findAll<HTMLInputElement>('details input[type=checkbox]')
    const free = boxes.find((box) => !box.element.checked)!
    await free.setValue(true)
    expect(reaction().uses).toHaveLength(before.length + 1)
    await free.setValue(false)
    expect(reaction().uses ?? []).toEqual(before)
  })

  it('is removed from everything that meets it where several do, and says so with a way back', async () => {
    const often = demo.reactions.find(({ id }) => meeting(demo, id).length > 1)!
    const { wrapper, charts } = await reactionOnScreen(often.id)
    const by = meeting(demo, often.id)
    expect(wrapper.text()).toContain(`Met by ${by.map(({ name }) => name).join(', ')}.`)
    const all = wrapper.findAll('button').find((one) => one.text().startsWith('Remove from all'))!
    expect(all.text()).toBe(`Remove from all ${by.length} moves`)
    await all.trigger('click')
    expect(lookUp(charts.chart?.reactions, often.id)).toBeUndefined()
    expect(meeting(charts.chart!, often.id)).toEqual([])
    expect(charts.news).toMatchObject({ action: 'undo', text: expect.stringContaining('everywhere') })
    const alone = demo.reactions.find(({ id }) => meeting(demo, id).length === 1)!
    expect((await reactionOnScreen(alone.id)).wrapper.text()).not.toContain('Remove from all')
  })

  it('breaks a checkpoint, and no longer', async () => {
    const { wrapper, reaction, move } = await reactionOnScreen()
    const { id } = move().checkpoints![0]
    const box = wrapper.get<HTMLInputElement>('.check input')
    const was = reaction().breaks?.includes(id) ?? false
    await box.setValue(!was)
    expect(reaction().breaks?.includes(id) ?? false).toBe(!was)
    await box.setValue(was)
    expect(reaction().breaks?.includes(id) ?? false).toBe(was)
  })
})
