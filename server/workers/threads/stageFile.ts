/** In a thread of its own: somebody's file read, and made the chunks in which it waits. */
import '../afterOthers'
import { stagedFrom, type FileToStage, type StagedFile } from '../../import/stagedFile'
import type { R } from '../../../core/result'

export default async function stageFile({ name, bytes }: FileToStage): Promise<R<StagedFile>> {
  return stagedFrom(name, Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength))
}
