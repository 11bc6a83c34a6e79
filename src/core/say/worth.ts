import type { Scenario } from '../game/scenario'

/** What a worth means, said once on the Desk. */
export const WORTH = 'Worth: 100 is always a finish for us, 0 is nobody ahead, −100 is always caught.'
const WIN = 'To win: of a hundred matches that go on from here, so many are won; a draw counts half.'

/** What the figures mean in a scenario. */
export const sayWorth = (scenario: Pick<Scenario, 'objective'> | null): string =>
  scenario?.objective === 'win' ? WIN : WORTH
