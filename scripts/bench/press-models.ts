export { findCause } from '#core/finder/finder'
export { trialsOf } from '#core/edition/trials'
export { nearestCards } from '#core/press/cards'
export { together } from '#core/print/remedies'
