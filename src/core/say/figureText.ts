import dayjs from 'dayjs'
import { sure } from '../sure'

/*
 * How figures and times read on the screen. Values are per hundred exchanges, whole; finer ones are for a second look.
 */

/** A number as it is shown: whole, with one decimal under 10 where there is something in it. */
function plain(per: number): string {
  const text = Math.abs(per) < 9.95 ? per.toFixed(1).replace(/\.0$/, '') : per.toFixed(0)
  return text === '-0' ? '0' : text.replace('-', '−')
}

/** A worth: 0.387 -> "39", 0.046 -> "4.6", -0.1 -> "−10". */
export const hundred = (value: number): string => plain(value * 100)

/** 0.0314 -> "+3.1", -0.09 -> "−9", 0.0001 -> "0". */
export function signed(value: number): string {
  const text = hundred(value)
  return value > 0 && text !== '0' ? `+${text}` : text
}

/**
 * What a change brings, small ones with a decimal: 0.031 -> "+3.1", -0.004 -> "−0.4", 0 -> "changes
 * nothing".
 */
export function changeText(value: number): string {
  return Math.abs(value) < 0.0005 ? 'changes nothing' : signed(value)
}

/** 0.38709 -> "38.71". */
export function finer(value: number): string {
  return (value * 100).toFixed(2).replace('-', '−')
}

/** A share of exchanges, with a decimal only where it is small: 0.286 -> "29", 0.0123 -> "1.2". */
export function share(value: number): string {
  const per = value * 100
  return per > 0 && per < 0.05 ? 'under 0.1' : plain(per)
}

/** What a loose end or a leak costs: never "0" for something. */
export function costText(value: number): string {
  const per = value * 100
  if (Math.abs(per) < 0.005) return '0'
  return Math.abs(per) < 0.05 ? per.toFixed(2).replace('-', '−') : plain(per)
}

/** How often an exchange comes to something, as a coach counts: 0.08 -> "about once in 12". */
export function onceIn(times: number): string {
  if (times < 0.002) return 'hardly ever'
  if (times < 2 / 3) return `about once in ${Math.round(1 / times)}`
  const whole = Math.round(times)
  return whole === 1 ? 'about once in each exchange' : `about ${whole} times in each exchange`
}

/** The same in a column: "1.2 times", "once in 12". */
export function timesShort(times: number): string {
  if (times < 0.002) return 'hardly ever'
  return times < 2 / 3
    ? `once in ${Math.round(1 / times)}`
    : `${plain(times)} ${plain(times) === '1' ? 'time' : 'times'}`
}

/** The same as a sentence's end: "comes up about once in 12". */
export const howOften = (times: number): string =>
  times < 0.002 ? 'hardly ever comes up' : `comes up ${onceIn(times)}`

/** 240 -> "4:00"; null -> "none". */
export function clockText(seconds: number | null): string {
  if (seconds === null) return 'none'
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** "4:00", "240", "1.5 min" or "none" (also "never") to seconds or null; undefined where it is none of them. */
export function readClock(text: string): number | null | undefined {
  const clean = text.trim().toLowerCase()
  if (clean === 'none' || clean === 'never' || clean === '') return null
  const clock = /^(\d{1,2}):([0-5]\d)$/.exec(clean)
  if (clock) return Number(clock[1]) * 60 + Number(clock[2])
  const plain = /^(\d{1,4})\s*(s|sec|seconds)?$/.exec(clean)
  if (plain) return Number(plain[1])
  const minutes = /^(\d{1,2}(?:[.,]\d)?)\s*(m|min|minutes)$/.exec(clean)
  return minutes ? Math.round(Number(sure(minutes[1]).replace(',', '.')) * 60) : undefined
}

/** Why a text was not read as a clock: names the character that no clock has, if there is one. `such`: what one has. */
export function clockRefusal(text: string, such: string): string {
  const strange = /[^\d:\sa-z]/iu.exec(text.trim())?.[0]
  return strange === undefined ? `Say ${such}` : `“${strange}” cannot stand in a time: say ${such}`
}

/** When something was saved. */
export function savedText(at: number, now: number): string {
  const then = dayjs(at)
  return then.isSame(dayjs(now), 'day') ? then.format('HH:mm') : then.format('D MMM HH:mm')
}

/** "1 move", "3 moves". */
export function counted(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`
}
