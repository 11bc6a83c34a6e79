import { goToBlock, pauseClock, startClock } from '../../../core/club/edits/live'
import { blockTitle } from '../../parts/club/blocks'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** Starting and halting the clock, and going on: the next block's clock runs if that of the one before did. */
export function useGoing() {
  const { next, edit, isRunning } = useLiveClass()
  function goOn() {
    const { value: block } = next
    if (!block) return
    const ran = isRunning.value
    edit(t('train.onToBlock', { block: blockTitle(block) }), (draft) => {
      const now = Date.now()
      goToBlock(draft, block.id, now)
      if (ran) startClock(draft, now)
    })
  }
  /** Starts the clock of the block, or halts it. */
  const toggle = () =>
    isRunning.value
      ? edit(t('train.pause'), (draft) => pauseClock(draft, Date.now()))
      : edit(t('train.start'), (draft) => startClock(draft, Date.now()))
  return { goOn, toggle }
}
