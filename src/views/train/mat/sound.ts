import type { Signal } from '../../../core/club/live/clock'

/** Each signal as tones: their pitch in Hz, and from when to when, in seconds. */
const TONES: Record<Signal['says'], readonly (readonly [hertz: number, from: number, to: number])[]> = {
  work: [[880, 0, 1.1]],
  warning: [
    [1320, 0, 0.15],
    [1320, 0.3, 0.45],
  ],
  rest: [
    [620, 0, 0.35],
    [620, 0.5, 1.2],
  ],
  done: [
    [620, 0, 0.35],
    [620, 0.5, 0.85],
    [520, 1, 2],
  ],
}

/** Loud, and harsh enough to be heard over a class. */
const VOLUME = 0.9
let context: AudioContext | undefined

/** Gives a signal to the ears; a browser that has no sound stays silent, and the screen shows it all the same. */
export function sound(says: Signal['says']): void {
  try {
    context ??= new AudioContext()
    void context.resume()
    for (const [hertz, from, to] of TONES[says]) tone(context, hertz, from, to)
  } catch {
    context = undefined
  }
}

function tone(audio: AudioContext, hertz: number, from: number, to: number): void {
  const source = audio.createOscillator()
  const volume = audio.createGain()
  source.type = 'square'
  source.frequency.value = hertz
  volume.gain.value = VOLUME
  source.connect(volume).connect(audio.destination)
  source.start(audio.currentTime + from)
  source.stop(audio.currentTime + to)
}
