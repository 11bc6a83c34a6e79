/** What can be wrong, for programs to tell apart; the message is for people. */
export type ProblemCode =
  // A file as a whole.
  | 'not-utf8'
  | 'not-json'
  | 'not-xml'
  | `not-a-${string}`
  | 'unsupported-version'
  | 'too-large'
  | 'too-deep'
  | 'too-many'
  | 'forbidden-key'
  // One field.
  | 'missing'
  | 'wrong-type'
  | 'malformed-id'
  | 'unknown-word'
  | 'out-of-range'
  | 'bad-count'
  | 'bad-seconds'
  // What ties records together.
  | 'duplicate-id'
  | 'duplicate-answer'
  | 'unknown-reference'
  | 'wrong-person'
  | 'shared-limb'
  | 'empty-tries'
  // An edit.
  | 'gone'
  | 'refused'
  // A computation.
  | 'bad-scenario'
  | 'needs-an-end'
  | 'too-many-states'
  | 'unknown-question'
  | 'worker-died'
  | 'unexpected'

/** An expected failure is a value: what is wrong, where, in words that say what to do. Throwing is for bugs. */
export interface Problem {
  code: ProblemCode
  /** Keys and indices from the root of the document. */
  path: (string | number)[]
  message: string
  /** What the record at `path` is known by, where it is in a list. */
  record?: string
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] }

export const success = <T>(value: T): Result<T> => ({ ok: true, value })
export const failure = <T>(...problems: Problem[]): Result<T> => ({ ok: false, problems })

/**
 * An edit, or a question, that cannot be done as asked. Thrown where a value cannot be returned: inside an edit's
 * draft.
 */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly code: ProblemCode = 'refused',
    readonly path: Problem['path'] = [],
  ) {
    super(message)
  }

  get problem(): Problem {
    return { code: this.code, path: this.path, message: this.message }
  }
}

/** `moves[3].tries.lands` from a path. */
export function pathText(path: Problem['path']): string {
  return path.reduce<string>(
    (text, step) => (typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${step}` : step),
    '',
  )
}

/** The record that a problem is in, where it is in one, then what is wrong. */
export const namedMessage = ({ message, record }: Problem): string =>
  record === undefined ? message : `(${record}) ${message}`

/** One line for a person: the place, the record, then what is wrong. */
export function problemText(problem: Problem): string {
  const { path } = problem
  return path.length ? `${pathText(path)}: ${namedMessage(problem)}` : problem.message
}

/** What a caught value says of itself: an error's message, of whatever realm, else the value as text. */
export const messageOf = (thrown: unknown): string =>
  typeof thrown === 'object' && thrown !== null && 'message' in thrown ? String(thrown.message) : String(thrown)
