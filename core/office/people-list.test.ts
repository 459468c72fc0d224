import { describe, expect, it } from 'vitest'
import { peopleList } from './people-list'

const known = [
  { id: 'p1', name: 'Ansa Quill', role: 'manager' as const, active: true },
  { id: 'p2', name: 'Merle Tarn', role: 'member' as const, active: true },
]

describe('a list of people', () => {
  it('adds who is new, changes who is known, and takes nobody away', () => {
    const list = peopleList(
      [
        { name: 'Ibb Fenner', role: 'Student' },
        { name: 'merle tarn', role: 'instructor', here: 'yes' },
        { name: 'Rook Alder', role: '', here: '' },
      ],
      known,
    )
    expect(list).toEqual({
      added: [
        { name: 'Ibb Fenner', role: 'student', active: true },
        { name: 'Rook Alder', role: 'student', active: true },
      ],
      changed: [{ id: 'p2', name: 'Merle Tarn', role: 'instructor', active: true }],
      same: 0,
      faults: [],
    })
  })

  it('tells each row that cannot be read, by its number in the file, and takes the others', () => {
    const list = peopleList(
      [{ name: '' }, { name: 'A', role: 'prefect' }, { name: 'B' }, { name: 'b' }, { name: 'C', here: 'perhaps' }, {}],
      known,
    )
    expect(list.added.map(({ name }) => name)).toEqual(['B'])
    expect(list.faults.map(({ row }) => row)).toEqual([2, 3, 5, 6, 7])
    expect(list.faults[1]!.words).toBe('“prefect” is no role; there are manager, instructor, member, student.')
  })

  it('leaves who has left, and who is as before', () => {
    const list = peopleList(
      [
        { name: 'Merle Tarn', role: 'member', here: 'left' },
        { name: 'Ansa Quill', role: 'manager' },
        { name: 'Nobody Yet', here: 'no' },
      ],
      known,
    )
    expect(list).toMatchObject({ added: [], changed: [{ id: 'p2', active: false }], same: 2 })
  })
})
