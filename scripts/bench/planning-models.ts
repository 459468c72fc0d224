export { planTears } from '../../core/paper/tear-plan'
export { chanceOf, chancesBySheets, chancesUpTo } from '../../core/plan/odds'
export { startAnswers } from '../../core/plan/start'
