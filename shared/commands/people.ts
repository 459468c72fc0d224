import { IsBoolean, IsIn, IsOptional, IsString, Length, MaxLength } from 'class-validator'
import { type Role, roles } from '#core/ground/envelope'
import { lineCustoms, type LineCustom } from '#core/print/pencil-line'
import { type LengthUnit, lengthUnits } from '#core/units/length'

const secretRule = { message: 'a PIN or passphrase has 4 to 200 characters' }

export class SignIn {
  @IsString() @Length(1, 64) personId!: string
  @IsString() @MaxLength(200) secret!: string
  /** True on a device of the person's own, which does not go idle. */
  @IsOptional() @IsBoolean() own?: boolean
}

/** The secret given once more. */
export class GiveSecret {
  @IsString() @MaxLength(200) secret!: string
}

export class SetSecret {
  @IsString() @Length(4, 200, secretRule) secret!: string
  /** The one in force, for one's own. */
  @IsOptional() @IsString() @MaxLength(200) before?: string
}

/** Why somebody leaves a station. */
export class SignOut {
  /** True when nobody touched the station for long: taps on the way stay theirs. */
  @IsOptional() @IsBoolean() idle?: boolean

  /** True when taps wait in this browser: they stay theirs. */
  @IsOptional() @IsBoolean() waiting?: boolean
}

export class AddPerson {
  @IsString() @Length(1, 80, { message: 'name the person in 1 to 80 characters' }) name!: string
  @IsIn(roles) role!: Role
  @IsString() @Length(4, 200, secretRule) secret!: string
}

export class ChangePerson {
  @IsString() @Length(1, 80, { message: 'name the person in 1 to 80 characters' }) name!: string
  @IsIn(roles) role!: Role
  @IsBoolean() active!: boolean
}

export class SetUpStudio {
  /** What the server printed when it started on an empty folder. */
  @IsString() @Length(1, 40, { message: 'give the token that the server printed when it started' }) token!: string
  @IsString() @Length(1, 80, { message: 'name the pressroom in 1 to 80 characters' }) studio!: string
  @IsString() @Length(1, 80, { message: 'name the manager in 1 to 80 characters' }) name!: string
  @IsString() @Length(4, 200, secretRule) secret!: string
  @IsIn(lineCustoms) line!: LineCustom
  @IsString() @Length(1, 8) currency!: string
  @IsOptional() @IsIn(lengthUnits) unit?: LengthUnit
  /** Where the room is: its days and hours are by that clock. */
  @IsOptional() @IsString() @Length(1, 64) timeZone?: string
}

/** The set-up from a studio file: which of its managers opens the room, and the secret they choose. */
export class TakeStudioFile {
  @IsString() @Length(1, 40, { message: 'give the token that the server printed when it started' }) token!: string
  @IsString() @Length(1, 64) managerId!: string
  @IsString() @Length(4, 200, secretRule) secret!: string
}
