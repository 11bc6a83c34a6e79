import { lookUp } from '../../../src/core/chart/lookUp'
import { indexShelf } from '../../../src/core/shelf/search'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { symptomMeant, symptomsOf } from '../../../src/core/shelf/symptoms'
import { readRegions } from '../../../scripts/shelfDoc'

const shelf = joinRegions(readRegions())
const index = indexShelf(shelf)

/** What a coach sees or says, and what is meant: one of these is among the first five. */
const CUES: [cue: string, meant: string[]][] = [
  ['far arm bent across my neck', ['side-shallow-underhook', 'side-americana-lock', 'side-two-on-far-arm']],
  ['knee pushed', ['rx-push-knee', 'underhook-on-push']],
  ['turns away', ['back-from-underhook', 'rx-bridge-turn-away']],
  ['hand on the mat', ['turtle-leg-trap', 'closed-guard-hands-on-mat', 'turtle-hand-posted']],
  ['he hides the arm', ['mount-threat-draw-hand', 'hidden-arm-mod-kimura', 'lift-thread-kimura']],
  ['hands clasped', ['leg-grip-break', 'body-lift-break', 'knuckle-wrist-lock', 'r-clasp']],
  ['elbows tight', ['side-hips-only']],
  ['they bridge into us', ['rx-bridge-roll', 'rx-bridge-turn-away', 'r-bridge-into-us', 'roll-to-over-side']],
  ['head comes up', ['release-head-to-high-crotch', 'head-rising-window', 'r-head-comes-up']],
  ['grips my wrist', ['peel-wrist-grip', 'r-grip-our-wrist', 'hand-withdraw']],
  ['weak side', ['back-under-side', 'def-back-open-side']],
  [
    'turns in to us',
    ['rx-face-to-us', 'r-turn-into-us', 'rx-turn-onto-side', 'back-from-underhook', 'legs-back-under'],
  ],
  ['near elbow gets inside', ['side-switch-elbow', 'rx-near-elbow-in', 'hip-switch-elbow']],
  ['chin tucked', ['chin-thumb-slide', 'r-chin-tuck']],
  ['pushes my face', ['crossface-arm-lock', 'rx-crossface-us']],
  [
    'americana',
    ['americana-finish', 'side-americana-lock', 'inside-arm-americana', 'americana-neck-crank', 'side-two-on-far-arm'],
  ],
  [
    'kimra',
    [
      'kimura-roll-top',
      'closed-guard-kimura',
      'kimura-side',
      'kimura-guard',
      'side-kimura-grip',
      'kimura-to-armbar',
      'kimura-leg-over-head',
    ],
  ],
  ['leg comes back in front', ['rx-leg-in-front', 'scoop-bottom-leg']],
  ['strips our bottom hook', ['r-clear-bottom-hook', 'crucifix-switch']],
  ['crossed legs on our hip', ['back-crossed-legs', 'def-back-crossed-legs', 'ra-cross-legs', 'cross-legs-shut-hip']],
  ['buries the head', ['r-bury-head', 'snap-keep-underhook', 'standing-underhook-head-beaten']],
  ['arm left hanging in the ride', ['cbr-bait-arm-roll', 'cbr-they-sit-up', 'r-cbr-grab-offered-arm']],
]

test.each(CUES)('“%s” finds what a coach means', (cue, meant) => {
  const first = index
    .search(cue)
    .slice(0, 5)
    .map(({ id }) => id)
  expect(first.filter((id) => meant.includes(id))).not.toEqual([])
})

test('a few letters, another word for it, and nothing at all', () => {
  expect(
    index
      .search('guillo')
      .slice(0, 5)
      .filter(({ id }) => id.includes('guillotine')).length,
  ).toBeGreaterThan(2)
  expect(index.search('strong side').map(({ id }) => id)).toContain('back-over-side')
  expect(index.search('')).toEqual([])
  expect(index.search('qqqqzzzz')).toEqual([])
})

describe('what goes wrong', () => {
  it.each([
    ['hurts their throat', 'rear-triangle-to-armbar', 'throat crush'],
    ['he pops his head out', 'ride-their-pushing', 'head pops out'],
    ['arm slips out', 'trap-lock-leave', 'arm slips out'],
  ])('is found by what one feels: %s', (text, id, felt) => {
    expect(index.search(text).slice(0, 8)).toContainEqual({ kind: 'move', id })
    expect(symptomMeant(lookUp(shelf.moves, id)!, text)).toMatchObject({ felt, cure: expect.stringMatching(/\w+ \w+/) })
  })

  it('names the step at which it was lost, as the move has it', () => {
    for (const { checkpoints = [], ...move } of shelf.moves) {
      const symptoms = symptomsOf({ ...move, checkpoints })
      expect(symptoms.length).toBe(checkpoints.filter(({ fault }) => fault).length)
      for (const { step, cure, because } of symptoms)
        expect(checkpoints[step - 1].fault).toMatchObject({ fix: cure, mistake: because })
    }
  })

  it('is not said where too little of it is meant', () => {
    const move = lookUp(shelf.moves, 'trap-lock-leave')!
    expect(symptomMeant(move, 'wet mats on a tuesday')).toBeUndefined()
    expect(symptomMeant(move, '')).toBeUndefined()
  })
})
