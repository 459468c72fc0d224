/** Rows for any spreadsheet (RFC 4180); what one would run as a formula is led by an apostrophe. */
export async function rowsCsv(rows: readonly object[]): Promise<string> {
  const { csvOf } = await import('#shared/csv')
  return `${csvOf(rows)}\r\n`
}
