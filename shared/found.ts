/** Something that was found by words, and where it is. */
export interface Found {
  id: string
  kind: string
  words: string
  to: string
}
