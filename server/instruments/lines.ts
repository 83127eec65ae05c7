/** A stream of text as whole lines, none longer than a line may be. */
export class LineReader {
  #rest = ''
  constructor(private readonly longest: number) {}

  /** The lines that ended with this piece, without the empty ones; null: one grew beyond what a line may be. */
  take(piece: string): string[] | null {
    const parts = (this.#rest + piece).split('\n')
    this.#rest = parts.pop()!
    return this.#rest.length > this.longest || parts.some((part) => part.length > this.longest)
      ? null
      : parts.map((part) => (part.endsWith('\r') ? part.slice(0, -1) : part)).filter((part) => part.trim() !== '')
  }
}
