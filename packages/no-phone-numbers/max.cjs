/** No field of ours is a phone number; a class that says so is told at its first check. */
exports.parsePhoneNumber = () => {
  throw new Error('Phone numbers are not checked here: packages/no-phone-numbers stands in for their tables.')
}
