import { goToBlock, startClock } from '../../../core/club/edits/live'
import { blockTitle } from '../../parts/club/blocks'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** Going on to the next block: its clock stands until it is started, unless the one before was running. */
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
  return { goOn }
}
