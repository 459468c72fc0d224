import type { EditionPlan, Rates } from './plan'

export const noRates: Rates = { inkGram: 0, pressHour: 0, labourHour: 0, minutesPerPull: 4 }

/** What plans were made of before they said how sheets to start were reckoned. */
export const planDefaults: Pick<
  EditionPlan,
  'work' | 'colouring' | 'layering' | 'layersPlanned' | 'expected' | 'finishing' | 'confidence' | 'start' | 'rates'
> = {
  work: 'press',
  colouring: false,
  layering: 'as one goes',
  layersPlanned: 1,
  expected: null,
  finishing: null,
  confidence: 0.9,
  start: null,
  rates: noRates,
}
