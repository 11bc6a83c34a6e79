/** The part of a Worker that is used; tests stand in for it. */
export interface WorkerLike<To, From> {
  postMessage(message: To): void
  terminate(): void
  onmessage: ((event: MessageEvent<From>) => void) | null
  onerror: ((event: ErrorEvent) => void) | null
}
