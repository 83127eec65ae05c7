-- A logbook at size: :runs runs of 300 set-ups, each with a trace of 200 samples, and one run with a trace of 36 000. Made of the
-- demonstration's kit; invented, and the same each time. Run in one session, after the demonstration was loaded.
select setseed(0.42);

create temp table mould as
  select row_number() over (order by one.setup_version_id, one.fuel_batch_id) as k, one.* from (
    select distinct r.setup_version_id, r.fuel_batch_id, r.method_version_id, s.name
    from run r join run_summary w on w.run_id = r.id
      join setup_version v on v.id = r.setup_version_id join setup s on s.id = v.setup_id
      join method_version m on m.id = r.method_version_id
    where r.kind = 'boil' and r.state = 'finished' and not r.break_in and w.line->>'status' = 'normalised'
      and m.body->>'test' = 'boil' and w.g_per_l between 12 and 40) one;

create temp table new_setup as
  select i, gen_random_uuid() as setup_id, gen_random_uuid() as version_id, m.setup_version_id as mould,
    m.fuel_batch_id, m.method_version_id, m.name || ' ' || to_char(i, 'FM000') as name
  from generate_series(1, 300) i join mould m on m.k = 1 + i % (select count(*) from mould);
insert into setup (id, name) select setup_id, name from new_setup;
insert into setup_version (id, setup_id, n, gap_m, gap_typed, heat_hash)
  select n.version_id, n.setup_id, 1, v.gap_m, v.gap_typed, md5('at size ' || n.i)
  from new_setup n join setup_version v on v.id = n.mould;
insert into setup_part (setup_version_id, role, thing_version_id)
  select n.version_id, p.role, p.thing_version_id from new_setup n join setup_part p on p.setup_version_id = n.mould;

create temp table somebody as select id, row_number() over (order by id) as k from person;
create temp table somewhere as
  select v.id, p.zone, v.altitude_m, row_number() over (order by v.id) as k
  from place_version v join place p on p.id = v.place_id where v.altitude_m is not null;

create temp table new_run as
  select i, gen_random_uuid() as run_id, 1 + i % 300 as s,
    1 + (i / 7) % (select count(*) from somebody) as who, 1 + (i / 11) % (select count(*) from somewhere) as place,
    timestamptz '2015-01-01' + i * interval '55 minutes' as at,
    round((8 + 14 * random())::numeric, 1)::float8 as start_c,
    round((2 + 18 * random())::numeric, 1)::float8 as air_c,
    case when random() < 0.8 then 0 else round((0.5 + 2 * random())::numeric, 1)::float8 end as wind,
    round((195 + 25 * random())::numeric, 1)::float8 as before_g,
    round((8 + 3 * random() + (i % 300) / 200.0)::numeric, 1)::float8 as used_g, (170 + floor(200 * random()))::int as boil_s
  from generate_series(1, :runs) i;
insert into run (id, origin, kind, state, setup_version_id, fuel_batch_id, method_version_id,
    place_version_id, person_id, started_at, zone, notes, body_hash)
  select r.run_id, 'measured', 'boil', 'finished', n.version_id, n.fuel_batch_id, n.method_version_id,
    p.id, b.id, r.at, p.zone, case when r.i % 500 = 0 then 'a gust at the end' else '' end, 'at size'
  from new_run r join new_setup n on n.i = r.s join somewhere p on p.k = r.place join somebody b on b.k = r.who;
insert into measurement (id, run_id, quantity, value, typed, typed_unit, person_id)
  select gen_random_uuid(), r.run_id, q.quantity, q.value, q.typed, q.unit, b.id
  from new_run r join somebody b on b.k = r.who cross join lateral (values
    ('air', air_c, air_c || ' °C', 'degC'), ('wind', wind, wind || ' m/s', 'mps'),
    ('water', 0.473, '473 g', 'g'), ('waterStart', start_c, start_c || ' °C', 'degC'),
    ('fuelBefore', before_g / 1000, before_g || ' g', 'g'),
    ('fuelAfter', (before_g - used_g) / 1000, (before_g - used_g)::numeric(6, 1) || ' g', 'g'),
    ('scaleResolution', 0.0001, '0.1 g', 'g')) as q (quantity, value, typed, unit);
insert into event (id, run_id, seq, kind, at_ms, source, payload, person_id)
  select gen_random_uuid(), r.run_id, q.seq, q.kind, q.ms, 'typed', '{}', b.id
  from new_run r join somebody b on b.k = r.who cross join lateral (values
    (1, 'lit', 0), (2, 'potOn', 2000), (3, 'rollingBoil', 2000 + boil_s * 1000), (4, 'shutOff', 4000 + boil_s * 1000)) as q (seq, kind, ms);
insert into trace (id, run_id, channel, unit) select run_id, run_id, 'water', 'degC' from new_run;
insert into trace_chunk (id, trace_id, seq, first_ms, last_ms, t_ms, v, hash)
  select gen_random_uuid(), r.run_id, 1, 0, 199 * step, array(select j * step from generate_series(0, 199) j),
    array(select least(start_c + (boils - start_c) * greatest(0, j * step - 2000) / (boil_s * 1000.0), boils)
      from generate_series(0, 199) j), 'at size'
  from (
    select n.*, (n.boil_s * 1000 + 6000) / 199 as step, 100 - p.altitude_m / 295.0 as boils
    from new_run n join somewhere p on p.k = n.place where n.i > 1) r;
-- Ten readings a second for an hour.
insert into trace_chunk (id, trace_id, seq, first_ms, last_ms, t_ms, v, hash)
  select gen_random_uuid(), r.run_id, 1 + c, c * 400000, c * 400000 + 399900,
    array(select c * 400000 + j * 100 from generate_series(0, 3999) j),
    array(select least(
        start_c + (100 - p.altitude_m / 295.0 - start_c) * greatest(0, c * 400000 + j * 100 - 2000) / (boil_s * 1000.0),
        100 - p.altitude_m / 295.0)
      from generate_series(0, 3999) j), 'at size'
  from new_run r join somewhere p on p.k = r.place, generate_series(0, 8) c where r.i = 1;
analyze;
