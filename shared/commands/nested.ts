import { Type } from 'class-transformer'
import { IsDefined, ValidateNested } from 'class-validator'

/** An object within, checked by its own class. Left out, it is refused, which `ValidateNested` alone would not do. */
export function Nested(shape: () => new () => object): PropertyDecorator {
  return (target, key) => {
    IsDefined()(target, key as string)
    ValidateNested()(target, key as string)
    Type(shape)(target, key)
  }
}
