/**
 * The TCP port for instruments, on loopback alone. Of several server processes one owns it, by a lock of the database;
 * when that ends, the next takes it.
 */
import { createServer, type Server, type Socket } from 'node:net'
import pg from 'pg'
import { LONGEST_BLOCK } from '../../core/formats/instrumentLine'
import { INGEST } from '../../shared/feed'
import { SOCKETS } from '../http/limits'
import type { Workspace } from '../workspace/workspace'
import { LineReader } from './lines'
import { openSession } from './session'

const OWNER_LOCK = 7_202_605
const AGAIN_MS = 3000
/** Of one connection, read from the wire and not yet taken [characters]: beyond it, it is not read further. */
const MOST_WAITING = 2 * INGEST.maxBytes

/** Tries to own the port, again and again, until it is stopped. `owns` is told when it does, and when no more. */
export function startTcpGateway(
  workspace: Workspace,
  port: number,
  owns: (is: boolean) => void = () => undefined,
): () => Promise<void> {
  let over = false
  let server: Server | null = null
  let client: pg.Client | null = null
  const sockets = new Set<Socket>()
  let timer: ReturnType<typeof setTimeout> | undefined
  const again = () => {
    if (!over) timer = setTimeout(() => void own(), AGAIN_MS).unref()
  }

  async function own(): Promise<void> {
    const mine = (client = new pg.Client({ connectionString: workspace.url }))
    mine.on('error', () => undefined)
    // Its lock went with it: another may own the port now.
    mine.on('end', () => {
      if (client !== mine) return
      letGo()
      again()
    })
    try {
      await mine.connect()
      const { rows } = await mine.query<{ mine: boolean }>('select pg_try_advisory_lock($1) as mine', [OWNER_LOCK])
      if (!rows[0]!.mine) {
        client = null
        await mine.end()
        return again()
      }
      server = createServer((socket) => serve(workspace, socket, sockets))
      server.maxConnections = SOCKETS.most
      server.on('error', () => {
        client = null
        void mine.end().catch(() => undefined)
        again()
      })
      server.listen(port, '127.0.0.1', () => owns(true))
    } catch {
      client = null
      await mine.end().catch(() => undefined)
      again()
    }
  }

  function letGo() {
    owns(false)
    server?.close()
    server = null
    for (const socket of sockets) socket.destroy()
  }

  void own()
  return async () => {
    over = true
    clearTimeout(timer)
    const mine = client
    client = null
    letGo()
    await mine?.end().catch(() => undefined)
  }
}

function serve(workspace: Workspace, socket: Socket, sockets: Set<Socket>): void {
  sockets.add(socket)
  socket.on('close', () => sockets.delete(socket))
  socket.on('error', () => socket.destroy())
  socket.setEncoding('utf8')
  socket.setNoDelay(true)
  const reader = new LineReader(INGEST.longestLine)
  const session = openSession(workspace, {
    say: (answer) => void socket.write(`${JSON.stringify(answer)}\n`),
    close: () => socket.end(),
  })
  socket.on('close', () => session.end())
  let turn = Promise.resolve()
  let waiting = 0
  socket.on('data', (piece: string) => {
    const lines = reader.take(piece)
    if (lines === null) {
      socket.end(
        `${JSON.stringify({ error: `A line is longer than ${INGEST.longestLine} characters. One sample a line, or a block of at most ${LONGEST_BLOCK}.` })}\n`,
      )
      return
    }
    waiting += piece.length
    if (waiting > MOST_WAITING) socket.pause()
    turn = turn
      .then(() => (socket.destroyed ? undefined : session.take(lines)))
      .catch(() => {
        socket.destroy()
      })
      .finally(() => {
        waiting -= piece.length
        if (waiting <= MOST_WAITING / 2 && socket.isPaused()) socket.resume()
      })
  })
}
