import { defineStore } from 'pinia'
import { ref } from 'vue'
import type { Documents, KindName } from '../core/files/documentKinds'
import { toEnd } from '../core/job'
import type { Result } from '../core/problem'
import { useWorkers } from './workers'

/** Characters from which on a file is read in the background: checking it takes longer than anyone takes to look up. */
const LARGE = 300_000

/** Reads the files that come in. `progress`: how far a large one is, 0 to 1; null while none is read. */
export const useReading = defineStore('reading', () => {
  const { pool } = useWorkers()
  const progress = ref<number | null>(null)
  let stop = () => {}
  let asked = 0

  /** The document in a file's text, or what is wrong with it; null where the coach has stopped it. */
  async function read<N extends KindName>(kind: N, text: string): Promise<Result<Documents[N]> | null> {
    const here = async () => toEnd((await import('../core/files/documentKinds')).parsingJobOf(kind, text))
    if (text.length < LARGE) return here()
    stop()
    progress.value = 0
    const mine = ++asked
    const question = pool.ask({ of: 'read', kind, text }, undefined, { progress: (share) => (progress.value = share) })
    stop = question.stop
    const answer = await question.answer
    if (mine === asked) progress.value = null
    // Where nothing runs in the background, the page stands still for a while instead.
    if (answer?.ok === false && answer.problems[0]?.code === 'worker-died') return here()
    return answer as Result<Documents[N]> | null
  }

  return { progress, read, stop: () => stop() }
})
