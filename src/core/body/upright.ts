import { BESIDE, FOR_CHOKING, PROFILE, type FramePoses } from './pairs'
import type { Pose } from './skeleton'

const onAllFours: Pose = {
  hips: [34, 0, 42],
  spine: [-1, 0, -0.12],
  front: [0, 0, -1],
  head: [-1, 0, -0.5],
  hands: [-30, -15, 4, -30, 15, 4],
  feet: [64, -13, 4, 64, 13, 4],
  elbows: [1, -0.5, -1, 1, 0.5, -1],
  knees: [-1, 0, -1, -1, 0, -1],
}

const headlockPair = {
  under: onAllFours,
  over: {
    hips: [-84, 0, 34],
    spine: [0.93, 0, 0.36],
    front: [0.36, 0, -0.93],
    head: [1, 0.1, 0.1],
    hands: [-16, 26, 20, -24, -6, 14],
    feet: [-128, 20, 4, -128, -20, 4],
    elbows: [-0.2, 1, -0.5, -0.2, -1, -0.5],
    knees: [0.6, 0.4, -1, 0.6, -0.4, -1],
  } satisfies Pose,
}

const upright = (x: number, looks: 1 | -1, lean = 0.1): Pose => ({
  hips: [x, 0, 86],
  spine: [looks * lean, 0, 1],
  front: [looks, 0, -lean],
  hands: [x + looks * 38, looks * 14, 112, x + looks * 30, looks * -16, 104],
  feet: [x + looks * 20, looks * 12, 4, x - looks * 16, looks * -14, 4],
})

/** Frames in which both stand or kneel. */
export const UPRIGHT = {
  turtle: {
    under: onAllFours,
    over: {
      hips: [22, 52, 40],
      spine: [-0.38, -0.8, 0.4],
      front: [-0.2, -0.5, -0.85],
      head: [-0.5, -0.7, 0.1],
      hands: [22, -16, 34, -26, -12, 34],
      feet: [54, 84, 4, -2, 96, 4],
      knees: [0.4, -1, -0.8, -0.4, -1, -0.8],
    },
    view: BESIDE,
    drawnFor: { fact: 'near', side: 'right' },
  },
  ride: {
    under: { ...onAllFours, hips: [34, 0, 34], spine: [-1, 0, -0.22] },
    over: {
      hips: [46, -8, 54],
      spine: [-0.84, 0.5, 0.04],
      front: [0, 0, -1],
      head: [-0.8, 0.7, -0.1],
      hands: [-14, -24, 28, -14, 24, 28],
      feet: [40, -16, 10, 92, 22, 8],
      elbows: [0.3, -1, 0, 0.3, 1, 0],
      knees: [0.4, -1, -0.6, 0, 1, -0.6],
    },
    view: { turned: 18, above: 26 },
    drawnFor: { fact: 'near', side: 'left' },
  },
  prone: {
    under: {
      ...onAllFours,
      hips: [30, 0, 11],
      spine: [-1, 0, 0.04],
      head: [-1, 0.1, 0],
      hands: [-46, -24, 4, -46, 24, 4],
      feet: [112, -12, 4, 112, 12, 4],
    },
    over: {
      hips: [34, 0, 32],
      spine: [-0.97, 0, 0.24],
      front: [-0.24, 0, -0.97],
      head: [-1, 0, 0.3],
      hands: [-36, -20, 20, -36, 20, 20],
      feet: [66, -24, 4, 66, 24, 4],
      elbows: [0.4, -1, 0, 0.4, 1, 0],
      knees: [-0.6, -1, -0.5, -0.6, 1, -0.5],
    },
    view: { turned: 22, above: 24 },
    drawnFor: { fact: 'near', side: 'left' },
  },
  'crucifix-kneeling': {
    under: { ...onAllFours, hands: [-34, -22, 4, -52, 40, 10], elbows: [1, -0.5, -1, 0.3, 1, 0] },
    over: {
      hips: [-62, 52, 16],
      spine: [0.8, -0.34, 0.5],
      front: [0.3, -0.5, -0.8],
      head: [1, -0.3, 0.3],
      hands: [4, 6, 40, -34, -20, 24],
      feet: [-14, 44, 10, -62, -4, 8],
      elbows: [0, 1, 0.2, -0.6, -0.4, 0.3],
      knees: [0.4, 0.9, 0.5, -0.6, -0.6, 0.6],
    },
    view: { turned: 16, above: 30 },
    drawnFor: { fact: 'hooked', side: 'right' },
  },
  headlock: { ...headlockPair, view: PROFILE, drawnFor: FOR_CHOKING },
  'headlock-standing': {
    under: {
      hips: [44, 0, 84],
      spine: [-0.98, 0, 0.1],
      front: [-0.1, 0, -1],
      head: [-1, 0, -0.35],
      hands: [-22, -18, 60, -22, 18, 60],
      feet: [30, -16, 4, 64, 16, 4],
    },
    over: {
      hips: [-56, 0, 82],
      spine: [0.72, 0, 0.68],
      front: [0.68, 0, -0.72],
      head: [0.9, 0.15, 0.4],
      hands: [-6, 24, 74, -22, -8, 68],
      feet: [-48, 18, 4, -82, -18, 4],
      elbows: [-0.2, 1, -0.6, -0.2, -1, -0.6],
    },
    view: { turned: 20, above: 10 },
    drawnFor: FOR_CHOKING,
  },
  standing: {
    over: upright(-46, 1),
    under: upright(46, -1),
    view: { turned: 16, above: 6 },
    leads: true,
  },
  clinch: {
    over: upright(-24, 1, 0.16),
    under: upright(24, -1, 0.16),
    view: { turned: 20, above: 6 },
    leads: true,
  },
  shot: {
    over: {
      hips: [-50, -6, 46],
      spine: [0.86, 0, 0.5],
      front: [0.5, 0, -0.86],
      head: [0.9, -0.4, 0.6],
      hands: [26, 10, 44, 26, -14, 44],
      feet: [-22, 14, 4, -94, -14, 4],
      knees: [1, 0.4, 0.4, 0.6, -0.4, -1],
    },
    under: {
      ...upright(24, -1, 0.4),
      hands: [-16, -16, 84, -16, 16, 84],
      feet: [10, -12, 4, 58, 14, 4],
    },
    view: { turned: 22, above: 10 },
  },
  knees: {
    over: {
      ...upright(-36, 1),
      hips: [-36, 0, 46],
      hands: [0, 14, 74, -4, -16, 66],
      feet: [-76, 12, 4, -76, -12, 4],
      knees: [0.6, 0, -1, 0.6, 0, -1],
    },
    under: {
      ...upright(36, -1),
      hips: [36, 0, 46],
      hands: [0, -14, 70, 4, 16, 74],
      feet: [76, -12, 4, 76, 12, 4],
      knees: [-0.6, 0, -1, -0.6, 0, -1],
    },
    view: PROFILE,
  },
} satisfies Record<string, FramePoses>
