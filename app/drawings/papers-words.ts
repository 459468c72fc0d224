import { methodWord } from '#core/plan/plan'
import type { EditionRecord } from '#core/edition/record'

/** What every paper about an edition says, on screen and as PDF. */
export const law = 'What such a paper has to say is decided by the law of the place. Nothing here is legal advice.'

/** Who made it, when and how. */
export const subtitle = ({ artist, year, plan }: EditionRecord): string =>
  [artist, year, methodWord(plan.method)].filter(Boolean).join(', ')

/** The lines of a print's label, its title first. */
export function labelLines(
  record: EditionRecord,
  number: string,
): readonly [title: string, artist: string, print: string, paper: string] {
  const { title, artist, year, plan, paper } = record
  return [
    title,
    [artist, year].filter(Boolean).join(', '),
    `${number}   ${methodWord(plan.method)}`,
    paper.map(({ name }) => name).join(', '),
  ]
}
