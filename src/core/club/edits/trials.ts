import { lookUp } from '../../chart/lookUp'
import { Refusal } from '../../problem'
import type { Club } from '../clubKind'
import { freshId } from '../freshId'
import type { Trial, Verdict } from '../trial'

/** Sets up a trial; it is judged after it began. Returns its id. */
export function addTrial(club: Club, trial: Omit<Trial, 'id' | 'verdict'>): string {
  if (trial.judgeOn <= trial.since) throw new Refusal('it is judged on a day after it begins', 'out-of-range')
  const { first, second } = trial
  if (first.move === second.move && first.reply === second.reply) throw new Refusal('the two ways are one and the same')
  club.trials ??= []
  const id = freshId(club.trials, 'trial-')
  club.trials.push({ id, ...trial })
  return id
}

function trialIn(club: Club, id: string): Trial {
  const trial = lookUp(club.trials ?? [], id)
  if (!trial) throw new Refusal(`there is no trial "${id}"`, 'gone')
  return trial
}

/** Judges a trial, once, and on its day or after. */
export function judgeTrial(club: Club, id: string, verdict: Verdict): void {
  const trial = trialIn(club, id)
  if (trial.verdict) throw new Refusal('it has been judged: who looks again until it fits fools himself', 'refused')
  if (verdict.when < trial.judgeOn) throw new Refusal(`it is judged on ${trial.judgeOn}`, 'out-of-range')
  trial.verdict = verdict
}

/** Takes a trial away; blocks no longer split the pairs by it. */
export function removeTrial(club: Club, id: string): void {
  trialIn(club, id)
  club.trials = (club.trials ?? []).filter((one) => one.id !== id)
  for (const { blocks } of club.sessions) for (const block of blocks) if (block.trial === id) delete block.trial
}
