import { blockEndWords } from '../print/block-end'
import { isOpenWork } from '../print/series'
import { methodWord } from '../plan/plan'
import type { EditionRecord } from './record'

/** One fact of an edition, in the words of its record. */
export interface Fact {
  term: string
  lines: string[]
}

const kinds: Record<string, string> = {
  WP: 'working proofs',
  SP: 'state proofs',
  CTP: 'colour trials',
  progressive: 'progressives',
}
/** “working proof”, of several “working proofs”. */
const one = (kind: string) => (kinds[kind] ?? kind).replace(/s$/, '')
const schools: Record<EditionRecord['plan']['sizeSchool'], string> = {
  declared: 'declared before printing',
  counted: 'counted from the good prints',
  open: 'open: no size is promised',
  varied: 'varied: no two prints are alike',
  'open work': 'open work: no edition',
}
const plural = (number: number, one: string) => `${number} ${one}${number === 1 ? '' : 's'}`

/** How sizes and days are written where the record is read. */
export interface Writing {
  size: (width: number, height: number) => string
  day: (iso: string) => string
}

/** What buyers, shows and disclosure laws commonly ask to know of an edition, in order; local law decides what is required. */
export function recordFacts(record: EditionRecord, { size, day }: Writing): Fact[] {
  const { series, plan, paper, layers, printed, amendments, count } = record
  const facts: Fact[] = [
    {
      term: 'Edition',
      lines:
        series.length === 0
          ? [isOpenWork(plan) ? schools['open work'] : 'not numbered yet']
          : [
              ...series.map(
                ({ series: name, size: of, signed, destroyed }) =>
                  `${name === 'edition' ? 'numbered' : name} ${of} (${signed} signed${destroyed > 0 ? `, ${destroyed} destroyed` : ''})`,
              ),
              schools[plan.sizeSchool],
            ],
    },
    {
      term: 'Other proofs',
      lines: [
        record.proofs
          .map(({ kind, count: of }) => `${of} ${of === 1 ? one(kind) : (kinds[kind] ?? kind)}`)
          .join(', ') || 'none',
      ],
    },
    { term: 'Image', lines: record.image ? [size(record.image.width, record.image.height)] : [] },
    {
      term: 'Paper',
      lines: [
        ...paper.map(({ name, pieces }) => `${name}, ${plural(pieces, 'piece')}`),
        ...(record.size ? [`sheet ${size(record.size.width, record.size.height)}`] : []),
      ],
    },
    {
      term: 'Printed',
      lines: [
        methodWord(record.plan.method),
        ...layers.map(
          ({ name, inks, press, pulls, rejects }, i) =>
            `${i + 1}. ${name}${inks.length > 0 ? ` in ${inks.join(', ')}` : ''}${press ? `, ${press}` : ''}: ${plural(pulls, 'pull')}, ${plural(rejects, 'reject')}`,
        ),
      ],
    },
    { term: 'Coloured by hand', lines: record.colours.length > 0 ? [record.colours.join(', ')] : [] },
    { term: 'By', lines: record.printers.length > 0 ? [record.printers.join(', ')] : [] },
    {
      term: 'On',
      lines: printed
        ? [printed.from === printed.to ? day(printed.from) : `${day(printed.from)} to ${day(printed.to)}`]
        : [],
    },
    {
      term: 'Closed',
      lines: [
        record.closedAt ? day(record.closedAt) : 'not closed',
        record.closedAt && record.blockEnd !== 'unsaid' ? blockEndWords(record.blockEnd) : '',
        record.closingNote,
      ].filter(Boolean),
    },
    {
      term: 'Same block',
      lines: [
        ...record.earlier.map(
          ({ title, signed, closedAt }) =>
            `before: ${title}, ${signed} signed, ${closedAt === null ? 'open when this one was begun' : `closed ${day(closedAt)}`}`,
        ),
        ...record.later.map(({ title, startedAt }) => `since: ${title}, begun ${day(startedAt)}`),
      ],
    },
    {
      term: 'Amended',
      lines: [
        ...amendments.map(({ size: to, at, by, reason }) => `to ${to} on ${day(at)} by ${by}: ${reason}`),
        ...(record.writtenOtherwise.length > 0
          ? [`still pencilled over an earlier size: ${record.writtenOtherwise.join(', ')}`]
          : []),
      ],
    },
    {
      term: 'The count',
      lines: [
        `${count.rows.map(({ sheets, label }) => `${sheets} ${label}`).join(', ')}; in all ${count.total}, ${count.balances ? 'balances' : 'does not balance'}`,
      ],
    },
  ]
  return facts.filter(({ lines }) => lines.length > 0)
}

/** What one print’s certificate says. */
export function certificateFacts(record: EditionRecord, number: string, writing: Writing): Fact[] {
  const wanted = new Set(['Image', 'Coloured by hand', 'On', 'Closed', 'Same block', 'Amended'])
  const { series, layers } = record
  return [
    { term: 'Number', lines: [number] },
    {
      term: 'Edition',
      lines: series.map(({ series: name, size }) =>
        name === 'edition' ? `${size} numbered prints` : `${size} ${name}`,
      ),
    },
    {
      term: 'Printed',
      lines: [
        [methodWord(record.plan.method), plural(layers.length, 'layer')].join(', '),
        ...(record.printers.length > 0 ? [`by ${record.printers.join(', ')}`] : []),
      ],
    },
    {
      term: 'Paper',
      lines: [
        [...new Set(record.paper.map(({ name }) => name))].join(', '),
        record.size ? `sheet ${writing.size(record.size.width, record.size.height)}` : '',
      ].filter(Boolean),
    },
    ...recordFacts(record, writing).filter(({ term }) => wanted.has(term)),
  ]
}
