import type { Statement } from '#core/charges/statement'
import { Leaf, type LeafSize } from './leaf'
import { day } from '~/format/days'

/** How names, titles and money are written. */
interface Written {
  heading: string
  span: string
  money: (cents: number) => string
  titleOf: (stream: string | null) => string
  nameOf: (id: string) => string
}

/** A statement for each, one after the other, with every line and what they come to. */
export async function statementsPdf(
  statements: readonly Statement[],
  { heading, span, money, titleOf, nameOf }: Written,
  size: LeafSize,
): Promise<ArrayBuffer> {
  const leaf = await Leaf.of(size, heading)
  const columns = [24, 30, leaf.inner - 118, 42, 22]
  for (const [i, { key, lines, cents, open }] of statements.entries()) {
    if (i > 0) leaf.newPage()
    leaf.text(key, 20, 'heading')
    leaf.text(span, 10)
    leaf.gap(4)
    const head = () => {
      leaf.row(['Day', 'Who', 'What', 'Edition', 'Amount'], columns, 9, 'strong')
      leaf.rule()
    }
    head()
    for (const line of lines) {
      if (leaf.room(7)) head()
      const what = [
        line.what,
        line.isReckoned ? 'reckoned' : '',
        line.isUnpriced ? 'no price' : '',
        line.settledBy ? 'settled' : '',
      ].filter(Boolean)
      leaf.row(
        [day(line.at), nameOf(line.personId), what.join(', '), titleOf(line.editionStream), money(line.cents)],
        columns,
      )
    }
    leaf.rule()
    leaf.row(['', '', '', 'in all', money(cents)], columns, 10, 'strong')
    if (open !== cents) leaf.row(['', '', '', 'open', money(open)], columns, 10, 'strong')
  }
  return leaf.finish()
}
