/*
 * How two people lie or stand in each frame, seen from one fixed view: from above, but on the back from the front.
 * Points are in a field of WIDTH by HEIGHT; of pairs the left one of that person comes first. Plain outlines, drawn by
 * us.
 */

export type Point = readonly [x: number, y: number]
type Pair = readonly [left: Point, right: Point]

export const WIDTH = 330
export const HEIGHT = 230

/** One person without holds. Elbows and knees are computed from the hands and feet. */
export interface Pose {
  head: Point
  shoulders: Pair
  hips: Pair
  hands: Pair
  feet: Pair
  /** Seen from above: the legs are short. */
  stands?: true
}

export interface FramePoses {
  /** `over`: the pose of the person in control; `under`: of the other. */
  over: Pose
  under: Pose
  /** The fact on which the view depends, the side for which it is drawn, and the axis that mirrors it for the other. */
  turns?: { fact: string; drawnFor: 'left' | 'right'; axis: 'x' | 'y' }
  /** On the back: the trunk of the person in control is drawn behind the other, the limbs in front. */
  isBehind?: true
  /** Standing: each person is mirrored by a fact of their own. */
  leads?: true
}

const lying = (dx = 0): Pose => ({
  head: [60 + dx, 110],
  shoulders: [
    [94 + dx, 86],
    [94 + dx, 134],
  ],
  hips: [
    [166 + dx, 93],
    [166 + dx, 127],
  ],
  hands: [
    [120 + dx, 54],
    [120 + dx, 166],
  ],
  feet: [
    [258 + dx, 86],
    [258 + dx, 134],
  ],
})

const onAllFours: Pose = {
  head: [78, 100],
  shoulders: [
    [110, 122],
    [110, 78],
  ],
  hips: [
    [182, 118],
    [182, 82],
  ],
  hands: [
    [84, 146],
    [84, 54],
  ],
  feet: [
    [232, 128],
    [232, 72],
  ],
}

export const POSES: Record<string, FramePoses> = {
  back: {
    under: {
      head: [160, 62],
      shoulders: [
        [187, 94],
        [133, 94],
      ],
      hips: [
        [180, 158],
        [140, 158],
      ],
      hands: [
        [214, 142],
        [106, 142],
      ],
      feet: [
        [214, 212],
        [106, 212],
      ],
    },
    over: {
      head: [192, 48],
      shoulders: [
        [204, 86],
        [116, 86],
      ],
      hips: [
        [196, 166],
        [124, 166],
      ],
      hands: [
        [196, 126],
        [124, 126],
      ],
      feet: [
        [222, 196],
        [98, 196],
      ],
    },
    turns: { fact: 'over', drawnFor: 'right', axis: 'x' },
    isBehind: true,
  },
  side: {
    under: lying(),
    over: {
      head: [112, 72],
      shoulders: [
        [92, 102],
        [142, 102],
      ],
      hips: [
        [100, 176],
        [136, 176],
      ],
      hands: [
        [60, 76],
        [178, 84],
      ],
      feet: [
        [76, 214],
        [164, 214],
      ],
    },
    turns: { fact: 'near', drawnFor: 'right', axis: 'y' },
  },
  'knee-ride': {
    under: lying(),
    over: {
      head: [120, 142],
      shoulders: [
        [96, 154],
        [146, 154],
      ],
      hips: [
        [104, 182],
        [140, 182],
      ],
      hands: [
        [80, 116],
        [172, 128],
      ],
      feet: [
        [62, 208],
        [196, 176],
      ],
    },
    turns: { fact: 'near', drawnFor: 'right', axis: 'y' },
  },
  mount: {
    under: lying(),
    over: {
      head: [112, 110],
      shoulders: [
        [142, 138],
        [142, 82],
      ],
      hips: [
        [200, 132],
        [200, 88],
      ],
      hands: [
        [86, 178],
        [86, 42],
      ],
      feet: [
        [240, 164],
        [240, 56],
      ],
    },
  },
  'north-south': {
    under: lying(52),
    over: {
      head: [216, 110],
      shoulders: [
        [186, 82],
        [186, 138],
      ],
      hips: [
        [112, 88],
        [112, 132],
      ],
      hands: [
        [208, 52],
        [208, 168],
      ],
      feet: [
        [30, 76],
        [30, 144],
      ],
    },
  },
  guard: {
    under: {
      ...lying(-16),
      feet: [
        [236, 52],
        [236, 168],
      ],
      hands: [
        [128, 62],
        [128, 158],
      ],
    },
    over: {
      head: [112, 110],
      shoulders: [
        [144, 136],
        [144, 84],
      ],
      hips: [
        [208, 128],
        [208, 92],
      ],
      hands: [
        [92, 156],
        [92, 64],
      ],
      feet: [
        [272, 142],
        [272, 78],
      ],
    },
  },
  turtle: {
    under: onAllFours,
    over: {
      head: [142, 84],
      shoulders: [
        [120, 112],
        [168, 112],
      ],
      hips: [
        [126, 178],
        [162, 178],
      ],
      hands: [
        [92, 92],
        [196, 100],
      ],
      feet: [
        [104, 214],
        [186, 214],
      ],
    },
    turns: { fact: 'near', drawnFor: 'left', axis: 'y' },
  },
  crucifix: {
    under: onAllFours,
    over: {
      head: [152, 66],
      shoulders: [
        [128, 92],
        [176, 98],
      ],
      hips: [
        [138, 162],
        [172, 166],
      ],
      hands: [
        [98, 62],
        [164, 58],
      ],
      feet: [
        [70, 176],
        [96, 200],
      ],
    },
    turns: { fact: 'hooked', drawnFor: 'left', axis: 'y' },
  },
  headlock: {
    under: {
      head: [188, 110],
      shoulders: [
        [152, 86],
        [152, 134],
      ],
      hips: [
        [80, 92],
        [80, 128],
      ],
      hands: [
        [196, 66],
        [196, 154],
      ],
      feet: [
        [28, 82],
        [28, 138],
      ],
    },
    over: {
      head: [158, 110],
      shoulders: [
        [202, 136],
        [202, 84],
      ],
      hips: [
        [266, 128],
        [266, 92],
      ],
      hands: [
        [152, 160],
        [152, 60],
      ],
      feet: [
        [316, 142],
        [316, 78],
      ],
    },
    turns: { fact: 'choking', drawnFor: 'left', axis: 'y' },
  },
  standing: {
    over: {
      stands: true,
      head: [106, 110],
      shoulders: [
        [100, 80],
        [100, 140],
      ],
      hips: [
        [88, 94],
        [88, 126],
      ],
      hands: [
        [150, 84],
        [150, 146],
      ],
      feet: [
        [74, 86],
        [126, 120],
      ],
    },
    under: {
      stands: true,
      head: [214, 110],
      shoulders: [
        [220, 140],
        [220, 80],
      ],
      hips: [
        [232, 126],
        [232, 94],
      ],
      hands: [
        [172, 146],
        [172, 72],
      ],
      feet: [
        [246, 134],
        [194, 100],
      ],
    },
    leads: true,
  },
}
