const channel = new MessageChannel()
const waiting: (() => void)[] = []
channel.port1.onmessage = () => waiting.shift()?.()

/** In a worker: goes on once the messages that have come in have been heard. One sent to oneself queues behind them. */
export const pause = (): Promise<void> =>
  new Promise((resume) => {
    waiting.push(resume)
    channel.port2.postMessage(null)
  })
