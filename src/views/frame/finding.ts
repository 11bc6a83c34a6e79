import Fuse from 'fuse.js'
import type { Command } from './commands'

const KEYS = ['name', { name: 'aliases', weight: 0.8 }, { name: 'where', weight: 0.4 }, { name: 'around', weight: 0.2 }]

/** A search among commands by words in any order: each must be found in the name or in what stands around it. */
export function commandFinder(commands: readonly Command[]): (text: string) => Command[] {
  const fuse = new Fuse(commands, { keys: KEYS, threshold: 0.3, ignoreLocation: true, includeScore: true })
  return (text) => {
    const words = text.trim().split(/\s+/).filter(Boolean)
    if (!words.length) return [...commands]
    const found = words.map((word) => new Map(fuse.search(word).map(({ refIndex, score = 1 }) => [refIndex, score])))
    const whole = new Map(fuse.search(text.trim()).map(({ refIndex, score = 1 }) => [refIndex, score]))
    const all = commands.flatMap((command, i) => {
      const scores = found.map((one) => one.get(i))
      if (scores.some((score) => score === undefined))
        return whole.has(i) ? [{ command, off: 1 + (whole.get(i) ?? 0) }] : []
      const sum = scores.reduce<number>((total, score) => total + (score ?? 1), 0)
      return [{ command, off: Math.min(sum / words.length, whole.get(i) ?? 1) }]
    })
    return all.sort((a, b) => a.off - b.off).map(({ command }) => command)
  }
}
