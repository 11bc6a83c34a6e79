/** An expected failure is a value: what is wrong, where, in words that say what to do. Throwing is for bugs. */
export interface Problem {
  code: string
  /** Keys and indices from the root of the file. */
  path: (string | number)[]
  message: string
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] }

export const success = <T>(value: T): Result<T> => ({ ok: true, value })
export const failure = <T>(...problems: Problem[]): Result<T> => ({ ok: false, problems })

/** `moves[3].tries.lands` from a path. */
export function pathText(path: Problem['path']): string {
  return path.reduce<string>(
    (text, step) => (typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${step}` : step),
    '',
  )
}

/** One line for a person: the place, then what is wrong. */
export function problemText({ path, message }: Problem): string {
  return path.length ? `${pathText(path)}: ${message}` : message
}
