/** A warning of coaches: what is done too early, the hold that should be on first, and what it is called. */
export interface Warning {
  says: string
  move: string
  hold: string
}

const warn = (says: string, move: string, hold: string): Warning => ({ says, move, hold })

/** Thirty warnings as they are given on the mat: with the hold the move is worth more, without it less. */
export const WARNINGS: readonly Warning[] = [
  warn('Do not move the hips before the choking wrist is held', 'esc-hip-slip', 'our-hands-on-the-choking-wrist'),
  warn('Do not walk the hips with their hand free', 'esc-high-hip-walk', 'our-hands-on-the-choking-wrist'),
  warn('Palm in the gap before the shoulder slips', 'esc-open-shoulder-slip', 'our-palm-in-the-gap'),
  warn('Palm in the gap before the elbow is pinned', 'esc-closed-elbow-pin', 'our-palm-in-the-gap'),
  warn('Do not rise while the choking hand is free', 'esc-bottom-arm-pin', 'our-hands-on-the-choking-wrist'),
  warn('Hold the wrist up to the bridge', 'esc-elbow-bridge', 'our-hands-on-the-choking-wrist'),
  warn('Keep the lift until the leg is on the arm', 'leg-trap-top-arm', 'under-hand-on-the-top-wrist'),
  warn('Keep the first trap while the second leg goes on', 'trap-second-arm-by-leg', 'top-leg-over-the-top-arm'),
  warn('Do not roll before the arm is trapped', 'roll-to-over-side', 'top-leg-over-the-top-arm'),
  warn('Hands trapped before the neck', 'chin-thumb-slide', 'top-leg-over-the-top-arm'),
  warn('The other hand held before the neck', 'chin-thumb-slide', 'under-hand-on-the-bottom-wrist'),
  warn('Forearm under the chin before the choke is closed', 'rnc-close-same-side', 'forearm-under-the-chin'),
  warn('Hand behind the head before the squeeze', 'rnc-finish-squeeze', 'hand-behind-the-head'),
  warn('Keep the hook until the leg is on', 'over-side-top-arm-pass', 'left-hook-in'),
  warn(
    'Arm on the head until theirs begins to rise',
    'release-head-to-high-crotch',
    'other-arm-over-and-round-the-head-neck',
  ),
  warn('Headlock on until the knee is behind the triceps', 'knee-behind-triceps', 'choking-arm-round-head'),
  warn('Weight on the head while the arm goes through', 'chest-catch', 'choking-armpit-back-of-head-near-choking-ribs'),
  warn('Do not sit before the hands are joined', 'hip-sit-guillotine', 'hands-joined-under-the-chin'),
  warn('Weight on the head while the elbow rises', 'raise-high-elbow', 'choking-armpit-weight-back-of-head'),
  warn('Hands joined before the leg goes over', 'leg-over-back', 'hands-joined-under-the-chin'),
  warn('Knee heavy until it has crossed', 'knee-through-mount', 'knee-belly-pointing-at-their-far-shoulder'),
  warn('Hold the hips until the hand is on the spine', 'settle-both-across', 'arms-round-the-hips'),
  warn(
    'Knee at the near hip until the forearm is on the thigh',
    'swap-to-thigh-check',
    'hip-side-knee-stays-their-near-hip',
  ),
  warn(
    'Near hip blocked until the shoulder is hauled up',
    'wedge-near-shoulder',
    'hip-side-arm-hand-or-elbow-their-near-hip',
  ),
  warn('Hip guard on before the far arm is hunted', 'settle-then-hunt', 'hip-side-arm-hand-or-elbow-their-near-hip'),
  warn('Legs over them until the kimura is on', 'armbar-to-kimura', 'legs-across-chest-and-head'),
  warn('Underhook until the elbow is high', 'crawl-elbow-high', 'far-arm-underhooked'),
  warn('Knee blocked until the collar is in', 'delayed-collar-dig', 'hip-side-knee-on-their-near-knee'),
  warn('Chest on the back until the arms are round', 'seatbelt-from-the-flank', 'chest-their-back'),
  warn('Legs on the arm before we roll', 'crucifix-roll', 'legs-legged-arm-ankles-crossed'),
]
