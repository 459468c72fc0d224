import { IsInt, IsObject, IsOptional, IsString, Length, Matches, Max, Min } from 'class-validator'
import { IsMoment } from '#core/ground/written'
import { singleStreams, streamKinds } from '#core/house/streams'

const commandIdPattern = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/

const others = streamKinds.filter((kind) => !singleStreams.includes(kind))
const streamPattern = new RegExp(`^(${singleStreams.join('|')}|(${others.join('|')}):[0-9A-Za-z-]{1,64})$`)

/** How a command travels from a browser to the ledger. */
export class CommandRequest {
  @Matches(commandIdPattern, { message: 'is a UUID of version 7' })
  commandId!: string

  @IsString()
  @Length(1, 64)
  device!: string

  /** Id of the person who did it; the session may by then be another's. */
  @IsString()
  @Length(1, 64)
  by!: string

  /** The seal of a tap: that this person gave this very tap at that device. */
  @IsOptional()
  @IsString()
  @Length(1, 120)
  proof?: string

  @IsMoment()
  occurredAt!: string

  @IsString()
  @Length(1, 40)
  type!: string

  @Matches(streamPattern, {
    message: `names the ${singleStreams.join(' or the ')} or ${others.join(', ')} by id`,
  })
  stream!: string

  @IsOptional()
  @IsInt()
  @Min(0)
  @Max(10_000_000)
  expectedSeq?: number

  @IsObject()
  data!: object
}
