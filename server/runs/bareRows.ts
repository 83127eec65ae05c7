import { sql } from 'drizzle-orm'
import { CORE_VERSION } from '../../core/version'
import type { Connection } from '../database/connection'
import { ELSEWHERE, NO_METHOD } from './runLine'

/**
 * Rows of many new runs as the database alone can write them: found, filtered and sorted at once, their figures worked
 * out with their series.
 */
export async function bareRows(tx: Connection, ids: readonly string[]): Promise<void> {
  await tx.execute(sql`
    with picked as materialized (select id, setup_version_id from run where id = any(${sql.param(ids)}::uuid[])),
      part_names as materialized (select sp.setup_version_id, string_agg(t.name, ' ') as names from setup_part sp join thing_version tv on tv.id = sp.thing_version_id join thing t on t.id = tv.thing_id where sp.setup_version_id in (select setup_version_id from picked) group by 1),
      marked as materialized (select run_id, jsonb_agg(jsonb_build_object('kind', kind, 's', at_ms / 1000.0) order by at_ms) as marks, max(at_ms) / 1000.0 as end_s from event where run_id in (select id from picked) and not voided group by 1)
    insert into run_row (run_id, started_at, day, origin, voided, setup, place, fuel, method, person, remarks, words, line, core_version, stale_since)
    select r.id, r.started_at, (r.started_at at time zone r.zone)::date, r.origin, r.state = 'void', s.name, coalesce(p.name, ${ELSEWHERE}), coalesce(f.name, ''), coalesce(m.name, ${NO_METHOD}), who.name, '{}',
      lower(concat_ws(' ', s.name, coalesce(p.name, ${ELSEWHERE}), coalesce(f.name, ''), coalesce(m.name, ${NO_METHOD}), who.name, r.notes, n.names)),
      jsonb_build_object('id', r.id, 'startedAt', to_char(r.started_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'zone', r.zone, 'setup', s.name, 'place', p.name, 'fuel', f.name, 'kind', r.kind, 'method', m.name, 'voided', r.state = 'void', 'breakIn', r.break_in, 'setting', r.setting,
        'says', null, 'timeToBoilS', null, 'gPerL', null, 'normalisedGPerL', null, 'normalisedU', null, 'status', 'not', 'worstFlag', null, 'ended', null, 'origin', r.origin, 'person', who.name, 'efficiency', null, 'burnRateGPerMin', null, 'firepowerW', null,
        'ribbon', jsonb_build_object('marks', coalesce(e.marks, '[]'), 'water', '[]'::jsonb, 'boilingC', null, 'endS', coalesce(e.end_s, 0), 'weighed', true)),
      ${CORE_VERSION}, clock_timestamp()
    from picked join run r on r.id = picked.id join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id join person who on who.id = r.person_id left join place_version pv on pv.id = r.place_version_id left join place p on p.id = pv.place_id
      left join fuel_batch b on b.id = r.fuel_batch_id left join fuel f on f.id = b.fuel_id left join method_version mv on mv.id = r.method_version_id left join method m on m.id = mv.method_id
      left join part_names n on n.setup_version_id = r.setup_version_id left join marked e on e.run_id = r.id
    order by r.id on conflict do nothing`)
}
