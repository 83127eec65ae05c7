/** Which workspaces this process serves. Today one, named by DATABASE_URL. */
import { openWorkspace, type Workspace } from './workspace'

const open = new Map<string, Workspace>()

export function servedWorkspace(): Workspace {
  const url = process.env.DATABASE_URL
  if (!url) throw new Error('DATABASE_URL is not set: start with npm start')
  const known = open.get(url)
  if (known !== undefined) return known
  const workspace = openWorkspace(url)
  open.set(url, workspace)
  return workspace
}
