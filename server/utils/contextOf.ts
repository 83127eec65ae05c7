import type { H3Event } from 'h3'
import type { Caller } from '#server/http/caller'
import type { Database } from '#server/database/connection'
import type { Workspace } from '#server/workspace/workspace'
import { servedWorkspace } from '#server/workspace/served'

/** What a service is called with: the database of the workspace that was asked, who asks, and when. */
export interface Context {
  db: Database
  workspace: Workspace
  actor: Caller
  nowMs: number
}

export function contextOf(event: H3Event): Context {
  const workspace = (event.context.workspace ??= servedWorkspace())
  return { db: workspace.db, workspace, actor: event.context.caller, nowMs: Date.now() }
}
