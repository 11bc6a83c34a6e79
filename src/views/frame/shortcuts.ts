import { useEventListener } from '@vueuse/core'
import { hasSingleKeys } from '../../stores/settings'
import { t } from '../../words'

/** Shortcuts of all screens. None is used by the browser; plain letters are ignored while text is typed. */
export const SHORTCUTS: { keys: string; does: string; where: string }[] = [
  { keys: 'Ctrl K', does: t('frame.findAnythingPositionsMovesReactionsScreens'), where: t('frame.everywhere') },
  { keys: 'Ctrl Z', does: t('frame.undo'), where: t('frame.everywhere') },
  { keys: 'Ctrl Shift Z', does: t('frame.redo'), where: t('frame.everywhere') },
  { keys: '?', does: t('frame.thisList'), where: t('frame.everywhere') },
  { keys: 'Enter', does: t('frame.openAFigureANameOr'), where: t('frame.everywhere') },
  { keys: 'Escape', does: t('frame.closeOrGiveUpWhatIs'), where: t('frame.everywhere') },
  { keys: '/', does: t('frame.searchThePositions'), where: t('common.worksheet') },
  { keys: 'N', does: t('common.sayAMoveInALine'), where: t('common.worksheet') },
  { keys: '↓ ↑', does: t('frame.nextOrLastMoveOrReaction'), where: t('frame.worksheetOnAMoveOrReaction') },
  { keys: 'A', does: t('frame.addAnAnswer'), where: t('frame.worksheetOnAReaction') },
  { keys: 'L', does: t('frame.changeTheForkAsALine'), where: t('frame.worksheetOnAMove') },
  { keys: 'Alt ↑ ↓', does: t('frame.moveItUpOrDown'), where: t('frame.worksheetOnAPositionMoveReaction') },
  {
    keys: 'Delete',
    does: t('frame.takeItAwayUndoBringsIt'),
    where: t('frame.worksheetOnAPositionMoveReaction'),
  },
  { keys: '→ ←', does: t('frame.intoTheNextMoveItsReaction'), where: t('frame.slope') },
  { keys: '↓ ↑', does: t('frame.theNextOfThoseSideBy'), where: t('frame.slope') },
  { keys: 'L', does: t('frame.toWhereItLands'), where: t('frame.slopeOnAMove') },
  { keys: 'Home', does: t('frame.toTheStart'), where: t('frame.slope') },
  { keys: 'P', does: t('frame.newPosition'), where: t('frame.slope') },
  { keys: 'N', does: t('common.sayAMoveInALine'), where: t('frame.slopeOnAPosition') },
  { keys: 'M', does: t('frame.drawAMoveOrAnAnswer'), where: t('frame.slopeOnAPositionOrA') },
  { keys: 'R', does: t('frame.whatTheyDoAboutIt'), where: t('frame.slopeOnAMove') },
  { keys: 'A', does: t('frame.addAnAnswer'), where: t('frame.slopeOnAReaction') },
  { keys: 'F2', does: t('common.rename'), where: t('frame.slope') },
  { keys: 'Space', does: t('frame.selectThisOneToo'), where: t('frame.slopeOnAPosition') },
  { keys: 'Ctrl ← → ↑ ↓', does: t('frame.putItByHand'), where: t('frame.slopeOnAPositionOrWhat') },
  { keys: 'F', does: t('frame.onlyWhatIsAroundIt'), where: t('frame.slopeOnAPosition') },
  { keys: '+ − 0 Z', does: t('frame.zoomInOutToAllOf'), where: t('frame.slope') },
  { keys: 'Shift ← → ↑ ↓', does: t('frame.pan'), where: t('frame.slope') },
  { keys: 'I, T', does: t('frame.aboutItAsText'), where: t('frame.slope') },
  { keys: '← →', does: t('frame.oneTryLessOrMore'), where: t('frame.onAPartOfTheTen') },
  { keys: '0 … 9', does: t('frame.setTheCount'), where: t('frame.onAPartOfTheTen') },
]

/** True where the event's target takes text, so that a letter is not a command. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target as Partial<HTMLElement> | null
  return Boolean(element?.closest?.('input, textarea, select, [contenteditable="true"], [role="spinbutton"]'))
}

/** When something in which one types last lost the focus, in milliseconds since 1970. */
let leftAt = 0
/** So long after that a letter may still be meant for the field. */
const LINGERS = 400

/** Notes when a field is left. Called once, by the frame. */
export function noteTyping(): void {
  useEventListener(document, 'focusout', ({ target }) => {
    if (isTyping(target)) leftAt = Date.now()
  })
}

/** True where a plain letter may be a command: it is so wanted, and nothing is, or was just now, being typed. */
export function mayCommand(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false
  return hasSingleKeys.value && !isTyping(event.target) && Date.now() - leftAt > LINGERS
}

/** The action of a key on every screen; undefined where it has none. */
export function shortcutOf(event: KeyboardEvent): 'undo' | 'redo' | 'palette' | 'shortcuts' | undefined {
  const key = event.key.toLowerCase()
  const command = event.ctrlKey || event.metaKey
  const field = (event.target as Partial<HTMLElement> | null)?.closest?.<HTMLInputElement>(
    'input:not([type="range"]), textarea',
  )
  const writes = Boolean(field?.value)
  if (command && key === 'k') return 'palette'
  if (command && key === 'z' && !writes) return event.shiftKey ? 'redo' : 'undo'
  if (command && key === 'y' && !writes) return 'redo'
  if (key === '?' && mayCommand(event)) return 'shortcuts'
  return undefined
}
