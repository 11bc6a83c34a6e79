import { produce } from 'immer'
import { scenarioLine } from '../../src/views/parts/print/scenarioLine'
import { demoPlan } from '../fixtures/demoPlan'

const demo = demoPlan()

test('a printed sheet says what its numbers depend on', () => {
  expect(scenarioLine(demo, false)).toBe(
    'Tern Street: from the tie-up to the finish · from Underhook, head clear · 4:00 · they see it coming 20 % · ' +
      'something breaks it up after about 120 s · finish and position count · own side',
  )
  const other = produce(demo, (draft) => {
    const scenario = {
      start: 'scarf-hold',
      goal: ['mount-hands-posted'],
      seconds: null,
      objective: 'finish',
      rules: 'juniors',
    }
    draft.settings = { ...draft.settings, breakUp: null, scenario }
  })
  expect(scenarioLine(other, true)).toMatch(
    /from Scarf hold · to Mount, hands posted · no clock · they see it coming 0 % · nothing breaks it up · only finishes count · rules: Juniors: positions only · mirrored$/,
  )
})
