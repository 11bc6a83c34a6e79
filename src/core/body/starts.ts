import { positionFromName } from '../chart/guesses'
import type { Position } from '../chart/position'
import type { Person } from '../chart/words'
import type { Orientation } from '../sides/frames'

/** A position to begin with, as a picture: its name, its frame and the sides for which the picture is drawn. */
export interface Start {
  name: string
  frame: string
  sides: Orientation
  over: Person
}

/** Positions that a coach may begin with, from the feet down to the back. */
export const STARTS: readonly Start[] = [
  { name: 'Standing', frame: 'standing', sides: { lead: 'left', theirLead: 'left' }, over: 'ours' },
  { name: 'Front headlock', frame: 'headlock', sides: { choking: 'left' }, over: 'ours' },
  { name: 'Turtle', frame: 'turtle', sides: { near: 'left' }, over: 'ours' },
  { name: 'Half guard, on top', frame: 'guard', sides: {}, over: 'ours' },
  { name: 'Side control', frame: 'side', sides: { near: 'left' }, over: 'ours' },
  { name: 'Knee on belly', frame: 'knee-ride', sides: { near: 'left' }, over: 'ours' },
  { name: 'North-south', frame: 'north-south', sides: {}, over: 'ours' },
  { name: 'Mount', frame: 'mount', sides: {}, over: 'ours' },
  { name: 'Crucifix', frame: 'crucifix', sides: { hooked: 'right' }, over: 'ours' },
  { name: 'Back control', frame: 'back', sides: { over: 'right' }, over: 'ours' },
  { name: 'Under side control', frame: 'side', sides: { theirNear: 'left' }, over: 'theirs' },
  { name: 'They have our back', frame: 'back', sides: { theirOver: 'right' }, over: 'theirs' },
]

/** The position of a start: its frame, and what its name tells. */
export const positionOf = ({ name, frame }: Start): Omit<Position, 'id'> => ({ ...positionFromName(name), frame })
