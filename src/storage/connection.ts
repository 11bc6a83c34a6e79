import { messageOf } from '../core/problem'
import { openDatabase, type Database } from './database'

/** Why the browser's store cannot be used at present. */
export type StoreTrouble =
  /** Another tab with an earlier build holds it open. */
  | 'blocked'
  /** A newer build than this one has changed it. */
  | 'newer'
  /** The browser has none for us. */
  | 'missing'

const SAYS: Record<StoreTrouble, string> = {
  blocked: 'another tab runs an older Ataque: close that tab, or reload it',
  newer: 'a newer Ataque has changed what is kept here: export what is not saved, then reload this tab',
  missing: 'this browser keeps no data here',
}

/** Thrown where the store cannot be opened; the message says what to do. */
export class StoreClosed extends Error {
  constructor(
    readonly trouble: StoreTrouble,
    cause?: unknown,
  ) {
    super(trouble === 'missing' ? `${SAYS.missing} (${messageOf(cause)})` : SAYS[trouble], { cause })
  }
}

/** Where documents are kept: does work with the open database, and opens it before where that is needed. */
export interface Store {
  run: <T>(work: (db: Database) => Promise<T>) => Promise<T>
}

/**
 * The browser's store: opened when it is first needed, and again when it is needed after it was closed, be it by the
 * browser, for want of room, or for a newer build in another tab.
 */
export class Connection implements Store {
  private opened: Promise<Database> | null = null

  /** `onOpen` hears whenever it was opened, also long after it was blocked. */
  constructor(
    private readonly name?: string,
    private readonly onOpen: () => void = () => undefined,
  ) {}

  /**
   * Does work with the open store. If it turns out to have been closed, it is opened again and the work done once more.
   * Rejects with what the work throws, or with `StoreClosed`.
   */
  async run<T>(work: (db: Database) => Promise<T>): Promise<T> {
    const opened = this.open()
    const db = await opened
    try {
      return await work(db)
    } catch (error) {
      if (!isOfName(error, 'InvalidStateError')) throw error
      this.forget(opened)
      return work(await this.open())
    }
  }

  private open(): Promise<Database> {
    if (this.opened) return this.opened
    const opened = new Promise<Database>((resolve, reject) => {
      const blocked = () => {
        this.forget(opened)
        reject(new StoreClosed('blocked'))
      }
      openDatabase(this.name, { blocked, closed: () => this.forget(opened) }).then(
        (db) => {
          resolve(db)
          if (this.opened && this.opened !== opened) return db.close()
          // After it was blocked nobody waits for this one any more.
          this.opened ??= Promise.resolve(db)
          this.onOpen()
        },
        (error: unknown) => {
          this.forget(opened)
          reject(new StoreClosed(isOfName(error, 'VersionError') ? 'newer' : 'missing', error))
        },
      )
    })
    return (this.opened = opened)
  }

  private forget(opened: Promise<Database>): void {
    if (this.opened === opened) this.opened = null
  }
}

const isOfName = (error: unknown, name: string): boolean =>
  typeof error === 'object' && error !== null && 'name' in error && error.name === name
