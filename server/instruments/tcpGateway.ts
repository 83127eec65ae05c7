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
  const gateway = new TcpGateway(workspace, port, owns)
  void gateway.own()
  return () => gateway.stop()
}

class TcpGateway {
  readonly #workspace: Workspace
  readonly #port: number
  readonly #owns: (is: boolean) => void
  readonly #sockets = new Set<Socket>()
  #server: Server | null = null
  /** The connection whose lock owns the port. */
  #client: pg.Client | null = null
  #timer: ReturnType<typeof setTimeout> | undefined
  #over = false

  constructor(workspace: Workspace, port: number, owns: (is: boolean) => void) {
    this.#workspace = workspace
    this.#port = port
    this.#owns = owns
  }

  async own(): Promise<void> {
    const mine = (this.#client = new pg.Client({ connectionString: this.#workspace.url }))
    mine.on('error', () => undefined)
    // Its lock went with it: another may own the port now.
    mine.on('end', () => {
      if (this.#client !== mine) return
      this.#letGo()
      this.#again()
    })
    try {
      await mine.connect()
      const { rows } = await mine.query<{ mine: boolean }>('select pg_try_advisory_lock($1) as mine', [OWNER_LOCK])
      if (rows[0]!.mine) this.#listen(mine)
      else await this.#leaveTo(mine)
    } catch {
      await this.#leaveTo(mine)
    }
  }

  async stop(): Promise<void> {
    this.#over = true
    clearTimeout(this.#timer)
    const mine = this.#client
    this.#client = null
    this.#letGo()
    await mine?.end().catch(() => undefined)
  }

  #listen(mine: pg.Client): void {
    this.#server = createServer((socket) => serve(this.#workspace, socket, this.#sockets))
    this.#server.maxConnections = SOCKETS.most
    this.#server.on('error', () => void this.#leaveTo(mine))
    this.#server.listen(this.#port, '127.0.0.1', () => this.#owns(true))
  }

  /** Another owns the port, or it cannot be had: asked for again in a while. */
  async #leaveTo(mine: pg.Client): Promise<void> {
    this.#client = null
    await mine.end().catch(() => undefined)
    this.#again()
  }

  #again(): void {
    // One at a time asks: a connection that fails says so twice.
    clearTimeout(this.#timer)
    if (!this.#over) this.#timer = setTimeout(() => void this.own(), AGAIN_MS).unref()
  }

  #letGo(): void {
    this.#owns(false)
    this.#server?.close()
    this.#server = null
    for (const socket of this.#sockets) socket.destroy()
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
