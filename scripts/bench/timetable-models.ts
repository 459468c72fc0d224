export { betterPlans, bestPlan } from '../../core/timetable/plan'
export { openSpans } from '../../core/calendar/hours'
export { emptyCalendar } from '../../core/calendar/state'
