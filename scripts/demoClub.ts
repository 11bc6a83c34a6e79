import { randomLcg } from 'd3-random'
import type { Chart } from '../src/core/chart/chart'
import { lookUp } from '../src/core/chart/lookUp'
import { toMoveId } from '../src/core/chart/ids'
import type { Bout } from '../src/core/club/bout'
import { CLUB_FILE } from '../src/core/club/clubFile'
import type { Club } from '../src/core/club/clubKind'
import { addLesson, setBlock, setSession } from '../src/core/club/edits/sessions'
import { remember } from '../src/core/club/lesson'
import type { RoundFact } from '../src/core/club/logRecords'
import { pairUp } from '../src/core/club/pairs'
import { isMinor, type ClubPerson } from '../src/core/club/person'
import type { Block, Session } from '../src/core/club/session'
import type { Trial } from '../src/core/club/trial'
import { addTrial } from '../src/core/club/edits/trials'
import { takeTallies } from '../src/core/club/tallies'
import { TERMINAL } from '../src/core/game/game'
import { scenarioOf } from '../src/core/game/scenario'
import { adjusted } from '../src/core/match/adjust'
import { exchangeLog } from '../src/core/simulate/exchangeLog'
import type { Ended } from '../src/core/simulate/playOut'
import { solved } from '../src/core/questions/solved'
import { present } from '../src/core/sure'

/*
 * The demo club: twelve made-up people who have trained the demo plan for six weeks. Their rounds are played with dice,
 * with known differences between them, so that what is estimated from the log can be held against the truth.
 */

/** In steps of log-odds: how much more often somebody lands than the plan says, and how much less is landed on them. */
export interface Truth {
  lands: number
  stops: number
  /** How much more often than others they turn in under whoever is at their flank. */
  turnsIn?: number
}

type Made = Omit<ClubPerson, 'id'> & Truth

export const PEOPLE: readonly Made[] = [
  {
    ...{ name: 'Odile', weight: 61, experience: 'competes', lands: 0.8, stops: 0.6 },
    ...{ measures: { height: 166, arms: 58, legs: 76 }, likes: ['kimura', 'spin-behind'] },
  },
  {
    ...{ name: 'Bram', weight: 88, experience: 'competes', lands: 0.5, stops: 0.5, turnsIn: 1.2 },
    ...{ measures: { height: 188, arms: 68, legs: 86 }, likes: ['step-across-and-lift'] },
  },
  {
    ...{ name: 'Kofi', weight: 84, experience: 'some', lands: 0.2, stops: 0.1 },
    ...{ measures: { height: 178, arms: 63, legs: 80 }, traits: { speed: 1 } },
  },
  {
    name: 'Wilma',
    weight: 66,
    experience: 'some',
    lands: 0.1,
    stops: 0.3,
    measures: { height: 172, arms: 60, legs: 81 },
  },
  {
    name: 'Mirek',
    weight: 92,
    experience: 'some',
    lands: 0,
    stops: 0.2,
    measures: { height: 181, arms: 64, legs: 79 },
  },
  { name: 'Sanne', weight: 63, experience: 'some', lands: 0.3, stops: -0.1 },
  { name: 'Yusuf', weight: 76, experience: 'some', lands: 0, stops: 0 },
  { name: 'Ines', weight: 58, experience: 'first-months', lands: -0.6, stops: -0.5 },
  { name: 'Tomas', weight: 79, experience: 'first-months', lands: -0.7, stops: -0.6 },
  { name: 'Dora', weight: 71, experience: 'first-months', lands: -0.5, stops: -0.7 },
  { name: 'P. L.', weight: 57, ageBand: '14-17', experience: 'some', guardianAgrees: true, lands: 0, stops: -0.1 },
  { name: 'J. V.', weight: 59, ageBand: '14-17', experience: 'some', guardianAgrees: true, lands: -0.1, stops: 0 },
]

/** Whom they meet in matches. */
const RIVALS: readonly Omit<ClubPerson, 'id'>[] = [
  {
    ...{ name: 'The tall one, North hall', isRival: true, weight: 84, traits: { speed: 1 } },
    ...{ measures: { height: 194, arms: 71, legs: 92, waist: 82, collar: 39 } },
    ...{
      habits: { 'turns-in-under-us': 2, 'sits-to-a-hip': 1 },
      notes: 'Waits for us to shoot. Tires after two minutes.',
    },
  },
  {
    ...{ name: 'The broad one, harbour', isRival: true, weight: 96, traits: { grip: 2, wind: -1 } },
    ...{ measures: { height: 173, arms: 59, legs: 74, waist: 112, collar: 45 } },
    ...{ habits: { 'sprawls-on-us': 2, 'buries-the-head': -1 } },
  },
]

/** Two ways of one step, of which nobody knows which is better. */
const TRIAL: Omit<Trial, 'id'> = {
  ...{ title: 'From the flank: seatbelt, or follow to it?', chart: 'tern-street-plan' },
  first: { move: toMoveId('seatbelt-from-the-flank') },
  second: { move: toMoveId('follow-to-the-seatbelt') },
  ...{ since: '2026-10-13', judgeOn: '2026-12-08' },
}

/** What each class was about: a position of the demo plan, and what was looked at. */
const CLASSES: readonly { day: string; from: string; theme: string; mistake: string }[] = [
  { day: '2026-10-13', from: 'turtle-at-the-flank', theme: 'The flank of the turtle', mistake: 'head too high' },
  { day: '2026-10-15', from: 'turtle-at-the-flank', theme: 'The flank of the turtle', mistake: 'hips far away' },
  { day: '2026-10-20', from: 'side-control-hips-low', theme: 'Side control, hips low', mistake: 'weight on the knees' },
  { day: '2026-10-22', from: 'side-control-head-and-far-arm', theme: 'Head and far arm', mistake: 'elbow off the mat' },
  { day: '2026-10-27', from: 'front-headlock-knees-down', theme: 'Front headlock', mistake: 'chest off the neck' },
  { day: '2026-10-29', from: 'turtle-at-the-flank', theme: 'The flank of the turtle', mistake: 'head too high' },
  { day: '2026-11-03', from: 'back-seatbelt-on', theme: 'The back, seatbelt on', mistake: 'hands apart' },
  { day: '2026-11-05', from: 'side-control-hips-low', theme: 'Side control, hips low', mistake: 'weight on the knees' },
  { day: '2026-11-10', from: 'underhook-head-clear', theme: 'Underhook, head clear', mistake: 'looking down' },
  { day: '2026-11-12', from: 'mount-hands-posted', theme: 'Mount', mistake: 'knees too wide' },
  { day: '2026-11-17', from: 'turtle-at-the-flank', theme: 'The flank of the turtle', mistake: 'hips far away' },
  { day: '2026-11-19', from: 'side-control-head-and-far-arm', theme: 'Head and far arm', mistake: 'elbow off the mat' },
]
/** Planned, and not had yet. */
const NEXT = {
  day: '2026-11-24',
  from: 'turtle-at-the-flank',
  theme: 'The flank of the turtle',
  mistake: 'head too high',
}

const LESSON = {
  ...{ day: '2026-11-14', person: 'ines', theme: 'Her americana', move: toMoveId('americana') },
  remembered: [true, true, false, true],
}

/** A match day. */
const BOUTS: readonly Omit<Bout, 'id' | 'seconds' | 'ran'>[] = [
  {
    ...{ when: '2026-11-21', athlete: 'bram', mat: '3', cues: ['Head up', 'Hips first'], ours: 6, theirs: 2 },
    opponent: 'a tall one in white',
  },
  {
    ...{
      when: '2026-11-21',
      athlete: 'kofi',
      mat: '1',
      cues: ['Hand on the neck', 'Walk them down'],
      ours: 0,
      theirs: 4,
    },
    ...{ opponent: 'North hall, under 85', beatUs: 'We shot from too far and stayed under the sprawl.' },
  },
]

/** Rounds of each pair in a class, one more in every third, and their length in seconds. */
const [ROUNDS, SECONDS] = [3, 60]
const SEED = 19 / 1000

const idOf = (name: string) => name.toLowerCase().replace(/[^a-z]+/g, '')

const people = (): ClubPerson[] =>
  PEOPLE.map(({ lands: _lands, stops: _stops, turnsIn: _turnsIn, ...one }) => ({ id: idOf(one.name), ...one }))

/** The plan with what sets people apart written into it, as traits that every move fits. */
function withTraits(chart: Chart): Chart {
  return {
    ...chart,
    moves: chart.moves.map((move) => ({
      ...move,
      fit: [
        { trait: 'lands', of: 'ours', per: 1 },
        { trait: 'stops', of: 'theirs', per: -1 },
      ],
    })),
    reactions: chart.reactions.map((one) =>
      one.id === 'turns-in-under-us' ? { ...one, fit: [{ trait: 'turnsIn', of: 'theirs', per: 1 }] } : one,
    ),
  }
}

const athleteOf = (id: string) => {
  const { lands, stops, turnsIn = 0 } = present(PEOPLE.find(({ name }) => idOf(name) === id))
  return { id, traits: { lands, stops, turnsIn } }
}

function blocksOf(from: string, mistake: string, chart: Chart, here: readonly ClubPerson[]): Block[] {
  const about = { chart: chart.id, kind: 'position' as const, id: from }
  const shownOn = present(here.find((one) => !isMinor(one))).id
  return [
    { id: 'warm-up', kind: 'warm-up', minutes: 10 },
    { id: 'watch', kind: 'watch', minutes: 8, about, points: pointsOf(chart, from), mistake, shownOn },
    { id: 'try', kind: 'try', minutes: 12, about, resistance: 'scripted', withWhom: 'learn', mistake },
    {
      ...{ id: 'rounds', kind: 'rounds-from', minutes: 15, work: SECONDS, rest: 15, rounds: 6 },
      ...{ about, resistance: 'full', withWhom: 'rounds', mistake },
    },
    { id: 'free', kind: 'free-rounds', minutes: 10, work: 240, rest: 60, rounds: 2, resistance: 'full' },
    { id: 'cool-down', kind: 'cool-down', minutes: 5 },
  ]
}

/** Three checkpoints of what is tried there. */
const pointsOf = (chart: Chart, from: string): string[] =>
  chart.moves
    .filter((move) => move.from === from)
    .flatMap(({ checkpoints = [] }) => checkpoints.map(({ text }) => text))
    .slice(0, 3)

/** How a round that was played ended. Of finishes every other is caught and released rather than tapped to. */
function endedAs({ terminal }: Ended, seconds: number, isReleased: boolean): RoundFact['ended'] {
  if (terminal === TERMINAL.caught) return 'reversed'
  if (terminal === TERMINAL.over) return 'out'
  if (terminal >= 0) return isReleased ? 'had-it' : 'tap'
  return seconds >= SECONDS ? 'time' : 'out'
}

/** The demo club of a plan; the same each time. */
export function demoClub(chart: Chart): Club {
  const club: Club = {
    ...{ format: CLUB_FILE.format, version: CLUB_FILE.version, id: 'tern-street', title: 'Tern Street' },
    ...{ people: people(), sessions: [], rounds: [], tries: [] },
  }
  const random = randomLcg(SEED)
  const traited = withTraits(chart)
  let lastTime: string[][] = []
  for (const [i, { day, from, theme, mistake }] of CLASSES.entries()) {
    const here = club.people.filter((_, k) => (k + i) % 5 !== 0)
    const session: Session = {
      ...{ id: `class-${day}`, when: day, theme, minutes: 60, room: { standing: 6, ground: 8 } },
      people: here.map(({ id }) => id),
      blocks: blocksOf(from, mistake, chart, here),
      walks: [{ block: 'try', mistakes: { [mistake]: 5 - (i % 3) }, fine: 1 + (i % 3) }],
    }
    club.sessions.push(session)
    const { pairs } = pairUp(here, 'rounds', { lastTime })
    lastTime = pairs
    for (const pair of pairs)
      playPair(club, traited, { session, from, pair, rounds: ROUNDS + Number(i % 3 === 0), random })
  }
  for (const one of club.people)
    one.lastHere = club.sessions.findLast(({ people: ids }) => ids.includes(one.id))?.when ?? ''
  club.sessions.push({
    ...{ id: `class-${NEXT.day}`, when: NEXT.day, theme: NEXT.theme, minutes: 60, room: { standing: 6, ground: 8 } },
    people: club.people.map(({ id }) => id),
    blocks: blocksOf(NEXT.from, NEXT.mistake, chart, club.people),
  })
  addTheLesson(club, chart)
  club.people.push(...RIVALS.map((one) => ({ id: idOf(one.name), ...one })))
  addTrial(club, TRIAL)
  club.bouts = BOUTS.map((bout, i) => ({ id: `match-${i + 1}`, seconds: 300, ran: 300_000, ...bout }))
  takeTallies(club, chart, NEXT.day)
  return club
}

/** A private lesson, tallied afterwards as it is remembered. */
function addTheLesson(club: Club, chart: Chart): void {
  const id = addLesson(club, LESSON.day, LESSON.person)
  setSession(club, id, 'theme', LESSON.theme)
  const about = { chart: chart.id, kind: 'move' as const, id: LESSON.move }
  for (const block of ['watch-2', 'try-3', 'try-4']) setBlock(club, id, block, 'about', about)
  for (const landed of LESSON.remembered) remember(club, id, chart.id, LESSON.move, landed, 1)
}

interface Playing {
  session: Session
  from: string
  pair: readonly string[]
  rounds: number
  random: () => number
}

function playPair(club: Club, chart: Chart, { session, from, pair, rounds, random }: Playing): void {
  for (let round = 0; round < rounds; round++) {
    const us = present(pair[round % pair.length])
    const them = present(pair[(round + 1) % pair.length])
    const between = adjusted(chart, { us: athleteOf(us), them: athleteOf(them) })
    const start = present(lookUp(chart.positions, from)).id
    const scenario = scenarioOf(between, { start, seconds: SECONDS, sharpness: 0.2 })
    const solution = present(solved(between, scenario, { everySecond: true }))
    const of = { when: session.when, session: session.id, chart: chart.id, us, them }
    const { tries, end, seconds } = exchangeLog(solution, random, { ...of, in: 'round', resistance: 'full' })
    const ended = endedAs(end, seconds, club.rounds.length % 2 === 0)
    club.rounds.push({ id: `r${club.rounds.length + 1}`, ...of, position: from, seconds: Math.max(1, seconds), ended })
    for (const one of tries) club.tries.push({ id: `t${club.tries.length + 1}`, chart: chart.id, ...one })
  }
}
