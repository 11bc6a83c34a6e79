/** A BroadcastChannel between tabs that are all in this test: the others of its name hear a message a turn later. */
export class LocalChannel {
  static all: LocalChannel[] = []
  private readonly hear: ((event: { data: unknown }) => void)[] = []

  constructor(private readonly name: string) {
    LocalChannel.all.push(this)
  }

  addEventListener(_: 'message', hear: (event: { data: unknown }) => void): void {
    this.hear.push(hear)
  }

  close(): void {
    LocalChannel.all = LocalChannel.all.filter((one) => one !== this)
  }

  postMessage(data: unknown): void {
    for (const other of LocalChannel.all) {
      if (other === this || other.name !== this.name) continue
      for (const hear of other.hear) setImmediate(() => hear({ data }))
    }
  }

  /** Resolves when what was posted has been heard and dealt with. */
  static async settled(): Promise<void> {
    for (let turn = 0; turn < 50; turn++) await new Promise((next) => setImmediate(next))
  }
}
