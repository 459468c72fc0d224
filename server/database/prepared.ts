import type { Sequelize } from 'sequelize'
import type { Database, Statement } from 'sqlite3'

/**
 * Statements of the ledger's hot path, each prepared once on the one connection that Sequelize keeps: for the few that every
 * commit runs, preparing them anew and passing through the query layer cost more than the work. Texts must be of a fixed
 * set, since each is kept.
 */
export class Prepared {
  private readonly statements = new Map<string, Promise<Statement>>()

  constructor(private readonly db: Sequelize) {}

  /** @throws what the database says */
  async run(sql: string, bind: readonly unknown[] = []): Promise<void> {
    const statement = await this.statement(sql)
    await new Promise<void>((resolve, reject) => {
      statement.run(bind, (error: Error | null) => (error ? reject(error) : resolve()))
    })
  }

  /** @throws what the database says */
  async all<Row extends object>(sql: string, bind: readonly unknown[] = []): Promise<Row[]> {
    const statement = await this.statement(sql)
    return await new Promise<Row[]>((resolve, reject) => {
      statement.all<Row>(bind, (error, found) => (error ? reject(error) : resolve(found)))
    })
  }

  private statement(sql: string): Promise<Statement> {
    const known = this.statements.get(sql)
    if (known) return known
    const prepared = this.prepare(sql)
    this.statements.set(sql, prepared)
    // A table may be there the next time, and a lock be gone.
    prepared.catch(() => this.statements.delete(sql))
    return prepared
  }

  private async prepare(sql: string): Promise<Statement> {
    const connection = (await this.db.connectionManager.getConnection({ type: 'read' })) as Database
    return await new Promise<Statement>((resolve, reject) => {
      const statement = connection.prepare(sql, (error) => (error ? reject(error) : resolve(statement)))
    })
  }

  /** Before the connection is closed. */
  async close(): Promise<void> {
    const all = await Promise.allSettled(this.statements.values())
    this.statements.clear()
    for (const one of all)
      if (one.status === 'fulfilled') await new Promise<void>((resolve) => one.value.finalize(() => resolve()))
  }
}
