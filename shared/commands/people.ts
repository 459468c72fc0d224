import { IsBoolean, IsIn, IsOptional, IsString, Length } from 'class-validator'
import { type Role, roles } from '#core/ground/envelope'
import { Called, Secret } from '#core/ground/shape'
import { lineCustoms, type LineCustom } from '#core/print/pencil-line'
import { type LengthUnit, lengthUnits } from '#core/units/length'

export class SignIn {
  @IsString() @Length(1, 64) personId!: string
  @Secret() secret!: string
  /** True on a device of the person's own, which does not go idle. */
  @IsOptional() @IsBoolean() own?: boolean
}

/** The secret given once more. */
export class GiveSecret {
  @Secret() secret!: string
}

export class SetSecret {
  @Secret(4) secret!: string
  /** The one in force, for one's own. */
  @IsOptional() @Secret() before?: string
}

/** Why somebody leaves a station. */
export class SignOut {
  /** True when nobody touched the station for long: taps on the way stay theirs. */
  @IsOptional() @IsBoolean() idle?: boolean

  /** True when taps wait in this browser: they stay theirs. */
  @IsOptional() @IsBoolean() waiting?: boolean
}

export class AddPerson {
  @Called('the name') @Length(1, 80) name!: string
  @IsIn(roles) role!: Role
  @Secret(4) secret!: string
}

export class ChangePerson {
  @Called('the name') @Length(1, 80) name!: string
  @IsIn(roles) role!: Role
  @IsBoolean() active!: boolean
}

export class SetUpStudio {
  /** What the server printed when it started on an empty folder. */
  @Called('the token that the server printed when it started') @Length(1, 40) token!: string
  @Called('the name of the pressroom') @Length(1, 80) studio!: string
  @Called('the name of the manager') @Length(1, 80) name!: string
  @Secret(4) secret!: string
  @IsIn(lineCustoms) line!: LineCustom
  @IsString() @Length(1, 8) currency!: string
  @IsOptional() @IsIn(lengthUnits) unit?: LengthUnit
  /** Where the room is: its days and hours are by that clock. */
  @IsOptional() @IsString() @Length(1, 64) timeZone?: string
}

/** The set-up from a studio file: which of its managers opens the room, and the secret they choose. */
export class TakeStudioFile {
  @Called('the token that the server printed when it started') @Length(1, 40) token!: string
  @IsString() @Length(1, 64) managerId!: string
  @Secret(4) secret!: string
}
