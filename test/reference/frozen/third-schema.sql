CREATE SCHEMA drizzle;
CREATE EXTENSION IF NOT EXISTS pg_trgm WITH SCHEMA public;
COMMENT ON EXTENSION pg_trgm IS 'text similarity measurement and index searching based on trigrams';
CREATE TABLE drizzle.__drizzle_migrations (
    id integer NOT NULL,
    hash text NOT NULL,
    created_at bigint
);
CREATE SEQUENCE drizzle.__drizzle_migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE drizzle.__drizzle_migrations_id_seq OWNED BY drizzle.__drizzle_migrations.id;
CREATE TABLE public.amendment (
    id uuid NOT NULL,
    subject text NOT NULL,
    subject_id uuid NOT NULL,
    field text NOT NULL,
    was text NOT NULL,
    now text NOT NULL,
    reason text NOT NULL,
    person_id uuid,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.bench (
    "only" boolean DEFAULT true NOT NULL,
    purpose text NOT NULL,
    loaded boolean DEFAULT false NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT bench_one_row CHECK ("only")
);
CREATE TABLE public.bench_act (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    device_id uuid NOT NULL,
    type text NOT NULL,
    body_hash text NOT NULL,
    ack jsonb NOT NULL,
    received_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.bench_clock (
    boot_id text NOT NULL,
    epoch_ms double precision NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.change (
    stream text NOT NULL,
    seq bigint NOT NULL,
    subject_id uuid NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.container (
    id uuid NOT NULL,
    name text NOT NULL,
    fuel_batch_id uuid NOT NULL,
    tare_kg double precision,
    full_kg double precision,
    typed jsonb DEFAULT '{}'::jsonb NOT NULL,
    notes text DEFAULT ''::text NOT NULL,
    revision integer DEFAULT 1 NOT NULL,
    retired_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.container_entry (
    id uuid NOT NULL,
    container_id uuid NOT NULL,
    run_id uuid,
    kind text NOT NULL,
    mass_kg double precision NOT NULL,
    typed text NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    at timestamp with time zone NOT NULL,
    person_id uuid,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.decision (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    question text NOT NULL,
    answer text NOT NULL,
    reason text,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.device (
    id uuid NOT NULL,
    name text NOT NULL,
    token_hash text,
    revoked_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.draft (
    id uuid NOT NULL,
    body jsonb NOT NULL,
    revision integer NOT NULL,
    updated_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.event (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    seq integer NOT NULL,
    kind text NOT NULL,
    at_ms bigint NOT NULL,
    wall_at timestamp with time zone,
    mono_ms double precision,
    source text NOT NULL,
    payload jsonb NOT NULL,
    supersedes_id uuid,
    voided boolean DEFAULT false NOT NULL,
    reason text,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL,
    clock_session text,
    device_id uuid
);
CREATE TABLE public.feed (
    id uuid NOT NULL,
    name text NOT NULL,
    token_hash text,
    lanes jsonb NOT NULL,
    revoked_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.fuel (
    id uuid NOT NULL,
    kind text NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.fuel_batch (
    id uuid NOT NULL,
    fuel_id uuid NOT NULL,
    name text NOT NULL,
    opened_on date,
    lhv_j_per_kg double precision,
    density_kg_per_m3 double precision,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    storage text DEFAULT ''::text NOT NULL,
    composition text DEFAULT ''::text NOT NULL,
    source text DEFAULT ''::text NOT NULL,
    typed jsonb DEFAULT '{}'::jsonb NOT NULL,
    revision integer DEFAULT 1 NOT NULL,
    retired_at timestamp with time zone
);
CREATE TABLE public.import (
    id uuid NOT NULL,
    file_name text NOT NULL,
    file_hash text NOT NULL,
    bytes bigint NOT NULL,
    kind text NOT NULL,
    state text DEFAULT 'staged'::text NOT NULL,
    sheets jsonb NOT NULL,
    notes text[] NOT NULL,
    headings_hash text NOT NULL,
    mapping jsonb,
    storing_since timestamp with time zone,
    done integer DEFAULT 0 NOT NULL,
    stored integer DEFAULT 0 NOT NULL,
    left_out integer DEFAULT 0 NOT NULL,
    made jsonb,
    trouble text DEFAULT ''::text NOT NULL,
    person_id uuid,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    stored_at timestamp with time zone,
    undone_at timestamp with time zone
);
CREATE TABLE public.import_chunk (
    import_id uuid NOT NULL,
    sheet integer NOT NULL,
    seq integer NOT NULL,
    rows jsonb NOT NULL
);
CREATE TABLE public.ingest_batch (
    feed_id uuid NOT NULL,
    batch_id text NOT NULL,
    body_hash text NOT NULL,
    lines integer NOT NULL,
    ack jsonb NOT NULL,
    received_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.instrument_check (
    id uuid NOT NULL,
    thing_id uuid NOT NULL,
    kind text NOT NULL,
    reading double precision NOT NULL,
    truth double precision NOT NULL,
    typed text NOT NULL,
    truth_typed text NOT NULL,
    withdrawn boolean DEFAULT false NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    at timestamp with time zone NOT NULL,
    person_id uuid,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.measurement (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    quantity text NOT NULL,
    value double precision NOT NULL,
    u double precision,
    typed text NOT NULL,
    typed_unit text NOT NULL,
    at_ms bigint,
    supersedes_id uuid,
    reason text,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL,
    instrument_version_id uuid,
    correction double precision
);
CREATE TABLE public.method (
    id uuid NOT NULL,
    name text NOT NULL,
    shipped_key text,
    copied_from_id uuid,
    revision integer DEFAULT 1 NOT NULL,
    retired_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.method_version (
    id uuid NOT NULL,
    method_id uuid NOT NULL,
    n integer NOT NULL,
    body jsonb NOT NULL,
    body_hash text NOT NULL,
    reason text DEFAULT ''::text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.now_place (
    "only" boolean DEFAULT true NOT NULL,
    place_id uuid
);
CREATE TABLE public.now_reading (
    quantity text NOT NULL,
    value double precision NOT NULL,
    typed text NOT NULL,
    typed_unit text NOT NULL,
    read_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.observation (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    scale text NOT NULL,
    step text NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    at_ms bigint,
    supersedes_id uuid,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.person (
    id uuid NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.photo (
    id uuid NOT NULL,
    run_id uuid,
    thing_id uuid,
    setup_id uuid,
    type text NOT NULL,
    width integer NOT NULL,
    height integer NOT NULL,
    bytes bytea NOT NULL,
    thumbnail bytea NOT NULL,
    sent_hash text NOT NULL,
    caption text DEFAULT ''::text NOT NULL,
    at_ms bigint,
    person_id uuid,
    removed_at timestamp with time zone,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT photo_of_one CHECK ((num_nonnulls(run_id, thing_id, setup_id) = 1))
);
CREATE TABLE public.place (
    id uuid NOT NULL,
    name text NOT NULL,
    zone text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    revision integer DEFAULT 1 NOT NULL
);
CREATE TABLE public.place_version (
    id uuid NOT NULL,
    place_id uuid NOT NULL,
    n integer NOT NULL,
    altitude_m double precision,
    wind_height_m double precision,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    station_pressure_pa double precision,
    sea_level_pressure_pa double precision,
    typed jsonb DEFAULT '{}'::jsonb NOT NULL
);
CREATE TABLE public.price (
    id uuid NOT NULL,
    thing_id uuid,
    fuel_batch_id uuid,
    from_day date NOT NULL,
    amount double precision NOT NULL,
    currency text NOT NULL,
    for_kg double precision,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT price_of_one CHECK ((num_nonnulls(thing_id, fuel_batch_id) = 1))
);
CREATE TABLE public.result (
    run_id uuid NOT NULL,
    options_hash text NOT NULL,
    input_hash text NOT NULL,
    core_version text NOT NULL,
    json jsonb NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.run (
    id uuid NOT NULL,
    origin text NOT NULL,
    kind text NOT NULL,
    state text NOT NULL,
    setup_version_id uuid NOT NULL,
    fuel_batch_id uuid,
    place_version_id uuid,
    person_id uuid NOT NULL,
    started_at timestamp with time zone NOT NULL,
    zone text NOT NULL,
    notes text DEFAULT ''::text NOT NULL,
    revision integer DEFAULT 1 NOT NULL,
    body_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    method_version_id uuid,
    container_id uuid,
    setting text,
    break_in boolean DEFAULT false NOT NULL,
    lane text,
    bench jsonb,
    import_id uuid,
    given jsonb
);
CREATE TABLE public.run_note (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    text text NOT NULL,
    at_ms bigint,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.run_row (
    run_id uuid NOT NULL,
    started_at timestamp with time zone NOT NULL,
    line jsonb NOT NULL,
    core_version text NOT NULL,
    day date NOT NULL,
    origin text NOT NULL,
    voided boolean NOT NULL,
    setup text NOT NULL,
    place text NOT NULL,
    fuel text NOT NULL,
    method text NOT NULL,
    person text NOT NULL,
    remarks text[] NOT NULL,
    tags text[] DEFAULT '{}'::text[] NOT NULL,
    words text NOT NULL,
    time_to_boil_s double precision,
    g_per_l double precision,
    normalised_g_per_l double precision,
    efficiency double precision,
    burn_rate_g_per_min double precision,
    firepower_w double precision,
    series text NOT NULL,
    stale_since timestamp with time zone
)
WITH (toast_tuple_target='256');
ALTER TABLE ONLY public.run_row ALTER COLUMN core_version SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN origin SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN setup SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN place SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN fuel SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN method SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN person SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN remarks SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN tags SET STORAGE MAIN;
ALTER TABLE ONLY public.run_row ALTER COLUMN series SET STORAGE MAIN;
CREATE TABLE public.run_tag (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    name text NOT NULL,
    person_id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    removed_at timestamp with time zone
);
CREATE TABLE public.run_void (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    voided boolean NOT NULL,
    reason text NOT NULL,
    person_id uuid NOT NULL,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.setup (
    id uuid NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    description text DEFAULT ''::text NOT NULL,
    revision integer DEFAULT 1 NOT NULL,
    retired_at timestamp with time zone
);
CREATE TABLE public.setup_decision (
    id uuid NOT NULL,
    setup_version_id uuid NOT NULL,
    warning text NOT NULL,
    reason text NOT NULL,
    person_id uuid,
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.setup_part (
    setup_version_id uuid NOT NULL,
    role text NOT NULL,
    thing_version_id uuid NOT NULL
);
CREATE TABLE public.setup_version (
    id uuid NOT NULL,
    setup_id uuid NOT NULL,
    n integer NOT NULL,
    gap_m double precision,
    heat_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    gap_typed text DEFAULT ''::text NOT NULL,
    reason text DEFAULT ''::text NOT NULL
);
CREATE TABLE public.thing (
    id uuid NOT NULL,
    kind text NOT NULL,
    name text NOT NULL,
    description text DEFAULT ''::text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    made_from_id uuid,
    revision integer DEFAULT 1 NOT NULL,
    retired_at timestamp with time zone
);
CREATE TABLE public.thing_version (
    id uuid NOT NULL,
    thing_id uuid NOT NULL,
    n integer NOT NULL,
    properties jsonb NOT NULL,
    heat_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    typed jsonb DEFAULT '{}'::jsonb NOT NULL,
    reason text DEFAULT ''::text NOT NULL
);
CREATE TABLE public.trace (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    channel text NOT NULL,
    unit text NOT NULL,
    file_hash text,
    import_id uuid,
    removed_at timestamp with time zone,
    feed_id uuid
);
CREATE TABLE public.trace_chunk (
    id uuid NOT NULL,
    trace_id uuid NOT NULL,
    seq integer NOT NULL,
    first_ms bigint NOT NULL,
    last_ms bigint NOT NULL,
    t_ms integer[] NOT NULL,
    v double precision[] NOT NULL,
    hash text NOT NULL
);
CREATE TABLE public.wind_survey (
    id uuid NOT NULL,
    place_id uuid NOT NULL,
    person_id uuid NOT NULL,
    fan text NOT NULL,
    cells jsonb NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
ALTER TABLE ONLY drizzle.__drizzle_migrations ALTER COLUMN id SET DEFAULT nextval('drizzle.__drizzle_migrations_id_seq'::regclass);
INSERT INTO drizzle.__drizzle_migrations VALUES (1, '9b6a9a0d9b354cc9635c8ef83938e82b6fc9859a1af37ba9117ef5873cd7f3d7', 1795443004449);
INSERT INTO drizzle.__drizzle_migrations VALUES (2, '4b93905078647917ac88e531cf1078df971eac262e5480342d43a1915f2e8de4', 1795445201676);
INSERT INTO drizzle.__drizzle_migrations VALUES (3, '1f02f64f5037508cffc8acf12e6dae2a1c8b4cd751844b2ca30dabf2af8224f9', 1795445705498);
INSERT INTO drizzle.__drizzle_migrations VALUES (4, '5f727d15727837b5edfd1728575c6a2412f9c017afa4484e64f6ca245e332ef3', 1795446787774);
INSERT INTO drizzle.__drizzle_migrations VALUES (5, 'd83de007d6f48820165e3976eb4e6a6a96dae11416b4f4eb9123273ae5d51799', 1795464644834);
INSERT INTO drizzle.__drizzle_migrations VALUES (6, '41201458cdf4882075949e00423659bbeaa24a5386cad643b5d944e45d445b42', 1795475627382);
INSERT INTO drizzle.__drizzle_migrations VALUES (7, 'f132152bb2d0c10e9bfef04eaf3942f0a7ee50062033595bb1591f2dc461cfdd', 1795487523856);
INSERT INTO drizzle.__drizzle_migrations VALUES (8, '9c9fab23a0842da3ea5e89c41b80c2af4e30a6036972baeb3539d4748a4c5dcb', 1795654958010);
INSERT INTO drizzle.__drizzle_migrations VALUES (9, 'd7393d9b13cd80aa14e2ed09362a6174d5e1d95bb005ab6e93304a5f430acb21', 1795660460548);
INSERT INTO drizzle.__drizzle_migrations VALUES (10, '999b14fbe9627414bb7c8c1078171d2a08e16ccb36238649433743cc84a10990', 1795667257557);
INSERT INTO drizzle.__drizzle_migrations VALUES (11, '09e2d32d1fce994fdbaeb90e668c6cbe8cff71ad392e65d5b59ae13ea7b3eae0', 1795683873233);
INSERT INTO public.bench VALUES (true, 'demonstration', true, '2026-11-29 01:56:06.968416+00');
INSERT INTO public.bench_act VALUES ('01a22504-4c78-7628-90e2-baeeb43c9f11', '01a22504-4c78-7628-90e2-b499ca9ae9c0', '01a22504-4c79-7167-9b83-7972fbc77419', 'arm', '924feacc36d2b23a504a674575eb19c9446b85368024a101c6341c6c7a6ca899', '{"as": "taken", "id": "01a22504-4c78-7628-90e2-baeeb43c9f11"}', '2026-11-29 01:56:08.448595+00');
INSERT INTO public.bench_act VALUES ('01a22504-4c9b-759f-bc0f-3039b2ba0d58', '01a22504-4c9a-731c-b7c0-f4d344e5bedc', '01a22504-4c9b-759f-bc0f-3618d1de97a8', 'arm', 'c8c39068b60cd91ea56f85021b0339553472cfcb1f7d37c46b2d84a60122e5cd', '{"as": "taken", "id": "01a22504-4c9b-759f-bc0f-3039b2ba0d58"}', '2026-11-29 01:56:08.478971+00');
INSERT INTO public.bench_act VALUES ('01a22504-4cad-7691-8672-0cde02285c12', '01a22504-4c78-7628-90e2-b499ca9ae9c0', '01a22504-4cad-7691-8672-1fe2ebae7477', 'mark', '7a993dc975a2b21c6953b3d1c18e60c9035396a07d8f6d1d2f7d2b69e4f55a5d', '{"as": "mark", "id": "01a22504-4cad-7691-8672-0cde02285c12"}', '2026-11-29 01:56:08.4962+00');
INSERT INTO public.bench_act VALUES ('01a22504-4cad-7691-8672-104c354db5d8', '01a22504-4c78-7628-90e2-b499ca9ae9c0', '01a22504-4cad-7691-8672-1fe2ebae7477', 'mark', '1c924a9f5b5f33564ada3219bbbe597d2483f9815c6693a1a6c516f23c2bba13', '{"as": "mark", "id": "01a22504-4cad-7691-8672-104c354db5d8"}', '2026-11-29 01:56:08.549623+00');
INSERT INTO public.bench_act VALUES ('01a22504-4cad-7691-8672-154adb61f049', '01a22504-4c78-7628-90e2-b499ca9ae9c0', '01a22504-4cad-7691-8672-1fe2ebae7477', 'mark', 'd725de674e357c7ba9261108f085801eefd49845fdd832071a8fce005f54b365', '{"as": "mark", "id": "01a22504-4cad-7691-8672-154adb61f049"}', '2026-11-29 01:56:08.573099+00');
INSERT INTO public.bench_act VALUES ('01a22504-4cad-7691-8672-1a8f726a725b', '01a22504-4c78-7628-90e2-b499ca9ae9c0', '01a22504-4cad-7691-8672-1fe2ebae7477', 'note', '70e992fb65f13d4d4fdd8a311dbc7c06faab820dcd73caf79dc4daa4c916d78a', '{"as": "taken", "id": "01a22504-4cad-7691-8672-1a8f726a725b"}', '2026-11-29 01:56:08.592859+00');
INSERT INTO public.bench_clock VALUES ('e12d658c-5e58-42ca-bf8f-940312e6ee53', 1795857937084, '2026-11-29 01:56:08.4376+00');
INSERT INTO public.change VALUES ('bench', 1, '01a22504-4c78-7628-90e2-b499ca9ae9c0', '2026-11-29 01:56:08.448595+00');
INSERT INTO public.change VALUES ('bench', 2, '01a22504-4c9a-731c-b7c0-f4d344e5bedc', '2026-11-29 01:56:08.478971+00');
INSERT INTO public.change VALUES ('bench', 3, '01a22504-4c78-7628-90e2-b499ca9ae9c0', '2026-11-29 01:56:08.4962+00');
INSERT INTO public.change VALUES ('bench', 4, '01a22504-4c78-7628-90e2-b499ca9ae9c0', '2026-11-29 01:56:08.549623+00');
INSERT INTO public.change VALUES ('bench', 5, '01a22504-4c78-7628-90e2-b499ca9ae9c0', '2026-11-29 01:56:08.573099+00');
INSERT INTO public.change VALUES ('bench', 6, '01a22504-4c78-7628-90e2-b499ca9ae9c0', '2026-11-29 01:56:08.592859+00');
INSERT INTO public.device VALUES ('01a22504-4c79-7167-9b83-7972fbc77419', 'phone', NULL, NULL, '2026-11-29 01:56:08.441931+00');
INSERT INTO public.device VALUES ('01a22504-4c9b-759f-bc0f-3618d1de97a8', 'phone', NULL, NULL, '2026-11-29 01:56:08.475602+00');
INSERT INTO public.device VALUES ('01a22504-4cad-7691-8672-1fe2ebae7477', 'phone', NULL, NULL, '2026-11-29 01:56:08.494306+00');
INSERT INTO public.event VALUES ('01a22504-4794-71f4-a157-90bb03e4d708', '01a22504-477d-73b0-8512-f220f3ee458e', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4794-71f4-a157-95c8b55d0de5', '01a22504-477d-73b0-8512-f220f3ee458e', 2, 'potOn', 10000, NULL, NULL, 'typed', '{"typed": "0:10"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4794-71f4-a157-98f795a6270e', '01a22504-477d-73b0-8512-f220f3ee458e', 3, 'rollingBoil', 561000, NULL, NULL, 'typed', '{"typed": "9:21"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4794-71f4-a157-9eb3c504b572', '01a22504-477d-73b0-8512-f220f3ee458e', 4, 'snuffed', 565000, NULL, NULL, 'typed', '{"typed": "9:25"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-47f1-76dd-8409-9a0d3b5d3eac', '01a22504-47e2-714a-b9b5-392c5a63a67b', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-47f1-76dd-8409-9e5a273228b9', '01a22504-47e2-714a-b9b5-392c5a63a67b', 2, 'potOn', 10000, NULL, NULL, 'typed', '{"typed": "0:10"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-47f1-76dd-8409-a10a93563855', '01a22504-47e2-714a-b9b5-392c5a63a67b', 3, 'rollingBoil', 562000, NULL, NULL, 'typed', '{"typed": "9:22"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-47f1-76dd-8409-a574f7f15fe1', '01a22504-47e2-714a-b9b5-392c5a63a67b', 4, 'snuffed', 566000, NULL, NULL, 'typed', '{"typed": "9:26"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4871-74ab-ac1d-1aaa3757f7a3', '01a22504-4866-71a1-a305-42a704022691', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4871-74ab-ac1d-1dbfb0e609f0', '01a22504-4866-71a1-a305-42a704022691', 2, 'potOn', 10000, NULL, NULL, 'typed', '{"typed": "0:10"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4871-74ab-ac1d-2231ef5c50a0', '01a22504-4866-71a1-a305-42a704022691', 3, 'rollingBoil', 563000, NULL, NULL, 'typed', '{"typed": "9:23"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4871-74ab-ac1d-2637d9e16c64', '01a22504-4866-71a1-a305-42a704022691', 4, 'snuffed', 567000, NULL, NULL, 'typed', '{"typed": "9:27"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48bd-70fc-8278-13102cf808ba', '01a22504-48ae-7601-8a15-f8763ba990eb', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48bd-70fc-8278-169630b55153', '01a22504-48ae-7601-8a15-f8763ba990eb', 2, 'potOn', 10000, NULL, NULL, 'typed', '{"typed": "0:10"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48bd-70fc-8278-190d5d8f67b6', '01a22504-48ae-7601-8a15-f8763ba990eb', 3, 'rollingBoil', 564000, NULL, NULL, 'typed', '{"typed": "9:24"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48bd-70fc-8278-1df2b1bdd97f', '01a22504-48ae-7601-8a15-f8763ba990eb', 4, 'snuffed', 568000, NULL, NULL, 'typed', '{"typed": "9:28"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-cbd90c9d79e2', '01a22504-48ee-7798-b431-8049598da0c1', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-ce146724e98d', '01a22504-48ee-7798-b431-8049598da0c1', 2, 'potOn', 5000, NULL, NULL, 'typed', '{"typed": "0:05"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-d1a42c7350bb', '01a22504-48ee-7798-b431-8049598da0c1', 3, 'fuelAdded', 180000, NULL, NULL, 'typed', '{"massG": 4, "typed": "3:00"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-d774080b9ff9', '01a22504-48ee-7798-b431-8049598da0c1', 4, 'flameOut', 250000, NULL, NULL, 'typed', '{"typed": "4:10"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-d98b7e0ec05a', '01a22504-48ee-7798-b431-8049598da0c1', 5, 'relit', 280000, NULL, NULL, 'typed', '{"typed": "4:40"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-dcbf933dfcfd', '01a22504-48ee-7798-b431-8049598da0c1', 6, 'fuelAdded', 450000, NULL, NULL, 'typed', '{"massG": 4, "typed": "7:30"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-e0029c02b92d', '01a22504-48ee-7798-b431-8049598da0c1', 7, 'flameOut', 530000, NULL, NULL, 'typed', '{"typed": "8:50"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-e5b57163e63d', '01a22504-48ee-7798-b431-8049598da0c1', 8, 'relit', 545000, NULL, NULL, 'typed', '{"typed": "9:05"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-e8fb0c7b8417', '01a22504-48ee-7798-b431-8049598da0c1', 9, 'fuelAdded', 660000, NULL, NULL, 'typed', '{"massG": 4, "typed": "11:00"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-48f8-731a-b7dd-ed61479aa9db', '01a22504-48ee-7798-b431-8049598da0c1', 10, 'rollingBoil', 820000, NULL, NULL, 'typed', '{"typed": "13:40"}', NULL, false, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4ac4-755e-af8e-8b15d4a40a63', 'c99dc186-d321-5d3a-8f15-19294061afd9', 1, 'potOn', 0, NULL, NULL, 'import', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.005+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4ac5-72c9-839b-f3670bb01860', 'c99dc186-d321-5d3a-8f15-19294061afd9', 2, 'rollingBoil', 588000, NULL, NULL, 'import', '{"typed": "9:48"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.005+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4ac5-72c9-839b-f5c24d113a71', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 1, 'potOn', 0, NULL, NULL, 'import', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.005+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4ac5-72c9-839b-fa2e61d07762', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 2, 'rollingBoil', 652000, NULL, NULL, 'import', '{"typed": "10:52"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.005+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4bba-716a-9b87-56dd07b1fb38', 'dc379dc1-24da-5ded-ba00-006108503af7', 1, 'potOn', 0, NULL, NULL, 'import', '{"typed": "0:00"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.25+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4bba-716a-9b87-5aea9f103c68', 'dc379dc1-24da-5ded-ba00-006108503af7', 2, 'rollingBoil', 588000, NULL, NULL, 'import', '{"typed": "9:48"}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.251+00', NULL, NULL);
INSERT INTO public.event VALUES ('01a22504-4cad-7691-8672-0cde02285c12', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 1, 'lit', 0, '2026-10-20 12:00:00+00', 0, 'bench', '{}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.4962+00', 'page:0', '01a22504-4cad-7691-8672-1fe2ebae7477');
INSERT INTO public.event VALUES ('01a22504-4cad-7691-8672-104c354db5d8', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 2, 'potOn', 8000, '2026-10-20 12:00:08+00', 0, 'bench', '{}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.549623+00', 'page:0', '01a22504-4cad-7691-8672-1fe2ebae7477');
INSERT INTO public.event VALUES ('01a22504-4cad-7691-8672-154adb61f049', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 3, 'reading', 120000, '2026-10-20 12:02:00+00', 0, 'bench', '{"typed": "31.5 °C", "waterC": 31.5}', NULL, false, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.573099+00', 'page:0', '01a22504-4cad-7691-8672-1fe2ebae7477');
INSERT INTO public.feed VALUES ('01a22504-4d2a-7251-986c-3e77cea5460f', 'Probe', '80861fcbc6e060475c7f2f0d8c1518595daf759122bcccacd4af3ac025e32181', '{"water": ["A"]}', NULL, '2026-11-29 01:56:08.625239+00');
INSERT INTO public.fuel VALUES ('01a22504-4728-72d5-aa08-8d0bdddfc3de', 'methanol', 'Methanol', '2026-11-29 01:56:06.971448+00');
INSERT INTO public.fuel VALUES ('01a22504-4772-7578-bc1b-e4720b8d9c8a', 'hexamine', 'Hexamine tablet', '2026-11-29 01:56:07.090959+00');
INSERT INTO public.fuel_batch VALUES ('01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-4728-72d5-aa08-8d0bdddfc3de', 'first batch', NULL, NULL, NULL, '2026-11-29 01:56:06.971448+00', '', '', '', '{"fuel": "Methanol", "kind": "methanol", "batch": "first batch", "source": "", "retired": false, "storage": "", "openedOn": "", "lhvJPerKg": "", "composition": "", "densityKgPerM3": ""}', 1, NULL);
INSERT INTO public.fuel_batch VALUES ('01a22504-4767-75bc-ace7-2ff4a5e764a9', '01a22504-4772-7578-bc1b-e4720b8d9c8a', 'first batch', NULL, NULL, NULL, '2026-11-29 01:56:07.090959+00', '', '', '', '{"fuel": "Hexamine tablet", "kind": "hexamine", "batch": "first batch", "source": "", "retired": false, "storage": "", "openedOn": "", "lhvJPerKg": "", "composition": "", "densityKgPerM3": ""}', 1, NULL);
INSERT INTO public.import VALUES ('01a22504-4b70-73e5-ba70-4a5c9bed24d2', 'shed.csv', '000669100f064d1d98695df49a91dddf48d545633709c01a24e668a9f78f535b', 68, 'table', 'undone', '[{"name": "", "rows": 2}]', '{}', '214f10b724e495472ca7f1fd882835361fe08528cb868d0edc5ad2b640d91314', '{"what": "runs", "mapping": {"day": "", "zone": "Atlantic/Azores", "clock": "potOn", "names": {"fuel": {}, "place": {}, "setup": {"Cup": {"use": "01a22504-46fe-7718-8424-654e52f7c0bd"}, "Tin can": {"make": true, "burner": "alcohol"}}, "method": {}, "person": {}}, "sheet": 0, "usual": {"fuel": "01a22504-471f-7561-8d9a-cbf9fe5566bd", "place": "", "setup": "", "method": "", "person": "01a22504-46bb-74ac-8c52-ff220cb8bc09"}, "origin": "measured", "columns": [{"to": "day", "unit": ""}, {"to": "setup", "unit": ""}, {"to": "measured.water", "unit": "g"}, {"to": "measured.fuelUsed", "unit": "g"}, {"to": "times.rollingBoil", "unit": ""}], "decimal": "comma", "dateOrder": "dmy", "headerRow": 0}}', '2026-11-29 01:56:08.204+00', 1, 1, 0, '{"people": [], "places": [], "setups": [], "things": [], "batches": []}', '', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.182212+00', '2026-11-29 01:56:08.217331+00', '2026-11-29 01:56:08.339+00');
INSERT INTO public.import VALUES ('01a22504-4a35-75fb-b220-6f7633302d01', 'porch.csv', '40fb61ff8230852d63598db13658b458b53235973d19ecbada9c949bf2310f84', 203, 'table', 'stored', '[{"name": "", "rows": 4}]', '{}', '51e591a20a4732efc33c5b1dfd25acecbc8f96eec1c58b7e424a80eb54d148f1', '{"what": "runs", "mapping": {"day": "", "zone": "Atlantic/Azores", "clock": "potOn", "names": {"fuel": {}, "place": {}, "setup": {"Cup": {"use": "01a22504-46fe-7718-8424-654e52f7c0bd"}, "Tin can": {"make": true, "burner": "alcohol"}}, "method": {}, "person": {}}, "sheet": 0, "usual": {"fuel": "01a22504-471f-7561-8d9a-cbf9fe5566bd", "place": "", "setup": "", "method": "", "person": "01a22504-46bb-74ac-8c52-ff220cb8bc09"}, "origin": "measured", "columns": [{"to": "day", "unit": ""}, {"to": "setup", "unit": ""}, {"to": "measured.water", "unit": "ml"}, {"to": "measured.waterStart", "unit": "degC"}, {"to": "measured.fuelBefore", "unit": "g"}, {"to": "measured.fuelAfter", "unit": "g"}, {"to": "times.rollingBoil", "unit": ""}], "decimal": "comma", "dateOrder": "dmy", "headerRow": 0}}', '2026-11-29 01:56:07.905+00', 2, 2, 1, '{"people": [], "places": [], "setups": ["01a22504-4a8c-7118-a881-f69badfc6a70"], "things": ["01a22504-4a7a-701f-ad4c-0117028670d8"], "batches": []}', '', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.870487+00', '2026-11-29 01:56:07.907814+00', NULL);
INSERT INTO public.ingest_batch VALUES ('01a22504-4d2a-7251-986c-3e77cea5460f', 'first', '001452e7c72d6823731780a96beae577159dafdd0e5f7636d29eef853e36b4b7', 30, '{"idle": 0, "batch": "first", "known": 0, "stored": 30, "refused": 0, "problems": []}', '2026-11-29 01:56:08.64166+00');
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b832-f1c8903718bf', '01a22504-477d-73b0-8512-f220f3ee458e', 'air', 14, NULL, '14', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b832-f66f62a56b60', '01a22504-477d-73b0-8512-f220f3ee458e', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b832-fbd17e018e74', '01a22504-477d-73b0-8512-f220f3ee458e', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b832-fc0dc8d2aa8f', '01a22504-477d-73b0-8512-f220f3ee458e', 'waterStart', 15, NULL, '15', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b833-0099e4040073', '01a22504-477d-73b0-8512-f220f3ee458e', 'fuelBefore', 0.12040000000000001, NULL, '120.4', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b833-0733c583c2a8', '01a22504-477d-73b0-8512-f220f3ee458e', 'fuelAfter', 0.09920000000000001, NULL, '99.2', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4792-730a-b833-09a5ab62f2e5', '01a22504-477d-73b0-8512-f220f3ee458e', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.181163+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-d0e4145371a8', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'air', 14, NULL, '14', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-d4926b36987b', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-d817c18a3abb', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-df672565c577', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'waterStart', 15, NULL, '15', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-e3f591c28fab', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'fuelBefore', 0.12040000000000001, NULL, '120.4', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-e69f597ff6eb', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'fuelAfter', 0.0994, NULL, '99.4', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-47ef-7192-9d8b-eac56188e0f8', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.274566+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-50f8a55242c0', '01a22504-4866-71a1-a305-42a704022691', 'air', 14, NULL, '14', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-57ecd9347f2f', '01a22504-4866-71a1-a305-42a704022691', 'wind', 2, NULL, '2 m/s', 'mps', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-5b2e1a3f4426', '01a22504-4866-71a1-a305-42a704022691', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-5e6fc0edbbd5', '01a22504-4866-71a1-a305-42a704022691', 'waterStart', 15, NULL, '15', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-6061ec0fa386', '01a22504-4866-71a1-a305-42a704022691', 'fuelBefore', 0.12040000000000001, NULL, '120.4', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-6696b7af0fdf', '01a22504-4866-71a1-a305-42a704022691', 'fuelAfter', 0.0996, NULL, '99.6', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-486f-71de-a374-6881e9674629', '01a22504-4866-71a1-a305-42a704022691', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.406326+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-daa35bcf8f55', '01a22504-48ae-7601-8a15-f8763ba990eb', 'air', 14, NULL, '14', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-deab513bedcc', '01a22504-48ae-7601-8a15-f8763ba990eb', 'wind', 3.5, NULL, '3.5 m/s', 'mps', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-e311a7b5af4d', '01a22504-48ae-7601-8a15-f8763ba990eb', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-e49548b015ce', '01a22504-48ae-7601-8a15-f8763ba990eb', 'waterStart', 15, NULL, '15', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-ea61601e5230', '01a22504-48ae-7601-8a15-f8763ba990eb', 'fuelBefore', 0.12040000000000001, NULL, '120.4', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-ecc508b94cbd', '01a22504-48ae-7601-8a15-f8763ba990eb', 'fuelAfter', 0.0998, NULL, '99.8', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48bb-7147-bc83-f0b35c36ca0d', '01a22504-48ae-7601-8a15-f8763ba990eb', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.482167+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-8651697d50b6', '01a22504-48ee-7798-b431-8049598da0c1', 'air', 9, NULL, '9', 'degC', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-8acdbcb18ee3', '01a22504-48ee-7798-b431-8049598da0c1', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-8f062bf73702', '01a22504-48ee-7798-b431-8049598da0c1', 'water', 0.5, NULL, '500 g', 'g', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-92b847fef9b0', '01a22504-48ee-7798-b431-8049598da0c1', 'waterStart', 11, NULL, '11', 'degC', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-971f8c6cdb1e', '01a22504-48ee-7798-b431-8049598da0c1', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-9a6c2b3f9f72', '01a22504-48ee-7798-b431-8049598da0c1', 'fuelLoad', 0.004, NULL, '4 g', 'g', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-48f7-7129-8ba8-9e7414ad7062', '01a22504-48ee-7798-b431-8049598da0c1', 'fuelLeftover', 0.0006, NULL, '0.6 g', 'g', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:07.541631+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4942-7088-adb7-e3126137dd63', '01a22504-477d-73b0-8512-f220f3ee458e', 'fuelAfter', 0.0991, NULL, '99.1', 'g', NULL, '01a22504-4792-730a-b833-0733c583c2a8', 'misread', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.619745+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac1-7109-847b-fdb40f3799f2', 'c99dc186-d321-5d3a-8f15-19294061afd9', 'water', 0.0005, NULL, '500 mL', 'ml', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.001+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac1-7109-847c-005448e78a55', 'c99dc186-d321-5d3a-8f15-19294061afd9', 'waterStart', 17.2, NULL, '17,2 °C', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88cd-fc8823a0dd39', 'c99dc186-d321-5d3a-8f15-19294061afd9', 'fuelBefore', 0.11240000000000001, NULL, '112,4 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88ce-00729266180c', 'c99dc186-d321-5d3a-8f15-19294061afd9', 'fuelAfter', 0.0921, NULL, '92,1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88ce-07c00c796e82', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 'water', 0.0005, NULL, '500 mL', 'ml', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88ce-088b31d947ae', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 'waterStart', 16.9, NULL, '16,9 °C', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88ce-0de5e823702f', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 'fuelBefore', 0.0921, NULL, '92,1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ac2-77ef-88ce-1344a0404fa3', 'b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 'fuelAfter', 0.0709, NULL, '70,9 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.002+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4bb8-75c0-8bd5-983f6bc411a3', 'dc379dc1-24da-5ded-ba00-006108503af7', 'water', 0.5, NULL, '500 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.249+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4bb9-7025-9276-58e421b92c23', 'dc379dc1-24da-5ded-ba00-006108503af7', 'fuelUsed', 0.020100000000000003, NULL, '20,1 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.249+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4c8f-700c-9991-18c3b31adbbc', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'air', 13, NULL, '13', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.448595+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4c8f-700c-9991-1d768c594d9d', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.448595+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4c8f-700c-9991-20ee982f6a45', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.448595+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4c8f-700c-9991-268ba9bdfc1b', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'waterStart', 15, NULL, '15 °C', 'degC', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.448595+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4c8f-700c-9991-2821a4069854', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'fuelBefore', 0.1182, NULL, '118.2 g', 'g', NULL, NULL, NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.448595+00', NULL, NULL);
INSERT INTO public.measurement VALUES ('01a22504-4ca8-711a-ae1c-0bf3bba42f4a', '01a22504-4c9a-731c-b7c0-f4d344e5bedc', 'water', 0.5, NULL, '500 g', 'g', NULL, NULL, NULL, '01a22504-4733-7463-983b-d15442ba4c52', '2026-11-29 01:56:08.478971+00', NULL, NULL);
INSERT INTO public.method VALUES ('11a9eb8e-2650-5a04-a109-4c61b96bc703', 'Boil', 'boil', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('3c89fa4d-a1a4-5103-ba4d-d64920cc2c1a', 'Boil, then burn out', 'boilBurnOut', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('4418725b-94c2-588a-9a5b-ecad7d4af8bd', 'Burn-off, no pot', 'burnOff', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('714d9012-b7c5-5384-b1ee-e41d7e0b5bc0', 'Simmer', 'simmer', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('ba8bb141-3d68-5ef3-acef-9ad1d7d94953', 'Heating for a fixed time', 'fixedTime', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('9f97ad36-8f97-5ed7-9864-783f9e666978', 'Warm-up', 'warmUp', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('1d2b2870-2bff-5e0c-a17f-d4e1b6313a8b', 'Flame-setting series', 'flameSetting', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('a3b58593-1256-5445-bef8-aff1a7b7fafc', 'Wind series', 'wind', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('a2308764-099b-5aaf-b8e0-9d93c4f33903', 'Cold series', 'cold', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('b65ce40b-be80-56bd-828f-6781bcf77ae1', 'Paired comparison', 'paired', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('27fa9c10-b74a-5ac4-a4d8-96c34577019c', 'Fed with tablets or sticks', 'fed', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('ad083bba-5e7c-5e4a-96fa-b56e154fa57b', 'Batch of wood', 'wood', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('5ac4ab37-80c0-56a7-846d-30a34d868c63', 'Snow melt', 'snow', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('fcaba324-ef15-5e37-b3e2-a5715d6cb860', 'Claim check', 'claim', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('1c955b7d-f151-525d-84dd-a43225006534', 'Cool-down', 'coolDown', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method VALUES ('658de3bf-12d7-5ac4-bcfa-c1145a5f3ee2', '20 → 90 °C', 'rise', NULL, 1, NULL, '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-4676-774a-9e23-6c14f2e87684', '11a9eb8e-2650-5a04-a109-4c61b96bc703', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware", "waterLast"], "why": "The plainest question: how much fuel, and how long, to boil a meal’s water with this set-up. Every other test is compared with it.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "boil", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Let burner, pot and canister come to the air’s temperature: a warm burner lights faster.", "Weigh the water into the pot and read its temperature, stirred.", "Weigh burner with fuel, or the canister with the burner on.", "Read air and wind at the pot.", "Light, wait for the full flame, put the pot on, lid on, and start the clock by the school chosen.", "Do not lift the lid to look.", "At the boil, mark it and shut off in the same moment.", "Let everything cool, wipe it dry, and weigh again."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Time and fuel from pot-on to the boil, and fuel per litre, which is then brought to one start temperature, pressure, air and wind.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "How it does in wind, at another flame or with more water; whether a difference smaller than the scatter of repeats is real; whether the water is safe to drink.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '23798795fbf40405b921f8c1ed886f0a4c1ff46c1b64fd1c2c4cb239b9bbbaf2', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-467a-7328-b7b7-0c7895cff873', '3c89fa4d-a1a4-5103-ba4d-d64920cc2c1a', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "fuelBefore", "fuelAfter", "fuelTemp", "hardware"], "why": "For burners that cannot be shut off, and to know what a load gives: boil, and then how long the rest burns.", "boil": "rollingBoil", "fuel": "burnShare", "must": ["air", "wind", "water", "waterStart", "fuelLoad", "scaleResolution"], "test": "boilBurnOut", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Measure the load by weight; a measure by volume wants the fuel’s temperature.", "Let burner, pot and canister come to the air’s temperature: a warm burner lights faster.", "Weigh the water into the pot and read its temperature, stirred.", "Light, time the bloom, put the pot on, lid on.", "Mark the boil and let it run on.", "Mark where the flame no longer reaches the pot, and where it is gone.", "An alcohol flame may be invisible: treat it as lit until it is cold."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["bloomed", "firstBubbles", "flameLeftPot", "snuffed", "gaveUp", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Time to the boil, total burn time of the load, how many boils are in it, and useful heat after the boil. Fuel to the boil by its share of burn time, or by weighing.", "mustMark": ["lit", "potOn", "rollingBoil", "flameOut"], "cannotSay": "That a load which burns longer is thriftier: burn time is not efficiency. A share of burn time assumes an even flame.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '007f971bd0ec26c3eaf986172ea3fad59f0594ad07dd598e819e5ab4d6bc4956', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-467d-70f6-87e7-a9f71e5aa25b', '4418725b-94c2-588a-9a5b-ecad7d4af8bd', 1, '{"lid": "any", "may": ["altitude", "fuelTemp", "fuelUsed", "hardware"], "why": "To compare burners or fuels by themselves: the same load in each, lit together, no pot.", "boil": "rollingBoil", "fuel": "burnShare", "must": ["air", "wind", "fuelLoad", "scaleResolution"], "test": "burnOff", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Measure the same load into each burner.", "Nothing above the flame, nothing that burns near it.", "Light, mark full flame, and mark when the flame is gone.", "In daylight an alcohol flame cannot be seen: hold a hand well above, or darken the room."], "startC": {"low": null, "high": null}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": null, "mayMark": ["bloomed", "snuffed", "shutOff", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": null, "burntOut": "flameOut", "measures": "Burn time and burn rate by mass and by volume; firepower.", "mustMark": ["lit", "flameOut"], "cannotSay": "Fuel per litre, or which boils faster: a pot changes the flame, and a long burn is not a thrifty one.", "durationS": null, "safeWater": "notAsked", "correction": "loss", "readEveryS": null, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', 'a230aa1306d3439b107fda161e3b31c71985860fb95e202032e7772b15512f87', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-4681-7476-a644-f5f7a2144a5e', '714d9012-b7c5-5384-b1ee-e41d7e0b5bc0', 1, '{"lid": "on", "may": ["altitude", "waterStart", "fuelUsed", "fuelBefore", "fuelAfter", "fuelTemp"], "why": "To know how low it goes: whether it can keep a pot just boiling, and for how long on a load.", "boil": "rollingBoil", "fuel": "burnShare", "must": ["air", "wind", "water", "fuelLoad", "scaleResolution"], "test": "simmer", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Bring the water to the boil first, and only then set the reducer, the ring or the low valve.", "Weigh, light, pot on, lid on.", "Keep it just boiling; mark every change of the setting.", "Mark where it fell below the boil, and where the flame was gone."], "startC": {"low": null, "high": null}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": null, "mayMark": ["lit", "bloomed", "settingChanged", "flameLeftPot", "shutOff", "snuffed", "stopped"], "ranking": "fuel", "setting": "low", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Burn time and rate turned down, the turn-down ratio against the set-up’s own highest firepower, and the heat that holds the boil.", "mustMark": ["potOn", "flameOut"], "cannotSay": "Fuel per litre: nothing rises, so it is never brought to a reference.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": null}', 'd780318ab59d8e8ce57a28e8d0a6266ed16c6120bd8622f487d8395afa263651', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-468b-745b-8fe1-fc9f40b18ea4', 'ba8bb141-3d68-5ef3-acef-9ad1d7d94953', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware"], "why": "Quick, and free of any argument about boiling: heat for some minutes, and see how far the water rises.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "waterLast", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "fixedTime", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Let burner, pot and canister come to the air’s temperature: a warm burner lights faster.", "Weigh the water into the pot and read its temperature, stirred.", "Weigh burner with fuel, or the canister with the burner on.", "Read air and wind at the pot.", "Light, full flame, pot on, lid on.", "After the minutes are over, shut off, stir and read the highest temperature.", "Cool, wipe, weigh."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": null, "mayMark": ["lit", "bloomed", "snuffed", "flameOut", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Temperature rise and the power that went into the water.", "mustMark": ["potOn", "shutOff"], "cannotSay": "Fuel to the boil: the last kelvins cost most.", "durationS": 240, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '2fdadb4edec01b0488dbaef210d88f50a74970ae3360a471cffce7141dcb3242', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-4692-74db-8c91-64b4a61daff5', '9f97ad36-8f97-5ed7-9864-783f9e666978', 1, '{"lid": "any", "may": ["altitude", "hardware", "fuelTemp", "fuelLoad", "scaleResolution"], "why": "A burner that must warm up costs time and fuel before it heats anything: seconds on a good one, minutes on a slow one, longer in the cold.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind"], "test": "warmUp", "wind": "calm", "clock": "lit", "litre": "putIn", "steps": ["Hardware and fuel at the air’s temperature: soak them.", "Light and start the clock.", "Mark full flame: all jets lit, or the blue cone steady.", "Say whether a pot stood on it."], "startC": {"low": null, "high": null}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 300, "mayMark": ["potOn", "snuffed", "shutOff", "flameOut", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": null, "burntOut": "flameOut", "measures": "Lighting to full flame.", "mustMark": ["lit", "bloomed"], "cannotSay": "What a pot put on too early does to it, unless that is tried too.", "durationS": null, "safeWater": "notAsked", "correction": "loss", "readEveryS": null, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '231ec4ddf8ccd9516b763580a69ffcff4beba9626a0fd0880d8296d60a2c99fd', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-469e-76bd-8be7-6361a2208dbb', '1d2b2870-2bff-5e0c-a17f-d4e1b6313a8b', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware", "waterLast", "stationPressure"], "why": "One figure does not describe a gas burner: a good finned pot gives a flat line over the flame, a narrow bare one a steep one.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "flameSetting", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Boil as usual, at low, medium and full flame in turn, three of each, in mixed order.", "Set the flame before the pot goes on, and do not touch it again.", "Say which it was; the burn rate tells the rest."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Fuel per litre against burn rate, at low, medium and full flame: a line.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "Anything between or beyond the flames that were tried.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 9, "accessories": "own", "hardwareAboveAirK": 3}', '52ffad1deb3ca1a2cc595000f2b526aa1ae151648ec6a1df9c44795854712b69', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46a1-7789-af79-bacb50258d41', 'a3b58593-1256-5445-bef8-aff1a7b7fafc', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware", "waterLast", "windHeight"], "why": "Wind is what most often decides in the field, and nothing else differs so much between set-ups.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "wind", "wind": "fan", "clock": "potOn", "litre": "putIn", "steps": ["Survey first: m/s at the pot’s place and height for each step of the fan, without the stove.", "Boil as usual, calm, middle and strong, three of each, burners taking turns at the stations.", "Read the wind at the pot in each run; look how the flame lies.", "Weigh in the lee: a scale in the wind is wrong.", "Stop where the flame licks the canister or the valve."], "startC": {"low": 10, "high": 22}, "windMS": {"low": 0, "high": 4}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Fuel and time in calm, in about 1.8 and about 3.6 m/s at the pot; the wind that doubles the fuel, and the wind at which it no longer boils.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "What gusts do: a fan is steadier than weather. Nothing beyond the strongest wind that was tried.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 9, "accessories": "own", "hardwareAboveAirK": 3}', '17a75f2181cbdd360ac878ae90dc32e6abf7d627a2eae201634060daadb3ec13', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46a5-71ae-9013-ac729496d2e1', 'a2308764-099b-5aaf-b8e0-9d93c4f33903', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "fuelTemp", "waterLast"], "why": "Cold acts twice: through air and water, which the arithmetic knows, and through the fuel, which it does not.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "hardware", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "cold", "wind": "calm", "clock": "lit", "litre": "putIn", "steps": ["Soak fuel and hardware at the temperature for some hours, and say for how long.", "Lukewarm water at most to warm a canister; never a flame.", "Boil as usual; mark lighting and full flame.", "Weigh what is left in the canister when it no longer burns.", "No bare skin on cold metal."], "startC": {"low": -1, "high": 10}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 1200, "mayMark": ["bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Whether it lights, its warm-up, time, fuel and power with fuel and hardware soaked at a temperature, and what stays stranded in the canister.", "mustMark": ["lit", "potOn", "rollingBoil"], "cannotSay": "Anything colder than what was tried: that is a model.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 2}', 'd38989cc60cc2baa42899b9050358fef83602b63dd812dc62c9bad14c65d081b', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46a7-708f-af37-7ea3352c9c03', 'b65ce40b-be80-56bd-828f-6781bcf77ae1', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware", "waterLast"], "why": "Does this lid, felt, cone or finned pot help? Everything but one thing is held, and the two take turns.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "paired", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Change one thing, and only that.", "Alternate: one, other, other, one, so that drift in wind, air and fill falls on both.", "Cool everything between runs; the stand warms too.", "Four pairs show about 9 % at the usual scatter; smaller differences want more."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Percent change, with how sure.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "Which of two things made the difference, where two were changed.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 4, "accessories": "same", "hardwareAboveAirK": 2}', 'e242c2d98df4a14d24843906a1e9a53b4529798f1c10f039596d783a4c7089ac', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46aa-74df-a379-67135bef0aae', '27fa9c10-b74a-5ac4-a4d8-96c34577019c', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "waterLast", "hardware"], "why": "Tablets and sticks are fed: the fuel is the pieces, by a rule, less what is left.", "boil": "rollingBoil", "fuel": "pieces", "must": ["air", "wind", "water", "waterStart", "fuelLoad", "fuelLeftover", "scaleResolution"], "test": "fed", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Weigh the pieces; foil under the first, so the residue can be thrown away.", "Weigh the water into the pot and read its temperature, stirred.", "Weigh burner with fuel, or the canister with the burner on.", "Read air and wind at the pot.", "Light the first piece, pot on, clock running.", "When the flame no longer reaches the pot, add the next piece and mark it with its mass.", "At the boil snuff it; let the rest dry and cool, and weigh it.", "Do not breathe the fumes."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "fuelAdded", "flameLeftPot", "flameOut", "relit", "firstBubbles", "snuffed", "gaveUp", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Pieces and grams to the boil, time with its gaps, fuel per litre with what the gaps cost.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "Fuel to better than the last piece unless its rest is weighed, dry.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '885932774883bb2830ed9f0ee86d06b75a063635acbba17ef4befc00c2e029b1', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46ad-730c-8c0f-686cae8198b8', 'ad083bba-5e7c-5e4a-96fa-b56e154fa57b', 1, '{"lid": "on", "may": ["altitude", "char", "fuelLeftover", "fuelUsed", "waterLast"], "why": "A can of sticks burned as one load, air holes open or covered: how fast, and how much useful heat is left after the boil.", "boil": "rollingBoil", "fuel": "burnShare", "must": ["air", "wind", "water", "waterStart", "fuelLoad", "scaleResolution", "moisture"], "test": "wood", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Weigh the load; know its moisture (a meter, or dry a sample).", "Weigh the water into the pot and read its temperature, stirred.", "Weigh burner with fuel, or the canister with the burner on.", "Read air and wind at the pot.", "Say whether the air holes are open or covered.", "Light, pot on when the flame is up.", "Mark the boil and let it burn; mark where it no longer heats.", "Weigh the char. Wood throws sparks: cleared ground, water at hand."], "startC": {"low": 18, "high": 22}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "flameLeftPot", "fuelAdded", "gaveUp", "stopped"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Time to boil, boils per load, minutes of useful heat after it; fuel as dry wood of the same heat.", "mustMark": ["potOn", "rollingBoil", "flameOut"], "cannotSay": "Much, without the moisture of the wood: it decides more than the burner does.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '780cefa505e81fc144541f358a3a195fb925b3da44af67a18a86d7a3c022ad6b', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46b0-741f-bfd8-e917a9307103', '5ac4ab37-80c0-56a7-846d-30a34d868c63', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "waterEndMass", "waterLast"], "why": "In the cold, water is made of snow, and that takes more fuel than boiling it.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "snow", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "snow", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Put in starter water, weighed: dry snow scorches a pot.", "Weigh the snow and add it as it melts, without stopping.", "Weigh burner with fuel, or the canister with the burner on.", "Read air and wind at the pot.", "Light, pot on, lid on between additions.", "Mark when all is water, and the boil.", "Cool, wipe, weigh."], "startC": {"low": -1, "high": 8}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 1800, "mayMark": ["lit", "bloomed", "lidOff", "lidOn", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Fuel and time to water and to the boil, heat spent on melting.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "Anything for wet snow, whose water is melted already: weigh dry, cold snow.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '4a2ac6823edaec55bd40a294e8b697fd2ca9ba4abf12838903466c140938ff3f', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46b2-7168-9771-bfae71943735', 'fcaba324-ef15-5e37-b3e2-a5715d6cb860', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "claimStart", "claimTime", "hardware", "waterLast"], "why": "A stated figure is worth what its conditions are worth: boil at them, or bring the boil to them.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution", "claimFuel", "claimWater"], "test": "claim", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Write down the claim: fuel or time, water, start temperature, whatever is stated.", "Boil as stated, three times; where something is not stated, as usual.", "A tie is a tie."], "startC": {"low": null, "high": null}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "firstBubbles", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Claimed against measured, normalised to the stated conditions: met, missed or cannot say.", "mustMark": ["potOn", "rollingBoil"], "cannotSay": "Anything where what is not stated decides it.", "durationS": null, "safeWater": "rollingBoil", "correction": "loss", "readEveryS": 60, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', 'ce9bd8af25e97cd8911bbf03162298e4d62bf04dda6c2f029fe3f54fb9603892', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46b4-707f-8058-84f16a7a1b9a', '1c955b7d-f151-525d-84dd-a43225006534', 1, '{"lid": "on", "may": ["altitude", "waterStart", "waterLast"], "why": "What a pot loses to the air is in every figure: a quarter of an hour of cooling measures it, and the set-up’s other runs then rest on it.", "boil": "rollingBoil", "fuel": "weighed", "must": ["air", "wind", "water"], "test": "coolDown", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Bring the water near the boil, shut off, lid on, screen as in use.", "Log the temperature for a quarter of an hour at least, still.", "Read the air at the beginning and at the end."], "startC": {"low": null, "high": null}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": null, "mayMark": ["potOn", "lit", "flameOut", "snuffed", "stopped", "reading"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Heat loss in watts per kelvin, by Newton’s law.", "mustMark": ["shutOff"], "cannotSay": "What hot gas bathing the side does while it burns: that share stays estimated.", "durationS": null, "safeWater": "notAsked", "correction": "loss", "readEveryS": 30, "replicates": 3, "accessories": "own", "hardwareAboveAirK": null}', '1a8cb7932b6c613b7f0fa3846d9d5f9d8fafcad02567de5d422a2f858fc8d1c8', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.method_version VALUES ('01a22504-46b6-742a-b61f-da1ed0d74abd', '658de3bf-12d7-5ac4-bcfa-c1145a5f3ee2', 1, '{"lid": "on", "may": ["altitude", "fuelUsed", "hardware", "waterLast"], "why": "No boil to call and no altitude in it: from 20 to 90 °C by the thermometer, the quickest way to an agreed figure.", "boil": {"targetC": 90}, "fuel": "weighed", "must": ["air", "wind", "water", "waterStart", "fuelBefore", "fuelAfter", "scaleResolution"], "test": "rise", "wind": "calm", "clock": "potOn", "litre": "putIn", "steps": ["Water at 20 °C, stirred; probe in the middle of the water, not on the wall.", "Light, full flame, pot on, lid on with the probe through it.", "At 90 °C mark it and shut off in the same moment.", "Cool, wipe, weigh."], "startC": {"low": 19, "high": 21}, "windMS": {"low": 0, "high": 0.5}, "giveUpS": 900, "mayMark": ["lit", "bloomed", "shutOff", "gaveUp", "stopped", "flameOut"], "ranking": "fuel", "setting": "any", "waterKg": 0.4732, "burntOut": "flameOut", "measures": "Time and fuel to a fixed temperature below the boil.", "mustMark": ["potOn", "targetReached"], "cannotSay": "Fuel to the boil: the last kelvins are left out. Not compared with boils.", "durationS": null, "safeWater": "notAsked", "correction": "loss", "readEveryS": 30, "replicates": 3, "accessories": "own", "hardwareAboveAirK": 3}', '6ba8e53e32741c9beaed7c186e4b818e9d79cc5f9e60d83875f19d83fe884948', '', '2026-11-29 01:56:06.895334+00');
INSERT INTO public.now_place VALUES (true, '01a22504-4734-7146-9c18-312ba4750279');
INSERT INTO public.person VALUES ('01a22504-46bb-74ac-8c52-ff220cb8bc09', 'Odra Vell', '2026-11-29 01:56:06.971448+00');
INSERT INTO public.person VALUES ('01a22504-4733-7463-983b-d15442ba4c52', 'Ilse Marrow', '2026-11-29 01:56:07.090959+00');
INSERT INTO public.photo VALUES ('01a22504-4931-702d-846c-013eb42df71d', '01a22504-48ee-7798-b431-8049598da0c1', NULL, NULL, 'image/jpeg', 24, 16, '\xffd8ffdb0043000403030303020403030304040405060a06060505060c0809070a0e0c0f0e0e0c0d0d0f1116130f1015110d0d131a131517181919190f121b1d1b181d16181918ffdb0043010404040605060b06060b18100d101818181818181818181818181818181818181818181818181818181818181818181818181818181818181818181818181818ffc00011080010001803012200021101031101ffc4001500010100000000000000000000000000000007ffc40014100100000000000000000000000000000000ffc400160101010100000000000000000000000000000607ffc40014110100000000000000000000000000000000ffda000c03010002110311003f009680976ec000ffd9', '\xffd8ffdb00430006040506050406060506070706080a100a0a09090a140e0f0c1017141818171416161a1d251f1a1b231c1616202c20232627292a29191f2d302d283025282928ffdb0043010707070a080a130a0a13281a161a2828282828282828282828282828282828282828282828282828282828282828282828282828282828282828282828282828ffc00011080010001803012200021101031101ffc4001500010100000000000000000000000000000006ffc40014100100000000000000000000000000000000ffc400160101010100000000000000000000000000000507ffc40014110100000000000000000000000000000000ffda000c03010002110311003f00880121a18003ffd9', 'fa1ba93ae8678a6fa77c89149d553cdb78d620b189ce19f379ffa6bab0525ae2', 'soot on the tray', 300000, '01a22504-4733-7463-983b-d15442ba4c52', NULL, '2026-11-29 01:56:07.60819+00');
INSERT INTO public.photo VALUES ('01a22504-493b-7544-84cb-48fe48a90175', NULL, NULL, '01a22504-46fe-7718-8424-654e52f7c0bd', 'image/jpeg', 24, 16, '\xffd8ffdb0043000403030303020403030304040405060a06060505060c0809070a0e0c0f0e0e0c0d0d0f1116130f1015110d0d131a131517181919190f121b1d1b181d16181918ffdb0043010404040605060b06060b18100d101818181818181818181818181818181818181818181818181818181818181818181818181818181818181818181818181818ffc00011080010001803012200021101031101ffc4001500010100000000000000000000000000000007ffc40014100100000000000000000000000000000000ffc400160101010100000000000000000000000000000607ffc40014110100000000000000000000000000000000ffda000c03010002110311003f009680976ec000ffd9', '\xffd8ffdb00430006040506050406060506070706080a100a0a09090a140e0f0c1017141818171416161a1d251f1a1b231c1616202c20232627292a29191f2d302d283025282928ffdb0043010707070a080a130a0a13281a161a2828282828282828282828282828282828282828282828282828282828282828282828282828282828282828282828282828ffc00011080010001803012200021101031101ffc4001500010100000000000000000000000000000006ffc40014100100000000000000000000000000000000ffc400160101010100000000000000000000000000000507ffc40014110100000000000000000000000000000000ffda000c03010002110311003f00880121a18003ffd9', 'fa1ba93ae8678a6fa77c89149d553cdb78d620b189ce19f379ffa6bab0525ae2', '', NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', NULL, '2026-11-29 01:56:07.616589+00');
INSERT INTO public.place VALUES ('01a22504-46c2-7479-9afc-0c5a449ca8c1', 'Porch', 'Atlantic/Azores', '2026-11-29 01:56:06.971448+00', 1);
INSERT INTO public.place VALUES ('01a22504-4734-7146-9c18-312ba4750279', 'Yard', 'UTC', '2026-11-29 01:56:07.090959+00', 1);
INSERT INTO public.place_version VALUES ('01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46c2-7479-9afc-0c5a449ca8c1', 1, 940, NULL, '2026-11-29 01:56:06.971448+00', NULL, NULL, '{"name": "Porch", "zone": "Atlantic/Azores", "altitudeM": "940 m", "windHeightM": "", "stationPressurePa": "", "seaLevelPressurePa": ""}');
INSERT INTO public.place_version VALUES ('01a22504-4737-7699-b28f-868c6e47255e', '01a22504-4734-7146-9c18-312ba4750279', 1, 12, NULL, '2026-11-29 01:56:07.090959+00', NULL, NULL, '{"name": "Yard", "zone": "UTC", "altitudeM": "12 m", "windHeightM": "", "stationPressurePa": "", "seaLevelPressurePa": ""}');
INSERT INTO public.run VALUES ('01a22504-47e2-714a-b9b5-392c5a63a67b', 'measured', 'boil', 'finished', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-10-02 10:00:00+00', 'Atlantic/Azores', '', 1, 'dcabd1472c058f908037c9e98b763a1b12f0f1edbbdbc3ce1658e7864adff544', '2026-11-29 01:56:07.274566+00', NULL, NULL, NULL, false, NULL, NULL, NULL, NULL);
INSERT INTO public.run VALUES ('01a22504-4866-71a1-a305-42a704022691', 'measured', 'boil', 'finished', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-10-03 10:00:00+00', 'Atlantic/Azores', '', 1, '5e2678d6679e6575933935182d7fe1bf6858fc666bff71e4787d60596435a94f', '2026-11-29 01:56:07.406326+00', NULL, NULL, NULL, false, NULL, NULL, NULL, NULL);
INSERT INTO public.run VALUES ('01a22504-48ee-7798-b431-8049598da0c1', 'measured', 'fed', 'finished', '01a22504-4753-7453-a824-394b678a82d2', '01a22504-4767-75bc-ace7-2ff4a5e764a9', '01a22504-4737-7699-b28f-868c6e47255e', '01a22504-4733-7463-983b-d15442ba4c52', '2026-10-01 10:00:00+00', 'UTC', 'two gusts blew it out', 1, 'f13a70333b9e5a41190adeb5b90da201af24c0d41146e8a91001d3ad5a0068f2', '2026-11-29 01:56:07.541631+00', NULL, NULL, NULL, false, NULL, NULL, NULL, NULL);
INSERT INTO public.run VALUES ('01a22504-477d-73b0-8512-f220f3ee458e', 'measured', 'boil', 'finished', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-10-01 10:00:00+00', 'Atlantic/Azores', 'gusts, "later" calm; =1+1', 2, '67903da102177bbff78cdec9c6d3c05a0a68ef8586f7b6e2cadf1f272ac05f5b', '2026-11-29 01:56:07.181163+00', NULL, NULL, NULL, false, NULL, NULL, NULL, NULL);
INSERT INTO public.run VALUES ('01a22504-48ae-7601-8a15-f8763ba990eb', 'measured', 'boil', 'void', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-10-04 10:00:00+00', 'Atlantic/Azores', '', 2, 'a179c6f9545511bf56c785dd1c12cef2f2a2a97f2007b9420b4d3b64e8346e40', '2026-11-29 01:56:07.482167+00', NULL, NULL, NULL, false, NULL, NULL, NULL, NULL);
INSERT INTO public.run VALUES ('c99dc186-d321-5d3a-8f15-19294061afd9', 'measured', 'boil', 'finished', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-03-14 13:00:00+00', 'Atlantic/Azores', '', 1, 'c2032710215a0b0fd7610ab09f5749da867cef81394e39a884fb2e322d27e924', '2026-11-29 01:56:07.998+00', NULL, NULL, NULL, false, NULL, NULL, '01a22504-4a35-75fb-b220-6f7633302d01', NULL);
INSERT INTO public.run VALUES ('b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', 'measured', 'boil', 'finished', '01a22504-4a91-7031-919f-bacee853d8ad', '01a22504-471f-7561-8d9a-cbf9fe5566bd', NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-03-15 13:00:00+00', 'Atlantic/Azores', '', 1, '771b25f9a65cf6d01ff20416be96f644f8aa5c42f451b0e5b06f046fb0900b64', '2026-11-29 01:56:07.998+00', NULL, NULL, NULL, false, NULL, NULL, '01a22504-4a35-75fb-b220-6f7633302d01', NULL);
INSERT INTO public.run VALUES ('dc379dc1-24da-5ded-ba00-006108503af7', 'measured', 'boil', 'void', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', NULL, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-02-14 13:00:00+00', 'Atlantic/Azores', '', 2, '1620ed9156668a655997efb8b5263b93454babba8616e0f3b85362ca26325db9', '2026-11-29 01:56:08.246+00', NULL, NULL, NULL, false, NULL, NULL, '01a22504-4b70-73e5-ba70-4a5c9bed24d2', NULL);
INSERT INTO public.run VALUES ('01a22504-4c9a-731c-b7c0-f4d344e5bedc', 'measured', 'boil', 'draft', '01a22504-4753-7453-a824-394b678a82d2', '01a22504-4767-75bc-ace7-2ff4a5e764a9', '01a22504-4737-7699-b28f-868c6e47255e', '01a22504-4733-7463-983b-d15442ba4c52', '2026-10-20 11:59:00+00', 'UTC', '', 1, '3a82e754ee294ec5027e4e177fe6d3e2ed12de2f17103af04a541b0269db462d', '2026-11-29 01:56:08.478971+00', NULL, NULL, NULL, false, 'B', '{"units": "metric", "armedAtMs": 1792497540000, "instruments": {}}', NULL, NULL);
INSERT INTO public.run VALUES ('01a22504-4c78-7628-90e2-b499ca9ae9c0', 'measured', 'boil', 'live', '01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-471f-7561-8d9a-cbf9fe5566bd', '01a22504-46e7-75f9-96fc-81d582003ef4', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-10-20 12:00:00+00', 'UTC', '', 1, '698f37fb7fd96d3bcbca21b8e7b527559a1990bca24a4aa038f9884d624ade83', '2026-11-29 01:56:08.448595+00', NULL, NULL, NULL, false, 'A', '{"units": "metric", "armedAtMs": 1792497540000, "instruments": {}}', NULL, NULL);
INSERT INTO public.run_note VALUES ('01a22504-4cad-7691-8672-1a8f726a725b', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'wind from the sea', 130000, '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.592859+00');
INSERT INTO public.run_row VALUES ('01a22504-47e2-714a-b9b5-392c5a63a67b', '2026-10-02 10:00:00+00', '{"id": "01a22504-47e2-714a-b9b5-392c5a63a67b", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": null, "place": "Porch", "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 590, "marks": [{"s": 0, "kind": "lit"}, {"s": 10, "kind": "potOn"}, {"s": 562, "kind": "rollingBoil"}, {"s": 566, "kind": "snuffed"}], "water": [[0, 15], [20, 18.2], [40, 21.4], [60, 24.6], [80, 27.8], [100, 31], [120, 34.2], [140, 37.4], [160, 40.6], [180, 43.8], [200, 47], [220, 50.2], [240, 53.4], [260, 56.6], [280, 59.8], [300, 63], [320, 66.2], [340, 69.4], [360, 72.6], [380, 75.8], [400, 79], [420, 82.2], [440, 85.4], [460, 88.6], [480, 91.8], [500, 95], [520, 96.8], [540, 96.8], [560, 96.8], [580, 96.8], [590, 96.8]], "weighed": true, "boilingC": 96.84850284929439}, "status": "not", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-10-02T10:00:00.000Z", "worstFlag": {"text": "You called 9:22; the trace says 8:28. Which?", "severity": "warning"}, "efficiency": null, "firepowerW": null, "normalisedU": null, "timeToBoilS": 552, "burnRateGPerMin": null, "normalisedGPerL": null}', '0.5.0', '2026-10-02', 'measured', false, 'Cup', 'Porch', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{autumn}', 'cup porch methanol by no method odra vell  cup', 552, NULL, NULL, NULL, NULL, NULL, '2582745153255be240564c5d4d665d3f60a51a4591e68f1eab6f1c33aac6fa64.measured', NULL);
INSERT INTO public.run_row VALUES ('01a22504-48ee-7798-b431-8049598da0c1', '2026-10-01 10:00:00+00', '{"id": "01a22504-48ee-7798-b431-8049598da0c1", "fuel": "Hexamine tablet", "kind": "fed", "says": null, "zone": "UTC", "ended": "boiled", "gPerL": 30.74478330757848, "place": "Yard", "setup": "Tray", "method": null, "origin": "measured", "person": "Ilse Marrow", "ribbon": {"endS": 820, "marks": [{"s": 0, "kind": "lit"}, {"s": 5, "kind": "potOn"}, {"s": 180, "kind": "fuelAdded"}, {"s": 250, "kind": "flameOut"}, {"s": 280, "kind": "relit"}, {"s": 450, "kind": "fuelAdded"}, {"s": 530, "kind": "flameOut"}, {"s": 545, "kind": "relit"}, {"s": 660, "kind": "fuelAdded"}, {"s": 820, "kind": "rollingBoil"}], "water": [[0, 11], [820, 99.93443773947286]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-10-01T10:00:00.000Z", "worstFlag": null, "efficiency": 0.508294896109422, "firepowerW": 557.9354827664467, "normalisedU": 0.26046276120630685, "timeToBoilS": 815, "burnRateGPerMin": 1.1922580645161291, "normalisedGPerL": 27.55960306299189}', '0.5.0', '2026-10-01', 'measured', false, 'Tray', 'Yard', 'Hexamine tablet', 'by no method', 'Ilse Marrow', '{}', '{autumn}', 'tray yard hexamine tablet by no method ilse marrow two gusts blew it out tray', 815, 30.74478330757848, 27.55960306299189, 0.508294896109422, 1.1922580645161291, 557.9354827664467, 'ffb68a54c63c1b542cc3b9443b35a3d0deaa592c0a2ae2212eb362e41c4953c9.measured', NULL);
INSERT INTO public.run_row VALUES ('01a22504-4866-71a1-a305-42a704022691', '2026-10-03 10:00:00+00', '{"id": "01a22504-4866-71a1-a305-42a704022691", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": null, "place": "Porch", "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 567, "marks": [{"s": 0, "kind": "lit"}, {"s": 10, "kind": "potOn"}, {"s": 563, "kind": "rollingBoil"}, {"s": 567, "kind": "snuffed"}], "water": [[0, 15], [563, 96.84850284929439]], "weighed": true, "boilingC": 96.84850284929439}, "status": "not", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-10-03T10:00:00.000Z", "worstFlag": {"text": "The flame ran on 0:04 after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.", "severity": "warning"}, "efficiency": null, "firepowerW": null, "normalisedU": null, "timeToBoilS": 553, "burnRateGPerMin": null, "normalisedGPerL": null}', '0.5.0', '2026-10-03', 'measured', false, 'Cup', 'Porch', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'cup porch methanol by no method odra vell  cup', 553, NULL, NULL, NULL, NULL, NULL, '2582745153255be240564c5d4d665d3f60a51a4591e68f1eab6f1c33aac6fa64.measured', NULL);
INSERT INTO public.run_row VALUES ('01a22504-48ae-7601-8a15-f8763ba990eb', '2026-10-04 10:00:00+00', '{"id": "01a22504-48ae-7601-8a15-f8763ba990eb", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": null, "place": "Porch", "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 568, "marks": [{"s": 0, "kind": "lit"}, {"s": 10, "kind": "potOn"}, {"s": 564, "kind": "rollingBoil"}, {"s": 568, "kind": "snuffed"}], "water": [[0, 15], [564, 96.84850284929439]], "weighed": true, "boilingC": 96.84850284929439}, "status": "not", "voided": true, "breakIn": false, "setting": null, "startedAt": "2026-10-04T10:00:00.000Z", "worstFlag": {"text": "The flame ran on 0:04 after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.", "severity": "warning"}, "efficiency": null, "firepowerW": null, "normalisedU": null, "timeToBoilS": 554, "burnRateGPerMin": null, "normalisedGPerL": null}', '0.5.0', '2026-10-04', 'measured', true, 'Cup', 'Porch', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'cup porch methanol by no method odra vell  cup', 554, NULL, NULL, NULL, NULL, NULL, '01a22504-48ae-7601-8a15-f8763ba990eb', NULL);
INSERT INTO public.run_row VALUES ('b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc', '2026-03-15 13:00:00+00', '{"id": "b1f9f42b-e3c3-5ac1-b289-aa22c213b0cc", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 42.375053375804356, "place": null, "setup": "Tin can", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 652, "marks": [{"s": 0, "kind": "potOn"}, {"s": 652, "kind": "rollingBoil"}], "water": [], "weighed": true, "boilingC": null}, "status": "not", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-03-15T13:00:00.000Z", "worstFlag": {"text": "Wind not measured: partly normalised. Type the wind at the pot, or \"calm\".", "severity": "warning"}, "efficiency": null, "firepowerW": 647.7008047955304, "normalisedU": null, "timeToBoilS": 652, "burnRateGPerMin": 1.9509202453987722, "normalisedGPerL": null}', '0.5.0', '2026-03-15', 'measured', false, 'Tin can', 'elsewhere', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'tin can elsewhere methanol by no method odra vell  tin can', 652, 42.375053375804356, NULL, NULL, 1.9509202453987722, 647.7008047955304, 'ef18058b44ee62587c07d0bfb565d0ec0fa7e3ff6ae14d853cadc79e12c006e9.measured', NULL);
INSERT INTO public.run_row VALUES ('dc379dc1-24da-5ded-ba00-006108503af7', '2026-02-14 13:00:00+00', '{"id": "dc379dc1-24da-5ded-ba00-006108503af7", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 40.12793145989139, "place": null, "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 588, "marks": [{"s": 0, "kind": "potOn"}, {"s": 588, "kind": "rollingBoil"}], "water": [], "weighed": true, "boilingC": null}, "status": "not", "voided": true, "breakIn": false, "setting": null, "startedAt": "2026-02-14T13:00:00.000Z", "worstFlag": {"text": "Wind not measured: partly normalised. Type the wind at the pot, or \"calm\".", "severity": "warning"}, "efficiency": null, "firepowerW": 680.9338168244119, "normalisedU": null, "timeToBoilS": 588, "burnRateGPerMin": 2.0510204081632653, "normalisedGPerL": null}', '0.5.0', '2026-02-14', 'measured', true, 'Cup', 'elsewhere', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'cup elsewhere methanol by no method odra vell  cup', 588, 40.12793145989139, NULL, NULL, 2.0510204081632653, 680.9338168244119, 'dc379dc1-24da-5ded-ba00-006108503af7', NULL);
INSERT INTO public.run_row VALUES ('01a22504-477d-73b0-8512-f220f3ee458e', '2026-10-01 10:00:00+00', '{"id": "01a22504-477d-73b0-8512-f220f3ee458e", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": null, "place": "Porch", "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 565, "marks": [{"s": 0, "kind": "lit"}, {"s": 10, "kind": "potOn"}, {"s": 561, "kind": "rollingBoil"}, {"s": 565, "kind": "snuffed"}], "water": [[0, 15], [561, 96.84850284929439]], "weighed": true, "boilingC": 96.84850284929439}, "status": "not", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-10-01T10:00:00.000Z", "worstFlag": {"text": "The flame ran on 0:04 after the boil: fuel to the boil is not known. Weigh at the boil, or take the share of burn time.", "severity": "warning"}, "efficiency": null, "firepowerW": null, "normalisedU": null, "timeToBoilS": 551, "burnRateGPerMin": null, "normalisedGPerL": null}', '0.5.0', '2026-10-01', 'measured', false, 'Cup', 'Porch', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'cup porch methanol by no method odra vell gusts, "later" calm; =1+1 cup', 551, NULL, NULL, NULL, NULL, NULL, '2582745153255be240564c5d4d665d3f60a51a4591e68f1eab6f1c33aac6fa64.measured', NULL);
INSERT INTO public.run_row VALUES ('c99dc186-d321-5d3a-8f15-19294061afd9', '2026-03-14 13:00:00+00', '{"id": "c99dc186-d321-5d3a-8f15-19294061afd9", "fuel": "Methanol", "kind": "boil", "says": null, "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 40.57823503909907, "place": null, "setup": "Cup", "method": null, "origin": "measured", "person": "Odra Vell", "ribbon": {"endS": 588, "marks": [{"s": 0, "kind": "potOn"}, {"s": 588, "kind": "rollingBoil"}], "water": [], "weighed": true, "boilingC": null}, "status": "not", "voided": false, "breakIn": false, "setting": null, "startedAt": "2026-03-14T13:00:00.000Z", "worstFlag": {"text": "Wind not measured: partly normalised. Type the wind at the pot, or \"calm\".", "severity": "warning"}, "efficiency": null, "firepowerW": 687.7092776883368, "normalisedU": null, "timeToBoilS": 588, "burnRateGPerMin": 2.0714285714285725, "normalisedGPerL": null}', '0.5.0', '2026-03-14', 'measured', false, 'Cup', 'elsewhere', 'Methanol', 'by no method', 'Odra Vell', '{doubtful}', '{}', 'cup elsewhere methanol by no method odra vell  cup', 588, 40.57823503909907, NULL, NULL, 2.0714285714285725, 687.7092776883368, '2582745153255be240564c5d4d665d3f60a51a4591e68f1eab6f1c33aac6fa64.measured', NULL);
INSERT INTO public.run_tag VALUES ('01a22504-4a2f-756d-ab4d-d4dc1f543acf', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'autumn', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.842468+00', NULL);
INSERT INTO public.run_tag VALUES ('01a22504-4a2f-756d-ab4d-d99ddf007e2f', '01a22504-48ee-7798-b431-8049598da0c1', 'autumn', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.842468+00', NULL);
INSERT INTO public.run_void VALUES ('b575fcb0-e65c-574a-9f0f-0c7a74b31e45', '01a22504-48ae-7601-8a15-f8763ba990eb', true, 'knocked over', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:07.691587+00');
INSERT INTO public.run_void VALUES ('01a22504-4c0b-75ea-8a90-0ef7ba993025', 'dc379dc1-24da-5ded-ba00-006108503af7', true, 'Import undone: the wrong month', '01a22504-46bb-74ac-8c52-ff220cb8bc09', '2026-11-29 01:56:08.331+00');
INSERT INTO public.setup VALUES ('01a22504-46fe-7718-8424-654e52f7c0bd', 'Cup', '2026-11-29 01:56:06.971448+00', '', 1, NULL);
INSERT INTO public.setup VALUES ('01a22504-474c-7575-a6c7-2677e8d9f918', 'Tray', '2026-11-29 01:56:07.090959+00', '', 1, NULL);
INSERT INTO public.setup VALUES ('01a22504-4a8c-7118-a881-f69badfc6a70', 'Tin can', '2026-11-29 01:56:07.907814+00', '', 1, NULL);
INSERT INTO public.setup_part VALUES ('01a22504-4703-748a-9ad6-a7f446777b76', 'burner', '01a22504-46f3-7419-a6ef-113888774eb4');
INSERT INTO public.setup_part VALUES ('01a22504-4753-7453-a824-394b678a82d2', 'burner', '01a22504-473e-71b0-984c-08f05f99ace3');
INSERT INTO public.setup_part VALUES ('01a22504-4a91-7031-919f-bacee853d8ad', 'burner', '01a22504-4a7f-720b-b0f1-183738bc206b');
INSERT INTO public.setup_version VALUES ('01a22504-4703-748a-9ad6-a7f446777b76', '01a22504-46fe-7718-8424-654e52f7c0bd', 1, NULL, '2582745153255be240564c5d4d665d3f60a51a4591e68f1eab6f1c33aac6fa64', '2026-11-29 01:56:06.971448+00', '', '');
INSERT INTO public.setup_version VALUES ('01a22504-4753-7453-a824-394b678a82d2', '01a22504-474c-7575-a6c7-2677e8d9f918', 1, NULL, 'ffb68a54c63c1b542cc3b9443b35a3d0deaa592c0a2ae2212eb362e41c4953c9', '2026-11-29 01:56:07.090959+00', '', '');
INSERT INTO public.setup_version VALUES ('01a22504-4a91-7031-919f-bacee853d8ad', '01a22504-4a8c-7118-a881-f69badfc6a70', 1, NULL, 'ef18058b44ee62587c07d0bfb565d0ec0fa7e3ff6ae14d853cadc79e12c006e9', '2026-11-29 01:56:07.907814+00', '', '');
INSERT INTO public.thing VALUES ('01a22504-46ef-7547-bf99-06254b9649b9', 'burner', 'Cup', '', '2026-11-29 01:56:06.971448+00', NULL, 1, NULL);
INSERT INTO public.thing VALUES ('01a22504-473c-77fc-9f3a-e4929c32987d', 'burner', 'Tray', '', '2026-11-29 01:56:07.090959+00', NULL, 1, NULL);
INSERT INTO public.thing VALUES ('01a22504-4a7a-701f-ad4c-0117028670d8', 'burner', 'Tin can', '', '2026-11-29 01:56:07.907814+00', NULL, 1, NULL);
INSERT INTO public.thing_version VALUES ('01a22504-46f3-7419-a6ef-113888774eb4', '01a22504-46ef-7547-bf99-06254b9649b9', 1, '{"head": null, "burner": "alcohol", "massKg": null, "widthM": null, "heightM": null, "supportM": null}', 'e7fd89c4c7a97df0f1b737d02ee13c21cb3e430dbbfc959f3259d6195e0396f9', '2026-11-29 01:56:06.971448+00', '{"head": "", "burner": "alcohol", "massKg": "", "widthM": "", "heightM": "", "supportM": ""}', '');
INSERT INTO public.thing_version VALUES ('01a22504-473e-71b0-984c-08f05f99ace3', '01a22504-473c-77fc-9f3a-e4929c32987d', 1, '{"head": null, "burner": "solid", "massKg": null, "widthM": null, "heightM": null, "supportM": null}', 'c57e1f1e27932e26b1f2c66214154f18c53586958b7a175f8d094be44c8ca873', '2026-11-29 01:56:07.090959+00', '{"head": "", "burner": "solid", "massKg": "", "widthM": "", "heightM": "", "supportM": ""}', '');
INSERT INTO public.thing_version VALUES ('01a22504-4a7f-720b-b0f1-183738bc206b', '01a22504-4a7a-701f-ad4c-0117028670d8', 1, '{"head": null, "burner": "alcohol", "massKg": null, "widthM": null, "heightM": null, "supportM": null}', 'b70abe15d903570d9f9195ac5db8ee32603973c6a2c0c35989300b71015ae323', '2026-11-29 01:56:07.907814+00', '{"head": "", "burner": "alcohol", "massKg": "", "widthM": "", "heightM": "", "supportM": ""}', '');
INSERT INTO public.trace VALUES ('01a22504-47f2-724a-a8ed-3989a72f1bf9', '01a22504-47e2-714a-b9b5-392c5a63a67b', 'water', 'degC', NULL, NULL, NULL, NULL);
INSERT INTO public.trace VALUES ('01a22504-4d45-758b-8d5d-7f749882de33', '01a22504-4c78-7628-90e2-b499ca9ae9c0', 'water', 'degC', NULL, NULL, NULL, '01a22504-4d2a-7251-986c-3e77cea5460f');
INSERT INTO public.trace_chunk VALUES ('01a22504-47f4-7744-8bc5-fe685ce6b77a', '01a22504-47f2-724a-a8ed-3989a72f1bf9', 1, 0, 590000, '{0,10000,20000,30000,40000,50000,60000,70000,80000,90000,100000,110000,120000,130000,140000,150000,160000,170000,180000,190000,200000,210000,220000,230000,240000,250000,260000,270000,280000,290000,300000,310000,320000,330000,340000,350000,360000,370000,380000,390000,400000,410000,420000,430000,440000,450000,460000,470000,480000,490000,500000,510000,520000,530000,540000,550000,560000,570000,580000,590000}', '{15,16.6,18.2,19.8,21.4,23,24.6,26.200000000000003,27.8,29.4,31,32.6,34.2,35.8,37.400000000000006,39,40.6,42.2,43.8,45.400000000000006,47,48.6,50.2,51.800000000000004,53.400000000000006,55,56.6,58.2,59.800000000000004,61.400000000000006,63,64.6,66.2,67.80000000000001,69.4,71,72.6,74.2,75.80000000000001,77.4,79,80.60000000000001,82.2,83.8,85.4,87,88.60000000000001,90.2,91.80000000000001,93.4,95,96.60000000000001,96.8,96.8,96.8,96.8,96.8,96.8,96.8,96.8}', '3ff12b9a9759e062f7f41130263d10cd20d6e8e7760345066e72c8342876f88e');
INSERT INTO public.trace_chunk VALUES ('01a22504-4d49-77ba-8e6f-c5d7ea758251', '01a22504-4d45-758b-8d5d-7f749882de33', 1, 0, 145000, '{0,5000,10000,15000,20000,25000,30000,35000,40000,45000,50000,55000,60000,65000,70000,75000,80000,85000,90000,95000,100000,105000,110000,115000,120000,125000,130000,135000,140000,145000}', '{15,15.8,16.6,17.4,18.2,19,19.8,20.6,21.4,22.2,23,23.8,24.6,25.4,26.2,27,27.8,28.6,29.4,30.2,31,31.8,32.6,33.4,34.2,35,35.8,36.6,37.4,38.2}', '71c6936ab9cba9563385fa2a19090a0afc8fbda7946b2f3f2d6c2a241d58be6a');
SELECT pg_catalog.setval('drizzle.__drizzle_migrations_id_seq', 11, true);
ALTER TABLE ONLY drizzle.__drizzle_migrations
    ADD CONSTRAINT __drizzle_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.amendment
    ADD CONSTRAINT amendment_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bench_act
    ADD CONSTRAINT bench_act_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bench_clock
    ADD CONSTRAINT bench_clock_pkey PRIMARY KEY (boot_id);
ALTER TABLE ONLY public.bench
    ADD CONSTRAINT bench_pkey PRIMARY KEY ("only");
ALTER TABLE ONLY public.change
    ADD CONSTRAINT change_stream_seq_pk PRIMARY KEY (stream, seq);
ALTER TABLE ONLY public.container_entry
    ADD CONSTRAINT container_entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.container
    ADD CONSTRAINT container_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.device
    ADD CONSTRAINT device_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.device
    ADD CONSTRAINT device_token_hash_unique UNIQUE (token_hash);
ALTER TABLE ONLY public.draft
    ADD CONSTRAINT draft_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_run_id_seq_unique UNIQUE (run_id, seq);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_supersedes_id_unique UNIQUE (supersedes_id);
ALTER TABLE ONLY public.feed
    ADD CONSTRAINT feed_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.feed
    ADD CONSTRAINT feed_token_hash_unique UNIQUE (token_hash);
ALTER TABLE ONLY public.fuel_batch
    ADD CONSTRAINT fuel_batch_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.fuel
    ADD CONSTRAINT fuel_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.import_chunk
    ADD CONSTRAINT import_chunk_import_id_sheet_seq_pk PRIMARY KEY (import_id, sheet, seq);
ALTER TABLE ONLY public.import
    ADD CONSTRAINT import_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ingest_batch
    ADD CONSTRAINT ingest_batch_feed_id_batch_id_pk PRIMARY KEY (feed_id, batch_id);
ALTER TABLE ONLY public.instrument_check
    ADD CONSTRAINT instrument_check_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_supersedes_id_unique UNIQUE (supersedes_id);
ALTER TABLE ONLY public.method
    ADD CONSTRAINT method_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.method
    ADD CONSTRAINT method_shipped_key_unique UNIQUE (shipped_key);
ALTER TABLE ONLY public.method_version
    ADD CONSTRAINT method_version_method_id_n_unique UNIQUE (method_id, n);
ALTER TABLE ONLY public.method_version
    ADD CONSTRAINT method_version_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.now_place
    ADD CONSTRAINT now_place_pkey PRIMARY KEY ("only");
ALTER TABLE ONLY public.now_reading
    ADD CONSTRAINT now_reading_pkey PRIMARY KEY (quantity);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_supersedes_id_unique UNIQUE (supersedes_id);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.photo
    ADD CONSTRAINT photo_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place
    ADD CONSTRAINT place_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_place_id_n_unique UNIQUE (place_id, n);
ALTER TABLE ONLY public.price
    ADD CONSTRAINT price_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.result
    ADD CONSTRAINT result_run_id_options_hash_pk PRIMARY KEY (run_id, options_hash);
ALTER TABLE ONLY public.run_note
    ADD CONSTRAINT run_note_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.run_row
    ADD CONSTRAINT run_row_pkey PRIMARY KEY (run_id);
ALTER TABLE ONLY public.run_tag
    ADD CONSTRAINT run_tag_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.run_void
    ADD CONSTRAINT run_void_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.setup_decision
    ADD CONSTRAINT setup_decision_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.setup_part
    ADD CONSTRAINT setup_part_setup_version_id_role_pk PRIMARY KEY (setup_version_id, role);
ALTER TABLE ONLY public.setup
    ADD CONSTRAINT setup_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.setup_version
    ADD CONSTRAINT setup_version_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.setup_version
    ADD CONSTRAINT setup_version_setup_id_n_unique UNIQUE (setup_id, n);
ALTER TABLE ONLY public.thing
    ADD CONSTRAINT thing_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.thing_version
    ADD CONSTRAINT thing_version_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.thing_version
    ADD CONSTRAINT thing_version_thing_id_n_unique UNIQUE (thing_id, n);
ALTER TABLE ONLY public.trace_chunk
    ADD CONSTRAINT trace_chunk_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.trace_chunk
    ADD CONSTRAINT trace_chunk_trace_id_seq_unique UNIQUE (trace_id, seq);
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.wind_survey
    ADD CONSTRAINT wind_survey_pkey PRIMARY KEY (id);
CREATE INDEX amendment_by_subject ON public.amendment USING btree (subject_id);
CREATE INDEX bench_act_by_run ON public.bench_act USING btree (run_id);
CREATE INDEX container_entry_by_container ON public.container_entry USING btree (container_id);
CREATE INDEX decision_by_run ON public.decision USING btree (run_id);
CREATE INDEX import_by_file ON public.import USING btree (file_hash);
CREATE INDEX ingest_batch_by_time ON public.ingest_batch USING btree (received_at);
CREATE INDEX instrument_check_by_thing ON public.instrument_check USING btree (thing_id);
CREATE INDEX measurement_by_run ON public.measurement USING btree (run_id);
CREATE INDEX observation_by_run ON public.observation USING btree (run_id);
CREATE INDEX photo_by_run ON public.photo USING btree (run_id);
CREATE INDEX run_by_import ON public.run USING btree (import_id);
CREATE INDEX run_by_start ON public.run USING btree (started_at);
CREATE INDEX run_note_by_run ON public.run_note USING btree (run_id);
CREATE UNIQUE INDEX run_one_a_lane ON public.run USING btree (lane) WHERE (state = ANY (ARRAY['draft'::text, 'live'::text]));
CREATE INDEX run_row_by_series ON public.run_row USING btree (series);
CREATE INDEX run_row_by_setup ON public.run_row USING btree (setup COLLATE "und-x-icu", run_id);
CREATE INDEX run_row_by_start ON public.run_row USING btree (started_at, run_id);
CREATE INDEX run_row_count ON public.run_row USING btree (origin, voided, day);
CREATE INDEX run_row_of_person ON public.run_row USING btree (person, origin, voided, g_per_l, run_id);
CREATE INDEX run_row_of_place ON public.run_row USING btree (place, started_at, run_id);
CREATE INDEX run_row_of_setup ON public.run_row USING btree (setup, started_at, run_id);
CREATE INDEX run_row_stale ON public.run_row USING btree (stale_since) WHERE (stale_since IS NOT NULL);
CREATE INDEX run_row_tags ON public.run_row USING gin (tags);
CREATE INDEX run_row_thriftiest ON public.run_row USING btree (normalised_g_per_l, run_id);
CREATE INDEX run_row_words ON public.run_row USING gin (words public.gin_trgm_ops);
CREATE INDEX run_tag_by_run ON public.run_tag USING btree (run_id);
CREATE INDEX run_void_by_run ON public.run_void USING btree (run_id);
CREATE INDEX setup_decision_by_version ON public.setup_decision USING btree (setup_version_id);
CREATE INDEX trace_chunk_by_time ON public.trace_chunk USING btree (trace_id, last_ms);
CREATE UNIQUE INDEX trace_one_a_channel ON public.trace USING btree (run_id, channel) WHERE (removed_at IS NULL);
CREATE INDEX wind_survey_of_place ON public.wind_survey USING btree (place_id, created_at);
ALTER TABLE ONLY public.amendment
    ADD CONSTRAINT amendment_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.bench_act
    ADD CONSTRAINT bench_act_device_id_device_id_fk FOREIGN KEY (device_id) REFERENCES public.device(id);
ALTER TABLE ONLY public.container_entry
    ADD CONSTRAINT container_entry_container_id_container_id_fk FOREIGN KEY (container_id) REFERENCES public.container(id);
ALTER TABLE ONLY public.container_entry
    ADD CONSTRAINT container_entry_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.container_entry
    ADD CONSTRAINT container_entry_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.container
    ADD CONSTRAINT container_fuel_batch_id_fuel_batch_id_fk FOREIGN KEY (fuel_batch_id) REFERENCES public.fuel_batch(id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_device_id_device_id_fk FOREIGN KEY (device_id) REFERENCES public.device(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_supersedes_id_event_id_fk FOREIGN KEY (supersedes_id) REFERENCES public.event(id);
ALTER TABLE ONLY public.fuel_batch
    ADD CONSTRAINT fuel_batch_fuel_id_fuel_id_fk FOREIGN KEY (fuel_id) REFERENCES public.fuel(id);
ALTER TABLE ONLY public.import_chunk
    ADD CONSTRAINT import_chunk_import_id_import_id_fk FOREIGN KEY (import_id) REFERENCES public.import(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.import
    ADD CONSTRAINT import_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.ingest_batch
    ADD CONSTRAINT ingest_batch_feed_id_feed_id_fk FOREIGN KEY (feed_id) REFERENCES public.feed(id);
ALTER TABLE ONLY public.instrument_check
    ADD CONSTRAINT instrument_check_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.instrument_check
    ADD CONSTRAINT instrument_check_thing_id_thing_id_fk FOREIGN KEY (thing_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_instrument_version_id_thing_version_id_fk FOREIGN KEY (instrument_version_id) REFERENCES public.thing_version(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_supersedes_id_measurement_id_fk FOREIGN KEY (supersedes_id) REFERENCES public.measurement(id);
ALTER TABLE ONLY public.method
    ADD CONSTRAINT method_copied_from_id_method_id_fk FOREIGN KEY (copied_from_id) REFERENCES public.method(id);
ALTER TABLE ONLY public.method_version
    ADD CONSTRAINT method_version_method_id_method_id_fk FOREIGN KEY (method_id) REFERENCES public.method(id);
ALTER TABLE ONLY public.now_place
    ADD CONSTRAINT now_place_place_id_place_id_fk FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_supersedes_id_observation_id_fk FOREIGN KEY (supersedes_id) REFERENCES public.observation(id);
ALTER TABLE ONLY public.photo
    ADD CONSTRAINT photo_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.photo
    ADD CONSTRAINT photo_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.photo
    ADD CONSTRAINT photo_setup_id_setup_id_fk FOREIGN KEY (setup_id) REFERENCES public.setup(id);
ALTER TABLE ONLY public.photo
    ADD CONSTRAINT photo_thing_id_thing_id_fk FOREIGN KEY (thing_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_place_id_place_id_fk FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.price
    ADD CONSTRAINT price_fuel_batch_id_fuel_batch_id_fk FOREIGN KEY (fuel_batch_id) REFERENCES public.fuel_batch(id);
ALTER TABLE ONLY public.price
    ADD CONSTRAINT price_thing_id_thing_id_fk FOREIGN KEY (thing_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.result
    ADD CONSTRAINT result_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_container_id_container_id_fk FOREIGN KEY (container_id) REFERENCES public.container(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_fuel_batch_id_fuel_batch_id_fk FOREIGN KEY (fuel_batch_id) REFERENCES public.fuel_batch(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_import_id_import_id_fk FOREIGN KEY (import_id) REFERENCES public.import(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_method_version_id_method_version_id_fk FOREIGN KEY (method_version_id) REFERENCES public.method_version(id);
ALTER TABLE ONLY public.run_note
    ADD CONSTRAINT run_note_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.run_note
    ADD CONSTRAINT run_note_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_place_version_id_place_version_id_fk FOREIGN KEY (place_version_id) REFERENCES public.place_version(id);
ALTER TABLE ONLY public.run_row
    ADD CONSTRAINT run_row_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_setup_version_id_setup_version_id_fk FOREIGN KEY (setup_version_id) REFERENCES public.setup_version(id);
ALTER TABLE ONLY public.run_tag
    ADD CONSTRAINT run_tag_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.run_tag
    ADD CONSTRAINT run_tag_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run_void
    ADD CONSTRAINT run_void_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.run_void
    ADD CONSTRAINT run_void_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.setup_decision
    ADD CONSTRAINT setup_decision_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.setup_decision
    ADD CONSTRAINT setup_decision_setup_version_id_setup_version_id_fk FOREIGN KEY (setup_version_id) REFERENCES public.setup_version(id);
ALTER TABLE ONLY public.setup_part
    ADD CONSTRAINT setup_part_setup_version_id_setup_version_id_fk FOREIGN KEY (setup_version_id) REFERENCES public.setup_version(id);
ALTER TABLE ONLY public.setup_part
    ADD CONSTRAINT setup_part_thing_version_id_thing_version_id_fk FOREIGN KEY (thing_version_id) REFERENCES public.thing_version(id);
ALTER TABLE ONLY public.setup_version
    ADD CONSTRAINT setup_version_setup_id_setup_id_fk FOREIGN KEY (setup_id) REFERENCES public.setup(id);
ALTER TABLE ONLY public.thing
    ADD CONSTRAINT thing_made_from_id_thing_id_fk FOREIGN KEY (made_from_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.thing_version
    ADD CONSTRAINT thing_version_thing_id_thing_id_fk FOREIGN KEY (thing_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.trace_chunk
    ADD CONSTRAINT trace_chunk_trace_id_trace_id_fk FOREIGN KEY (trace_id) REFERENCES public.trace(id);
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_feed_id_feed_id_fk FOREIGN KEY (feed_id) REFERENCES public.feed(id);
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_import_id_import_id_fk FOREIGN KEY (import_id) REFERENCES public.import(id);
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.wind_survey
    ADD CONSTRAINT wind_survey_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.wind_survey
    ADD CONSTRAINT wind_survey_place_id_place_id_fk FOREIGN KEY (place_id) REFERENCES public.place(id);
