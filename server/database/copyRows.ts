/**
 * A transaction in which rows can also come by COPY, as PostgreSQL's own bytes. Source: "Binary Format" on the page of
 * COPY in PostgreSQL's manual; from memory, held by a test that reads them back.
 */
import { drizzle } from 'drizzle-orm/node-postgres'
import type { PoolClient } from 'pg'
import { from as copyFrom } from 'pg-copy-streams'
import type { Connection, Database } from './connection'
import * as schema from './schema'

/**
 * A connection that can copy. `copy('table (columns)', rows)`: of each row its columns, each as the bytes of its type.
 */
export interface Copying {
  tx: Connection
  copy: (into: string, rows: readonly (readonly Buffer[])[]) => Promise<void>
}

/** On a connection of its own, which COPY takes. Undone where `work` throws. */
export async function copyingTransaction<T>(db: Database, work: (copying: Copying) => Promise<T>): Promise<T> {
  const client = await db.$client.connect()
  try {
    await client.query('begin')
    const done = await work({ tx: over(client), copy: (into, rows) => copyIn(client, into, rows) })
    await client.query('commit')
    client.release()
    return done
  } catch (error) {
    // A connection that cannot go back is broken: the pool makes another.
    await client.query('rollback').then(
      () => client.release(),
      () => client.release(true),
    )
    throw error
  }
}

/** Made once for each connection: it reads the whole schema. */
const made = new WeakMap<PoolClient, Connection>()
function over(client: PoolClient): Connection {
  const known = made.get(client) ?? drizzle(client, { schema })
  made.set(client, known)
  return known
}

function copyIn(client: PoolClient, into: string, rows: readonly (readonly Buffer[])[]): Promise<void> {
  return new Promise((resolve, reject) => {
    const stream = client.query(copyFrom(`copy ${into} from stdin (format binary)`))
    stream.on('error', reject)
    stream.on('finish', resolve)
    stream.end(
      Buffer.concat([
        HEAD,
        ...rows.flatMap((fields) => [
          int2Bytes(fields.length),
          ...fields.flatMap((field) => [int4Bytes(field.length), field]),
        ]),
        int2Bytes(-1),
      ]),
    )
  })
}
/** Signature, no flags, nothing more. */
const HEAD = Buffer.from('PGCOPY\n\xff\r\n\0\0\0\0\0\0\0\0\0', 'latin1')

function int2Bytes(value: number): Buffer {
  const bytes = Buffer.allocUnsafe(2)
  bytes.writeInt16BE(value)
  return bytes
}
export function int4Bytes(value: number): Buffer {
  const bytes = Buffer.allocUnsafe(4)
  bytes.writeInt32BE(value)
  return bytes
}
export function int8Bytes(value: number): Buffer {
  const bytes = Buffer.allocUnsafe(8)
  bytes.writeBigInt64BE(BigInt(value))
  return bytes
}
export const uuidBytes = (value: string): Buffer => Buffer.from(value.replaceAll('-', ''), 'hex')
