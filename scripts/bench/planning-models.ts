export { planTears } from '../../core/paper/tear-plan'
export { chanceBySheets } from '../../core/plan/odds'
export { startAnswers } from '../../core/plan/start'
