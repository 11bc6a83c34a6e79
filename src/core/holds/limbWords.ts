/** Words for each known capability. A capability that the coach named is shown as it is. */
const CAPABILITIES: Record<string, string> = {
  'left-hand': 'use the left hand',
  'right-hand': 'use the right hand',
  'left-leg': 'use the left leg',
  'right-leg': 'use the right leg',
  'hip-in': 'bring a knee or hip back in',
  'hip-out': 'slide the hips away',
  'turn-in': 'turn in to us',
  'turn-away': 'turn away',
  bridge: 'bridge',
  'sit-up': 'sit up',
  stand: 'stand up',
  posture: 'raise the head',
  look: 'turn the face to us',
  'step-over': 'step over',
  chest: 'lift the chest',
}

export const CAPABILITY_IDS = Object.keys(CAPABILITIES)
export const capabilityWords = (capability: string): string =>
  CAPABILITIES[capability] ?? capability.replaceAll('-', ' ')
export const limbWords = (limb: string): string => limb.replaceAll('-', ' ')
/** The part of a body that was named in words: "left hip" as "left-hip". The way back of `limbWords`. */
export const partNamed = (words: string): string => words.trim().toLowerCase().replace(/\s+/g, '-')

/** "left hand", "both hands", "left hand, right knee"; with an owner "our left hand", "both our hands". */
export function limbsWords(limbs: readonly string[], owner = ''): string {
  const parts = limbs.map((limb) => ({
    side: /^(left|right)-/.exec(limb)?.[1],
    part: limb.replace(/^(left|right)-/, ''),
  }))
  const said: string[] = []
  for (const { side, part } of parts) {
    const isBoth = side && parts.some((other) => other.part === part && other.side && other.side !== side)
    const several = part === 'foot' ? 'feet' : `${part}s`
    const words = (isBoth ? ['both', owner, several] : [owner, side, part]).filter(Boolean).join(' ')
    if (!said.includes(words)) said.push(words)
  }
  return said.join(', ')
}

/** A share left (0 to 1) in words: "shut", "works 3 times of 10", "open". */
export function leftWords(left: number): string {
  if (left >= 1 - 1e-9) return 'open'
  if (left <= 1e-9) return 'shut'
  const n = Math.max(1, Math.round(left * 10))
  return `works ${n} ${n === 1 ? 'time' : 'times'} of 10`
}
