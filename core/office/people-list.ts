import { type Role, roles } from '../ground/envelope'

/** Somebody of a list, as the room is to know them. */
export interface Listed {
  name: string
  role: Role
  active: boolean
}

/** What is wrong with a row of a list, by its number in the file, the heading being the first. */
export interface RowFault {
  row: number
  words: string
}

interface Known {
  id: string
  name: string
  role: Role
  active: boolean
}

export interface PeopleList {
  added: Listed[]
  changed: (Listed & { id: string })[]
  same: number
  faults: RowFault[]
}

const longestName = 80
const gone = new Set(['no', 'left', 'false', '0'])
const here = new Set(['', 'yes', 'here', 'true', '1'])

/**
 * What a list of people changes in the room: who is new, who has another role or has left. Nobody is taken away who is not
 * on it, and a name written otherwise renames nobody. A row that cannot be read is told, and keeps no other row out.
 * @param rows of a table by its headings: `name`, `role`, `here`
 */
export function peopleList(rows: readonly Record<string, string | undefined>[], known: readonly Known[]): PeopleList {
  const found: PeopleList = { added: [], changed: [], same: 0, faults: [] }
  const seen = new Set<string>()
  for (const [i, row] of rows.entries()) {
    const one = rowOf(row)
    const name = typeof one === 'string' ? '' : one.name.toLocaleLowerCase()
    const words = typeof one === 'string' ? one : seen.has(name) ? `${one.name} stands on it twice.` : null
    if (words !== null || typeof one === 'string') {
      found.faults.push({ row: i + 2, words: words ?? String(one) })
      continue
    }
    seen.add(name)
    const before = known.find((person) => person.name.toLocaleLowerCase() === name)
    if (!before) {
      if (one.active) found.added.push(one)
      else found.same++
    } else if (before.role !== one.role || before.active !== one.active)
      found.changed.push({ ...one, id: before.id, name: before.name })
    else found.same++
  }
  return found
}

/** A row as a person, or what is wrong with it. */
function rowOf(row: Record<string, string | undefined>): Listed | string {
  const cell = (key: string) => (row[key] ?? '').trim()
  const name = cell('name')
  const role = cell('role').toLowerCase() || 'student'
  const said = cell('here').toLowerCase()
  if (name === '') return 'No name.'
  if (name.length > longestName) return `A name has at most ${longestName} letters.`
  if (!roles.includes(role as Role)) return `“${cell('role')}” is no role; there are ${roles.join(', ')}.`
  if (!gone.has(said) && !here.has(said)) return `“${cell('here')}” under “here”: write yes or left.`
  return { name, role: role as Role, active: !gone.has(said) }
}
