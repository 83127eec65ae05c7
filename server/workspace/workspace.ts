/**
 * A tester's whole database as this process serves it: its connections, its bench's clock, what pages subscribe to, who
 * waits to be let in. Nothing of it stands at the level of a module, so that a process can serve several.
 */
import { LiveLanes } from '../bench/liveLanes'
import { LiveSamples } from '../bench/liveSamples'
import { BenchClock } from '../bench/benchClock'
import { openDatabase, type Database } from '../database/connection'
import { Notices } from '../database/notices'
import { Intake } from '../instruments/intake'
import { SentNowFeed } from '../instruments/sentNow'
import { SimulatedInstruments } from '../instruments/simulated'
import { OpenStreams } from '../share/openStreams'
import { Pairing } from '../share/pairing'

export interface Workspace {
  url: string
  db: Database
  notices: Notices
  clock: BenchClock
  lanes: LiveLanes
  samples: LiveSamples
  sentNow: SentNowFeed
  intake: Intake
  simulated: SimulatedInstruments
  pairing: Pairing
  streams: OpenStreams
}

/** @param db where it is open already */
export function openWorkspace(url: string, db: Database = openDatabase(url).db): Workspace {
  const notices = new Notices(url)
  const clock = new BenchClock(db)
  return {
    url,
    db,
    notices,
    clock,
    lanes: new LiveLanes({ db, clock, notices }),
    samples: new LiveSamples({ db, notices }),
    sentNow: new SentNowFeed(notices),
    intake: new Intake(db),
    simulated: new SimulatedInstruments(db),
    pairing: new Pairing(),
    streams: new OpenStreams(),
  }
}
