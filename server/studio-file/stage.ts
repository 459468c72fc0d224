import { agree, pluralise } from '#core/units/pluralise'
import { streamKind } from '#core/ground/envelope'
import { eventOf } from '#core/house/acts'
import { eventFault, sheetsIn } from '#core/house/event-bounds'
import { shapeFault } from '#core/house/event-shape'
import { streamKinds } from '#core/house/streams'
import { isNewer } from '#core/house/upcast'
import { checkLine } from './check-line'
import type { EndLine, EventLine, StudioLine } from './lines'
import { Problems } from './problems'
import { linesOf, LineTooLong, type RawLine } from './read-lines'
import { Staged } from './staged'

const order = ['head', 'person', 'event', 'command', 'picture', 'end']

/** A file with more faults is something else: nobody reads on. */
const mostFaults = 1000
/** Lines between two looks at what else is to be done. */
const atOnce = 500

class TooManyFaults extends Error {}

/** Progress is told after so many events. */
const told = 1000

/** Reads a file line by line into a ledger of its own, and tells whatever does not fit. */
export class Stage {
  private last = 0
  private step = 0
  private end: EndLine | null = null
  private lines = 0
  /** Sheets made so far, by edition. */
  private readonly sheets = new Map<string, number>()

  private constructor(
    private readonly staged: Staged,
    private readonly problems: Problems,
    private readonly progress: (events: number, of: number) => void,
  ) {}

  /** @param folder where what is read may lie; empty */
  static async read(
    file: string,
    folder: string,
    problems: Problems,
    progress: (events: number, of: number) => void,
  ): Promise<Staged> {
    const staged = await Staged.in(folder)
    try {
      await new Stage(staged, problems, progress).readAll(file)
      return staged
    } catch (error) {
      await staged.db.close()
      throw error
    }
  }

  private async readAll(file: string): Promise<void> {
    try {
      for await (const raw of linesOf(file)) {
        await this.take(raw)
        if (this.problems.count >= mostFaults) throw new TooManyFaults()
        // Taps come in between, whatever is in the file.
        if (raw.number % atOnce === 0) await new Promise((resolve) => setImmediate(resolve))
      }
    } catch (error) {
      if (error instanceof TooManyFaults)
        this.problems.tell(`More than ${mostFaults} things are wrong with it. The rest was not read.`)
      else if (error instanceof LineTooLong) this.problems.tell('This is no studio file: a line of it has no end.')
      else throw error
    }
    await this.staged.store()
    this.compare()
  }

  private async take(raw: RawLine): Promise<void> {
    this.lines += 1
    const where = `Line ${raw.number}`
    if (!raw.isWhole) {
      this.problems.tell(`${where} has no end: the file was cut there. Fetch it again.`)
      return
    }
    const checked = checkLine(raw.text)
    if ('fault' in checked) {
      this.problems.tell(`${where} ${checked.fault}`)
      return
    }
    const { line } = checked
    const step = order.indexOf(line.line)
    if (step < this.step || (this.end && line.line !== 'end'))
      this.problems.tell(
        `${where}: a line of the kind “${line.line}” stands after one of the kind “${order[this.step]}”.`,
      )
    this.step = Math.max(step, this.step)
    await this.keep(line, raw)
  }

  private async keep(line: StudioLine, raw: RawLine): Promise<void> {
    switch (line.line) {
      case 'head':
        if (raw.number !== 1) this.problems.tell(`Line ${raw.number}: the head stands on the first line alone.`)
        else this.staged.head = line
        return
      case 'person':
        await this.staged.addPerson(line)
        return
      case 'event':
        await this.keepEvent(line, raw.number)
        return
      case 'command':
        await this.staged.addCommand(line)
        return
      case 'picture':
        if (!(await this.staged.addPicture(line)))
          this.problems.tell(`Line ${raw.number}: the picture is not the one it is called after.`)
        return
      case 'end':
        this.end = line
        if (line.sha256 !== raw.before())
          this.problems.tell(
            'The file was changed after it was written: its last line has another hash of what is before it.',
          )
    }
  }

  private async keepEvent(event: EventLine, number: number): Promise<void> {
    const { type, stream, position } = event
    if (!streamKinds.includes(streamKind(stream)))
      this.problems.once(
        `Line ${number}: streams of the kind “${streamKind(stream)}” are unknown here. Use the newer program.`,
      )
    else if (!eventOf.has(type) || isNewer(event))
      this.problems.once(
        `Line ${number}: “${type}” version ${event.version} was written by a newer program. Use that one.`,
      )
    else {
      const fault = eventFault(event, this.sheets.get(stream) ?? 0) ?? shapeFault(event)
      if (fault) {
        // Not kept: what it holds is more than any room can, or no act wrote it.
        this.problems.tell(`Line ${number} (${type}): ${fault}`)
        return
      }
      this.sheets.set(stream, (this.sheets.get(stream) ?? 0) + sheetsIn(event))
    }
    if (position !== this.last + 1)
      this.problems.tell(`Line ${number}: event ${position} stands after event ${this.last}.`)
    this.last = position
    await this.staged.addEvent(event)
    if (this.staged.events % told === 0) this.progress(this.staged.events, this.staged.head?.events ?? 0)
  }

  /** What the first and last lines say against what was there. */
  private compare(): void {
    const { head, people, events, pictures } = this.staged
    if (!head) return this.problems.tell('This is no studio file: its first line is not the head of one.')
    if (!this.end) this.problems.tell('The file is not whole: its last line, the end, is missing. Fetch it again.')
    else if (this.end.lines !== this.lines - 1)
      this.problems.tell(
        `The end says ${pluralise(this.end.lines, 'line')} ${agree(this.end.lines, 'stands', 'stand')} before it; ${this.lines - 1} ${agree(this.lines - 1, 'does', 'do')}.`,
      )
    const said = { people: people.length, events, commands: this.staged.commands, pictures: pictures.size }
    for (const name of ['people', 'events', 'commands', 'pictures'] as const)
      if ((head[name] ?? 0) !== said[name])
        this.problems.tell(`The head says there are ${head[name] ?? 0} ${name}; ${said[name]} came.`)
  }
}
