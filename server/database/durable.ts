import { open } from 'node:fs/promises'

/** What was written, made or renamed there is on disk when this resolves. @param path a file, or a folder for its entries */
export async function durable(path: string): Promise<void> {
  const handle = await open(path, 'r')
  await handle.sync().finally(() => handle.close())
}

/** True when the disk, the person's share of it, or a file has no room for more. */
export function hasNoRoom(error: unknown): boolean {
  const { code = '', message } = error as NodeJS.ErrnoException
  return ['ENOSPC', 'EDQUOT', 'EFBIG'].includes(code) || /SQLITE_FULL|disk is full/.test(message)
}
