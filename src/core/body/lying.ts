import { BESIDE, FOR_CHOKING, PROFILE, type FramePoses } from './pairs'
import type { Pose } from './skeleton'

/*
 * How two people lie or stand in each frame, in centimetres: x to the right of the picture, y away from who looks, z
 * up from the mat. Drawn by us; elbows and knees follow from hands and feet.
 */

const supine: Pose = {
  hips: [32, 0, 10],
  spine: [-1, 0, 0],
  front: [0, 0, 1],
  head: [-1, 0, 0.15],
  hands: [-2, 26, 26, 2, -28, 22],
  feet: [80, 16, 4, 92, -12, 4],
  elbows: [0, 1, 0, 0, -1, -0.4],
  knees: [0, 0.3, 1, 0, -0.3, 1],
}

const side: FramePoses = {
  under: {
    ...supine,
    hands: [6, 34, 5, 2, -28, 22],
    elbows: [0.4, 1, -1, 0, -1, -0.4],
  },
  over: {
    hips: [6, 44, 22],
    spine: [-0.34, -0.92, 0.16],
    front: [0, -0.15, -1],
    head: [-0.4, -0.85, 0.3],
    hands: [20, -24, 12, -46, -16, 12],
    feet: [50, 70, 4, -34, 88, 4],
    elbows: [1, 0, -0.3, -1, 0, -0.3],
    knees: [0.8, -0.8, -0.3, -0.9, -0.6, -0.3],
  },
  view: BESIDE,
  drawnFor: { fact: 'near', side: 'left' },
}

const mount: FramePoses = {
  under: {
    ...supine,
    hands: [-18, 22, 34, -16, -22, 34],
  },
  over: {
    hips: [14, 0, 32],
    spine: [-0.42, 0, 0.9],
    front: [-0.9, 0, -0.42],
    hands: [-34, -22, 26, -34, 22, 26],
    feet: [36, -24, 4, 36, 24, 4],
    elbows: [0.6, -1, -0.4, 0.6, 1, -0.4],
    knees: [-1, -0.9, -0.6, -1, 0.9, -0.6],
  },
  view: { turned: 24, above: 22 },
}

/** Between the other's legs, on the knees. */
const kneelingInGuard: Pose = {
  hips: [62, 0, 30],
  spine: [-0.6, 0, 0.8],
  front: [-0.8, 0, -0.6],
  hands: [4, -18, 24, 4, 18, 24],
  feet: [86, -16, 4, 86, 16, 4],
  knees: [-1, -0.7, -0.8, -1, 0.7, -0.8],
}
const guard: FramePoses = {
  over: kneelingInGuard,
  under: {
    ...supine,
    hips: [16, 0, 11],
    head: [-1, 0, 0.3],
    hands: [-2, 20, 40, -2, -20, 40],
    feet: [74, 6, 40, 76, -6, 44],
    knees: [0.2, 1, 0.8, 0.2, -1, 0.8],
  },
  view: PROFILE,
}

/** Frames in which one of the two lies or sits. */
export const LYING = {
  back: {
    under: {
      hips: [0, 0, 11],
      spine: [0, 0.3, 0.95],
      front: [0, -0.95, 0.3],
      head: [0, -0.1, 1],
      hands: [9, -22, 46, -9, -22, 42],
      feet: [26, -72, 4, -26, -72, 4],
      elbows: [1, 0, -0.8, -1, 0, -0.8],
      knees: [0.5, 0, 1, -0.5, 0, 1],
    },
    over: {
      hips: [0, 26, 11],
      spine: [0.04, 0.28, 0.96],
      front: [0, -0.96, 0.28],
      head: [0.45, -0.55, 1],
      hands: [6, -14, 46, -2, -16, 52],
      feet: [20, -46, 12, -20, -46, 12],
      elbows: [1, 0.2, -0.5, -1, 0, 0],
      knees: [1, 0, 0.8, -1, 0, 0.8],
    },
    view: { turned: 24, above: 16 },
    drawnFor: { fact: 'over', side: 'right' },
    tips: true,
  },
  side,
  armbar: {
    under: {
      ...supine,
      hands: [-20, 66, 34, -12, 52, 34],
      elbows: [0, 0, -1, 0, -1, 0.5],
    },
    over: {
      hips: [-20, 30, 11],
      spine: [0, 0.8, 0.6],
      front: [0, -0.6, 0.8],
      hands: [-17, 56, 36, -22, 60, 38],
      feet: [6, -34, 12, -42, -34, 12],
      knees: [0.4, 0, 1, -0.4, 0, 1],
    },
    view: BESIDE,
    drawnFor: { fact: 'near', side: 'left' },
  },
  scarf: {
    ...side,
    over: {
      hips: [-2, 30, 11],
      spine: [-0.55, -0.35, 0.75],
      front: [-0.75, -0.4, -0.5],
      hands: [-26, 30, 34, -52, -14, 16],
      feet: [52, 62, 4, -50, 64, 4],
      knees: [0.3, 1, 0.15, -0.9, 0.3, 0.1],
    },
  },
  'knee-ride': {
    under: supine,
    over: {
      hips: [18, 32, 54],
      spine: [-0.35, -0.3, 0.9],
      front: [-0.4, -0.9, -0.3],
      hands: [22, -10, 22, -36, -8, 22],
      feet: [44, 20, 20, -26, 74, 4],
      elbows: [1, 0.2, -0.4, -1, 0.2, 0],
      knees: [-0.3, -1, -0.5, -1, 0.2, 0.7],
    },
    view: BESIDE,
    drawnFor: { fact: 'near', side: 'left' },
  },
  mount,
  'north-south': {
    under: supine,
    over: {
      hips: [-64, 0, 32],
      spine: [1, 0, -0.16],
      front: [0, 0, -1],
      head: [1, 0.25, 0.1],
      hands: [26, 24, 12, 26, -24, 12],
      feet: [-108, 22, 4, -108, -22, 4],
      elbows: [-0.3, 1, -0.4, -0.3, -1, -0.4],
      knees: [0.8, 0.7, -0.8, 0.8, -0.7, -0.8],
    },
    view: PROFILE,
  },
  guard,
  /** The one below is in control: with a lock on, or the neck. */
  'from-below': { over: guard.under, under: kneelingInGuard, view: PROFILE },
  'half-guard': {
    over: {
      ...kneelingInGuard,
      hips: [46, 6, 26],
      spine: [-0.96, -0.06, 0.26],
      front: [-0.26, 0, -0.96],
      head: [-1, 0.3, 0.2],
      hands: [-26, -24, 14, -22, 26, 14],
      feet: [104, -4, 5, 92, 46, 4],
      knees: [0, -1, -0.4, -1, 0.9, -0.4],
    },
    under: {
      ...guard.under,
      feet: [86, 14, 16, 80, -16, 14],
      knees: [0.4, 0.6, 1, 0.2, -1, 0.8],
    },
    view: PROFILE,
  },
  'seated-guard': {
    over: { ...kneelingInGuard, hips: [76, 0, 40], spine: [-0.5, 0, 0.86] },
    under: {
      hips: [0, 0, 11],
      spine: [-0.1, 0, 1],
      front: [1, 0, 0.1],
      hands: [36, 16, 40, 36, -16, 46],
      feet: [66, 12, 12, 66, -12, 12],
      knees: [0.4, 0.9, 1, 0.4, -0.9, 1],
    },
    view: PROFILE,
  },
  crucifix: {
    under: {
      hips: [26, -6, 14],
      spine: [-0.9, 0, 0.42],
      front: [0.35, -0.3, 0.9],
      hands: [-26, 40, 22, 4, -34, 26],
      feet: [84, 14, 4, 84, -20, 4],
      elbows: [0, 1, 0, 0, -1, 0],
      knees: [0, 0.2, 1, 0, -0.2, 1],
    },
    over: {
      hips: [-30, 14, 11],
      spine: [-0.85, -0.25, 0.5],
      front: [0.5, -0.1, 0.86],
      head: [-0.7, -0.5, 0.6],
      hands: [-26, -6, 44, -14, -26, 36],
      feet: [8, 44, 16, -2, 46, 8],
      knees: [0.2, 0.6, 1, 0.3, 0.2, 0.2],
    },
    view: { turned: 8, above: 26 },
    drawnFor: { fact: 'hooked', side: 'left' },
  },
  'headlock-guard': {
    over: { ...guard.under, head: [-0.7, 0, 0.9] },
    under: { ...kneelingInGuard, hips: [56, 0, 30], spine: [-0.97, 0, 0.24], head: [-1, 0, -0.3] },
    view: PROFILE,
    drawnFor: FOR_CHOKING,
  },
  legs: {
    over: {
      hips: [-34, 0, 11],
      spine: [-0.5, 0, 0.86],
      front: [0.86, 0, 0.5],
      hands: [-8, 6, 42, -6, -10, 40],
      feet: [22, 20, 14, 20, -8, 26],
      knees: [0, 0.8, 1, 0, -1, 0.6],
    },
    under: {
      hips: [44, 0, 11],
      spine: [0.62, 0, 0.78],
      front: [-0.78, 0, 0.62],
      hands: [76, -26, 5, 20, 14, 30],
      feet: [-20, -12, 36, -20, 34, 5],
      knees: [0, -0.3, 1, 0, 0.5, 1],
    },
    view: PROFILE,
  },
} satisfies Record<string, FramePoses>
