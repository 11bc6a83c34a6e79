import { isMuch, loadsOf } from '../../../src/core/club/load'
import type { RoundFact } from '../../../src/core/club/logRecords'

const round = (
  id: string,
  when: string,
  them: string | undefined,
  ended: RoundFact['ended'],
  session = when,
): RoundFact => ({
  ...{ id, when, us: 'ana', seconds: 30, ended, session },
  ...(them ? { them } : {}),
})

test('the load of a class and a week counts who was caught, and nobody for time or for an escape', () => {
  const rounds = [
    round('a', '2026-11-17', 'bo', 'tap'),
    round('b', '2026-11-18', 'bo', 'had-it'),
    round('c', '2026-11-24', 'bo', 'had-it'),
    round('d', '2026-11-24', 'bo', 'time'),
    round('e', '2026-11-24', 'cy', 'tap'),
    round('f', '2026-11-24', 'cy', 'tap'),
    round('g', '2026-11-24', 'di', 'out'),
    round('h', '2026-11-24', undefined, 'tap'),
    round('i', '2026-11-25', 'bo', 'tap'),
  ]
  expect(loadsOf({ rounds }, { id: '2026-11-24', when: '2026-11-24' })).toEqual([
    { person: 'cy', inClass: 2, inWeek: 2 },
    { person: 'bo', inClass: 1, inWeek: 2 },
  ])
  const much = (inClass: number, inWeek: number) => isMuch({ person: 'bo', inClass, inWeek }, { caught: 5 })
  expect([much(4, 4), much(5, 5), much(1, 9), much(1, 10)]).toEqual([false, true, false, true])
})
