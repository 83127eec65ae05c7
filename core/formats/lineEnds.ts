/** Ends of lines as one kind: programs write three, and files that several wrote to hold two of them. */

export interface PlainLines {
  text: string
  /** Whether more than one kind stood there. */ mixed: boolean
}

/** Every end of a line, "\r\n", "\r" or "\n", as "\n". */
export function plainLines(text: string): PlainLines {
  if (!text.includes('\r')) return { text, mixed: false }
  const pairs = text.match(/\r\n/g)?.length ?? 0
  const returns = text.match(/\r(?!\n)/g)?.length ?? 0
  const feeds = text.match(/(?<!\r)\n/g)?.length ?? 0
  return { text: text.replace(/\r\n?/g, '\n'), mixed: [pairs, returns, feeds].filter((count) => count > 0).length > 1 }
}
