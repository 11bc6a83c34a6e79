import { IsIn, IsString } from 'class-validator'
import { IsWord, Optional } from '../document/constraints'
import { IsWorth } from './constraints'
import { PEOPLE, type Person } from './words'

/** How a person's trait changes the tries: by `per` in the log-odds for each step of the trait from the usual. */
export class Fit {
  @IsWord() trait!: string
  @IsIn(PEOPLE) of!: Person
  @IsWorth() per!: number
  @Optional() @IsString() says?: string
}

/** What is said of builds, each sentence once. */
export const buildsOf = (fit: readonly Fit[] = []): string[] => [...new Set(fit.flatMap(({ says }) => says ?? []))]
