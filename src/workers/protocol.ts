import type { Chart } from '../core/chart/chart'
import type { Changed } from '../core/chart/changes'
import type { Problem } from '../core/problem'
import type { Answer, Part, Question } from './jobs'

/* Everything that a page and a worker say to each other. A ticket names a question for as long as it is worked on. */

/**
 * The chart that a question is about: all of it, or what is another than in the chart that the worker heard of last.
 */
export type ChartNews = { whole: Chart } | { changed: Changed }

export type ToWorker =
  | { kind: 'ask'; ticket: number; question: Question; chart?: ChartNews }
  /** The answer is no longer wanted. The worker says `stopped` once it has heard, unless it was done before. */
  | { kind: 'stop'; ticket: number }

export type FromWorker =
  /** How far it is, 0 to 1. */
  | { kind: 'progress'; ticket: number; share: number }
  /** A piece of the answer that is known before the rest. */
  | { kind: 'part'; ticket: number; part: Part<Question> }
  | { kind: 'answer'; ticket: number; answer: Answer<Question> }
  /** It could not be answered. */
  | { kind: 'failed'; ticket: number; problems: Problem[] }
  /** The worker did not understand the message. */
  | { kind: 'confused'; problem: Problem }
  | { kind: 'stopped'; ticket: number }
