CREATE SCHEMA drizzle;
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
CREATE TABLE public.bench (
    "only" boolean DEFAULT true NOT NULL,
    purpose text NOT NULL,
    loaded boolean DEFAULT false NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT bench_one_row CHECK ("only")
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
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
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
    recorded_at timestamp with time zone DEFAULT now() NOT NULL
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
CREATE TABLE public.person (
    id uuid NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.place (
    id uuid NOT NULL,
    name text NOT NULL,
    zone text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.place_version (
    id uuid NOT NULL,
    place_id uuid NOT NULL,
    n integer NOT NULL,
    altitude_m double precision,
    wind_height_m double precision,
    created_at timestamp with time zone DEFAULT now() NOT NULL
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
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.run_row (
    run_id uuid NOT NULL,
    started_at timestamp with time zone NOT NULL,
    line jsonb NOT NULL,
    core_version text NOT NULL
);
CREATE TABLE public.setup (
    id uuid NOT NULL,
    name text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
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
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.thing (
    id uuid NOT NULL,
    kind text NOT NULL,
    name text NOT NULL,
    description text DEFAULT ''::text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.thing_version (
    id uuid NOT NULL,
    thing_id uuid NOT NULL,
    n integer NOT NULL,
    properties jsonb NOT NULL,
    heat_hash text NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.trace (
    id uuid NOT NULL,
    run_id uuid NOT NULL,
    channel text NOT NULL,
    unit text NOT NULL,
    file_hash text
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
ALTER TABLE ONLY drizzle.__drizzle_migrations ALTER COLUMN id SET DEFAULT nextval('drizzle.__drizzle_migrations_id_seq'::regclass);
INSERT INTO drizzle.__drizzle_migrations VALUES
	(1, '9b6a9a0d9b354cc9635c8ef83938e82b6fc9859a1af37ba9117ef5873cd7f3d7', 1795443004449),
	(2, '4b93905078647917ac88e531cf1078df971eac262e5480342d43a1915f2e8de4', 1795445201676),
	(3, '1f02f64f5037508cffc8acf12e6dae2a1c8b4cd751844b2ca30dabf2af8224f9', 1795445705498),
	(4, '5f727d15727837b5edfd1728575c6a2412f9c017afa4484e64f6ca245e332ef3', 1795446787774);
INSERT INTO public.bench VALUES
	(true, 'demonstration', true, '2026-11-23 20:55:34.988347+00');
INSERT INTO public.decision VALUES
	('01a20a31-5751-729a-8274-62dff96739b2', '01960000-0000-7000-8000-000000000005', 'fuelToBoil', 'shareOfBurnTime', NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.event VALUES
	('01a20a31-565e-712c-a202-a7e181147207', '01960000-0000-7000-8000-000000000001', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565e-712c-a202-a9d0ca9d4de8', '01960000-0000-7000-8000-000000000001', 2, 'bloomed', 45000, NULL, NULL, 'typed', '{"typed": "0:45"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565e-712c-a202-af8abb54692f', '01960000-0000-7000-8000-000000000001', 3, 'potOn', 48000, NULL, NULL, 'typed', '{"typed": "0:48"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565e-712c-a202-b2498d705807', '01960000-0000-7000-8000-000000000001', 4, 'rollingBoil', 442000, NULL, NULL, 'typed', '{"typed": "7:22"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56af-758a-b71a-fcad649ccdb0', '01960000-0000-7000-8000-000000000002', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56b0-70c1-b40f-5de05dbc2ae2', '01960000-0000-7000-8000-000000000002', 2, 'rollingBoil', 320000, NULL, NULL, 'typed', '{"typed": "5:20"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56f0-7009-93c8-738f7bdc2f78', '01960000-0000-7000-8000-000000000003', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56f0-7009-93c8-74385a02d30d', '01960000-0000-7000-8000-000000000003', 2, 'stopped', 155000, NULL, NULL, 'typed', '{"typed": "2:35", "reason": "rain"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571f-74a1-a75d-ef52c67a944e', '01960000-0000-7000-8000-000000000004', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571f-74a1-a75d-f26d4390a345', '01960000-0000-7000-8000-000000000004', 2, 'rollingBoil', 251000, NULL, NULL, 'typed', '{"typed": "4:11"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574f-76ad-9572-56060f6d5f71', '01960000-0000-7000-8000-000000000005', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574f-76ad-9572-583a15f81765', '01960000-0000-7000-8000-000000000005', 2, 'firstBubbles', 160000, NULL, NULL, 'typed', '{"typed": "2:40"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574f-76ad-9572-5f32f9349649', '01960000-0000-7000-8000-000000000005', 3, 'rollingBoil', 206000, NULL, NULL, 'typed', '{"typed": "3:26"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574f-76ad-9572-629c6a400fca', '01960000-0000-7000-8000-000000000005', 4, 'shutOff', 302000, NULL, NULL, 'typed', '{"typed": "5:02"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577d-712a-b695-be23ba408bac', '01960000-0000-7000-8000-000000000006', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577d-712a-b695-c1e9e89ea739', '01960000-0000-7000-8000-000000000006', 2, 'gaveUp', 1200000, NULL, NULL, 'typed', '{"typed": "20:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a5-70c2-87fb-06fa28995041', '01950000-0000-7000-8000-000000000101', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a5-70c2-87fb-09c9b6986866', '01950000-0000-7000-8000-000000000101', 2, 'rollingBoil', 230000, NULL, NULL, 'typed', '{"typed": "3:50"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57cc-7489-8a67-1e245d7282fc', '01950000-0000-7000-8000-000000000102', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57cc-7489-8a67-2210fa1d3e94', '01950000-0000-7000-8000-000000000102', 2, 'rollingBoil', 219000, NULL, NULL, 'typed', '{"typed": "3:39"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f6-7170-85a8-077365f74175', '01950000-0000-7000-8000-000000000103', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f6-7170-85a8-0998fd18cd41', '01950000-0000-7000-8000-000000000103', 2, 'rollingBoil', 184000, NULL, NULL, 'typed', '{"typed": "3:04"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581d-7519-ad05-1a476bcf868e', '01950000-0000-7000-8000-000000000104', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581d-7519-ad05-1d763190ed5f', '01950000-0000-7000-8000-000000000104', 2, 'rollingBoil', 376000, NULL, NULL, 'typed', '{"typed": "6:16"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5850-732b-822e-933eb3dbb8a7', '01950000-0000-7000-8000-000000000105', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5850-732b-822e-94add6b85605', '01950000-0000-7000-8000-000000000105', 2, 'rollingBoil', 489000, NULL, NULL, 'typed', '{"typed": "8:09"}', NULL, false, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5897-74e4-b51f-7c735a978ab7', '01950000-0000-7000-8000-000000000106', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5897-74e4-b51f-81661c5918f0', '01950000-0000-7000-8000-000000000106', 2, 'rollingBoil', 242000, NULL, NULL, 'typed', '{"typed": "4:02"}', NULL, false, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.fuel VALUES
	('01a20a31-55dc-7619-b19d-6aa0f6cc9fa1', 'isobutane-propane', 'Isobutane-propane', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55df-77dc-b505-f23a83621396', 'methanol', 'Methanol', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e1-77b7-b6b9-065a784b9d4d', 'hexamine', 'Hexamine tablets', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e3-707a-a511-150d051819ae', 'ethanol-denatured', 'Ethanol, denatured', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e6-722d-9f37-818072d79534', 'white-gas', 'White gas', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e8-7468-a90d-be38c7c15655', 'kerosene', 'Kerosene', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55eb-726b-bf79-03924d39ec87', 'wood-dry', 'Heather sticks', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.fuel_batch VALUES
	('01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-55dc-7619-b19d-6aa0f6cc9fa1', 'store canisters, spring', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55df-77dc-b505-f514006dd856', '01a20a31-55df-77dc-b505-f23a83621396', 'drum 3', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e1-77b7-b6b9-0abcce495f1a', '01a20a31-55e1-77b7-b6b9-065a784b9d4d', 'tin from the hut', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e3-707a-a511-1bed230f0683', '01a20a31-55e3-707a-a511-150d051819ae', 'hardware shop', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e6-722d-9f37-851f7e6bd5a0', '01a20a31-55e6-722d-9f37-818072d79534', 'opened this year', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55e8-7468-a90d-c0ea4471112d', '01a20a31-55e8-7468-a90d-be38c7c15655', 'generator shed', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55eb-726b-bf79-065330f16384', '01a20a31-55eb-726b-bf79-03924d39ec87', 'dried indoors', NULL, NULL, NULL, '2026-11-23 20:55:34.999221+00');
INSERT INTO public.measurement VALUES
	('01a20a31-565b-70ee-9904-a2c4f98e6cae', '01960000-0000-7000-8000-000000000001', 'air', 16.11111111111111, NULL, '61F', 'degF', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565b-70ee-9904-a7b1fc0ecd1b', '01960000-0000-7000-8000-000000000001', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565b-70ee-9904-a84f1f2eb616', '01960000-0000-7000-8000-000000000001', 'water', 0.000473176473, NULL, '2 cups', 'cup', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565b-70ee-9904-af025a4720c5', '01960000-0000-7000-8000-000000000001', 'waterStart', 13.333333333333334, NULL, '56F', 'degF', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565b-70ee-9904-b09ec706c161', '01960000-0000-7000-8000-000000000001', 'fuelUsed', 0.0166, NULL, '16.6 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-565b-70ee-9904-b6031abe5e18', '01960000-0000-7000-8000-000000000001', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-74623c4f13fc', '01960000-0000-7000-8000-000000000002', 'air', 4, NULL, '4 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-791f04337f15', '01960000-0000-7000-8000-000000000002', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-7fcf0f2fe544', '01960000-0000-7000-8000-000000000002', 'water', 0.00075, NULL, '750 mL', 'ml', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-807809994b3d', '01960000-0000-7000-8000-000000000002', 'waterStart', 6, NULL, '6 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-8417403a4abb', '01960000-0000-7000-8000-000000000002', 'fuelBefore', 0.23, NULL, '230 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-8957667ca00c', '01960000-0000-7000-8000-000000000002', 'fuelAfter', 0.225, NULL, '225 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56aa-7733-a946-8fa0911d1740', '01960000-0000-7000-8000-000000000002', 'scaleResolution', 0.001, NULL, '1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-cc9056a463ab', '01960000-0000-7000-8000-000000000003', 'air', 2, NULL, '2 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-d1b1c0b07dd7', '01960000-0000-7000-8000-000000000003', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-d71a8bd39328', '01960000-0000-7000-8000-000000000003', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-d84a6ec483c8', '01960000-0000-7000-8000-000000000003', 'waterStart', 5, NULL, '5 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-de0c16c87338', '01960000-0000-7000-8000-000000000003', 'waterLast', 66, NULL, '66 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-e2636cdee87a', '01960000-0000-7000-8000-000000000003', 'fuelBefore', 0.2856, NULL, '285.6 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-e512fcdacc10', '01960000-0000-7000-8000-000000000003', 'fuelAfter', 0.2785, NULL, '278.5 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-56ee-714f-bf03-e998ad124d70', '01960000-0000-7000-8000-000000000003', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-1fbeddc4f696', '01960000-0000-7000-8000-000000000004', 'air', 12, NULL, '12 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-2195170cda6d', '01960000-0000-7000-8000-000000000004', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-27fef74a681b', '01960000-0000-7000-8000-000000000004', 'waterStart', 10, NULL, '10 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-2a77285ffec5', '01960000-0000-7000-8000-000000000004', 'fuelBefore', 0.2785, NULL, '278.5 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-2d8335ee1ba5', '01960000-0000-7000-8000-000000000004', 'fuelAfter', 0.26689999999999997, NULL, '266.9 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-571d-7782-8236-335449d8d9d3', '01960000-0000-7000-8000-000000000004', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-6766696ff8f7', '01960000-0000-7000-8000-000000000005', 'air', 12, NULL, '12 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-6ae224cfb4ab', '01960000-0000-7000-8000-000000000005', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-6f1587e06608', '01960000-0000-7000-8000-000000000005', 'water', 0.000473176473, NULL, '16 fl oz', 'floz', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-730d6562160e', '01960000-0000-7000-8000-000000000005', 'waterStart', 9.5, NULL, '9.5 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-7545ccf0fb09', '01960000-0000-7000-8000-000000000005', 'fuelBefore', 0.26689999999999997, NULL, '266.9 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-7b4c1060c648', '01960000-0000-7000-8000-000000000005', 'fuelAfter', 0.2551, NULL, '255.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-574d-767b-b1ff-7c2a1b66f875', '01960000-0000-7000-8000-000000000005', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-a7bb82cdeb2d', '01960000-0000-7000-8000-000000000006', 'air', -12, NULL, '−12 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-ab23fd92c597', '01960000-0000-7000-8000-000000000006', 'wind', 4, NULL, '4 m/s', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-adb77aa9a355', '01960000-0000-7000-8000-000000000006', 'water', 0.001, NULL, '1 L', 'l', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-b1e8185a78c9', '01960000-0000-7000-8000-000000000006', 'waterStart', 4, NULL, '4 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-b78b778b7460', '01960000-0000-7000-8000-000000000006', 'waterLast', 21, NULL, '21 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-577b-7698-bc6f-ba1c21d066a9', '01960000-0000-7000-8000-000000000006', 'fuelUsed', 0.0242, NULL, '24.2 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.measurement VALUES
	('01a20a31-577b-7698-bc6f-bd8d86523a99', '01960000-0000-7000-8000-000000000006', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-0d61c4064204', '01950000-0000-7000-8000-000000000101', 'air', 17.1, NULL, '17.1 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-1041d5b25ba9', '01950000-0000-7000-8000-000000000101', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-15b65fe43ed9', '01950000-0000-7000-8000-000000000101', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-1b14ba3a1cfb', '01950000-0000-7000-8000-000000000101', 'waterStart', 16, NULL, '16.0 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-1e22a9d6c836', '01950000-0000-7000-8000-000000000101', 'fuelBefore', 0.3558, NULL, '355.8 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-209e7b9f2de8', '01950000-0000-7000-8000-000000000101', 'fuelAfter', 0.3434, NULL, '343.4 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57a3-765f-a62f-25134d64f0ea', '01950000-0000-7000-8000-000000000101', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-a9346214c8e5', '01950000-0000-7000-8000-000000000102', 'air', 18.4, NULL, '18.4 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-ae6c3a1a0625', '01950000-0000-7000-8000-000000000102', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-b2b13b373ef0', '01950000-0000-7000-8000-000000000102', 'water', 0.47200000000000003, NULL, '472 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-b6d1c7cc2b12', '01950000-0000-7000-8000-000000000102', 'waterStart', 14.4, NULL, '14.4 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-b8921ef070dc', '01950000-0000-7000-8000-000000000102', 'fuelBefore', 0.22590000000000002, NULL, '225.9 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-be080de11b8a', '01950000-0000-7000-8000-000000000102', 'fuelAfter', 0.2157, NULL, '215.7 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57ca-77f5-83c5-c2008f192c23', '01950000-0000-7000-8000-000000000102', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-b51b337ddb00', '01950000-0000-7000-8000-000000000103', 'air', 18.5, NULL, '18.5 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-b8956f49c50d', '01950000-0000-7000-8000-000000000103', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-bd8000ba3eaa', '01950000-0000-7000-8000-000000000103', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-c38d03207f79', '01950000-0000-7000-8000-000000000103', 'waterStart', 18.6, NULL, '18.6 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-c4b31bf5b543', '01950000-0000-7000-8000-000000000103', 'fuelBefore', 0.33089999999999997, NULL, '330.9 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-ca782d57fc79', '01950000-0000-7000-8000-000000000103', 'fuelAfter', 0.32360000000000005, NULL, '323.6 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-57f4-77de-97d0-cf69c6a0f0da', '01950000-0000-7000-8000-000000000103', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96c-fd65f4d75869', '01950000-0000-7000-8000-000000000104', 'air', 18.4, NULL, '18.4 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-008cb5ef0664', '01950000-0000-7000-8000-000000000104', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-059f675b5b21', '01950000-0000-7000-8000-000000000104', 'water', 0.47500000000000003, NULL, '475 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-0b7276e1ad20', '01950000-0000-7000-8000-000000000104', 'waterStart', 17.2, NULL, '17.2 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-0dea8a84e30a', '01950000-0000-7000-8000-000000000104', 'fuelBefore', 0.2899, NULL, '289.9 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-120608be82f0', '01950000-0000-7000-8000-000000000104', 'fuelAfter', 0.2754, NULL, '275.4 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-581b-77f4-a96d-1579ce66a123', '01950000-0000-7000-8000-000000000104', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-290b752be856', '01950000-0000-7000-8000-000000000105', 'air', 18.4, NULL, '18.4 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-2c5f980410d0', '01950000-0000-7000-8000-000000000105', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-319389a71a2e', '01950000-0000-7000-8000-000000000105', 'water', 0.47400000000000003, NULL, '474 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-377d7037f0f3', '01950000-0000-7000-8000-000000000105', 'waterStart', 20, NULL, '20.0 °C', 'degC', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-38a195214f52', '01950000-0000-7000-8000-000000000105', 'fuelBefore', 0.3173, NULL, '317.3 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-3faf0dc2ba9b', '01950000-0000-7000-8000-000000000105', 'fuelAfter', 0.3069, NULL, '306.9 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-584e-736e-a0d7-41120b3e571d', '01950000-0000-7000-8000-000000000105', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-7b76b19fc66b', '01950000-0000-7000-8000-000000000106', 'air', 17.8, NULL, '17.8 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-7dcccddc4acb', '01950000-0000-7000-8000-000000000106', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-82377c35225d', '01950000-0000-7000-8000-000000000106', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-85f20f1b85f1', '01950000-0000-7000-8000-000000000106', 'waterStart', 16.5, NULL, '16.5 °C', 'degC', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.measurement VALUES
	('01a20a31-588f-74fe-93c1-8acaf4b3855b', '01950000-0000-7000-8000-000000000106', 'fuelBefore', 0.2097, NULL, '209.7 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-8f373b2b13e9', '01950000-0000-7000-8000-000000000106', 'fuelAfter', 0.198, NULL, '198.0 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-588f-74fe-93c1-9263d961e4bb', '01950000-0000-7000-8000-000000000106', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.now_place VALUES
	(true, '01a20a31-5566-7456-b4bd-7602bf4efb76');
INSERT INTO public.person VALUES
	('01a20a31-5559-72c8-8ad2-a55e6c25f8bb', 'Odra Vell', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-555b-760f-9536-3bc9d2559c74', 'Tamsin Quay', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.place VALUES
	('01a20a31-555c-762f-9f8b-71c5dfdeb0f8', 'Harbour store', 'Atlantic/Azores', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-555f-707c-ac22-af097a581036', 'Ash Gate hut', 'Atlantic/Azores', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5561-72f5-804e-55eb8f3577f8', 'Crater rim camp', 'Atlantic/Azores', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5566-7456-b4bd-7602bf4efb76', 'Ice saddle', 'Atlantic/Azores', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.place_version VALUES
	('01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-555c-762f-9f8b-71c5dfdeb0f8', 1, 12, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5560-7110-a11e-9c083ac9d4dd', '01a20a31-555f-707c-ac22-af097a581036', 1, 940, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5562-778d-9da3-f1a93f1719e1', '01a20a31-5561-72f5-804e-55eb8f3577f8', 1, 2130, NULL, '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5567-7468-923c-79728e0b0230', '01a20a31-5566-7456-b4bd-7602bf4efb76', 1, 2870, NULL, '2026-11-23 20:55:34.999221+00');
INSERT INTO public.run VALUES
	('01960000-0000-7000-8000-000000000001', 'measured', 'boil', 'finished', '01a20a31-55ce-75fd-957f-7c4ef3b21f9a', '01a20a31-55df-77dc-b505-f514006dd856', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-04-14 14:00:00+00', 'Atlantic/Azores', 'Bloomed after three quarters of a minute. Flame invisible in the doorway light.', 1, 'd8adc55f5a1589fa44ba9bc62847f195b664b33db5b180af2415012877fb6e56', '2026-11-23 20:55:34.999221+00'),
	('01960000-0000-7000-8000-000000000002', 'measured', 'boil', 'finished', '01a20a31-55c8-73c7-a68a-34cd2a163b2c', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-5562-778d-9da3-f1a93f1719e1', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-04-21 07:50:00+00', 'Atlantic/Azores', 'Kitchen scale, one gram. The figure cannot be right; kept as written.', 1, '09a4fee7b357b957847aa154ac8c79a77a1678856274e1e5f67f561d8546beee', '2026-11-23 20:55:34.999221+00'),
	('01960000-0000-7000-8000-000000000003', 'measured', 'boil', 'finished', '01a20a31-55c3-70ad-9e9f-5da053ad89e9', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-5562-778d-9da3-f1a93f1719e1', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-04-23 16:05:00+00', 'Atlantic/Azores', '', 1, 'f0990cbe77773687ce0297272cb2507b71777bb777a46724a1a255db1cb1dd09', '2026-11-23 20:55:34.999221+00'),
	('01960000-0000-7000-8000-000000000004', 'measured', 'boil', 'finished', '01a20a31-55c3-70ad-9e9f-5da053ad89e9', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-5560-7110-a11e-9c083ac9d4dd', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-04-24 09:20:00+00', 'Atlantic/Azores', 'Breezy at the hut door. Nobody had the anemometer.', 1, '69e6333a6a81311aa42a2958f0d73d956ed3087ae5140d9c3725b9d6392fb117', '2026-11-23 20:55:34.999221+00'),
	('01960000-0000-7000-8000-000000000005', 'measured', 'boil', 'finished', '01a20a31-55c8-73c7-a68a-34cd2a163b2c', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-5560-7110-a11e-9c083ac9d4dd', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-04-24 10:10:00+00', 'Atlantic/Azores', 'Left on after the boil to keep it simmering; fuel to the boil by its share of the burn.', 1, '718cba3c36615b7545fa393f38a9bdba33d16a356b0994e124b753ef55b997fc', '2026-11-23 20:55:34.999221+00'),
	('01960000-0000-7000-8000-000000000006', 'measured', 'boil', 'finished', '01a20a31-55d3-730c-aeaf-2388e2b350c7', '01a20a31-55e1-77b7-b6b9-0abcce495f1a', '01a20a31-5567-7468-923c-79728e0b0230', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-03-06 10:40:00+00', 'Atlantic/Azores', 'A litre under the big pot, no screen, wind over the saddle. It only got lukewarm.', 1, '8f454f48d42c242936964dec4c83e2e5e39fa72cde1fe3913e3818152f7f1112', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000101', 'measured', 'boil', 'finished', '01a20a31-55b7-72c1-b886-ec214d0b2614', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-02-10 08:15:00+00', 'Atlantic/Azores', '', 1, '4fe78bf62be8d1a40204edafb031da7ecd02733f36c4933787f2cfb17aae3856', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000102', 'measured', 'boil', 'finished', '01a20a31-55c3-70ad-9e9f-5da053ad89e9', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-02-10 08:47:00+00', 'Atlantic/Azores', '', 1, 'a2314ca743c3f7c84d575cd89ed8554f9624714b39074e3d91be7a2d0e2b1ea4', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000103', 'measured', 'boil', 'finished', '01a20a31-55c8-73c7-a68a-34cd2a163b2c', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-02-10 09:19:00+00', 'Atlantic/Azores', '', 1, 'cec872aa20972cee399726fa62d38d1aa827b835e7debf7476dfb6143a1dc759', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000104', 'measured', 'boil', 'finished', '01a20a31-55ce-75fd-957f-7c4ef3b21f9a', '01a20a31-55df-77dc-b505-f514006dd856', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-02-10 09:51:00+00', 'Atlantic/Azores', '', 1, 'cb39ef4b7f514f3c16dbc5fdb865f596f0a8cd6d205d7495cec9bb1c9b83098d', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000105', 'measured', 'boil', 'finished', '01a20a31-55d7-779d-8fa8-af55672217de', '01a20a31-55e1-77b7-b6b9-0abcce495f1a', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-555b-760f-9536-3bc9d2559c74', '2026-02-10 10:23:00+00', 'Atlantic/Azores', '', 1, '5c6feb1bc5cb8c3f3d40c8e727dc088db51017344307f4239334bf1501338518', '2026-11-23 20:55:34.999221+00'),
	('01950000-0000-7000-8000-000000000106', 'measured', 'boil', 'finished', '01a20a31-55b7-72c1-b886-ec214d0b2614', '01a20a31-55dc-7619-b19d-6fdd7a93d3d4', '01a20a31-555d-7378-be8f-36560846ac97', '01a20a31-5559-72c8-8ad2-a55e6c25f8bb', '2026-02-10 10:55:00+00', 'Atlantic/Azores', '', 1, '037a1afc9a01612f376c71d5d408f94ff9f58397da127ea35abfa2352453f806', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.run_row VALUES
	('01960000-0000-7000-8000-000000000001', '2026-04-14 14:00:00+00', '{"id": "01960000-0000-7000-8000-000000000001", "fuel": "Methanol", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 35.04241761358506, "place": "Harbour store", "setup": "Lahar in the cone", "ribbon": {"endS": 442, "marks": [{"s": 0, "kind": "lit"}, {"s": 45, "kind": "bloomed"}, {"s": 48, "kind": "potOn"}, {"s": 442, "kind": "rollingBoil"}], "water": [[0, 13.333333333333334], [442, 99.93443773947286]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-04-14T14:00:00.000Z", "worstFlag": null, "normalisedU": 0.43737984621877785, "timeToBoilS": 394, "normalisedGPerL": 32.634930423998675}', '0.2.0'),
	('01960000-0000-7000-8000-000000000002', '2026-04-21 07:50:00+00', '{"id": "01960000-0000-7000-8000-000000000002", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 6.655105411287024, "place": "Crater rim camp", "setup": "Solfatara with finned pot", "ribbon": {"endS": 320, "marks": [{"s": 0, "kind": "potOn"}, {"s": 320, "kind": "rollingBoil"}], "water": [[0, 6], [320, 92.88105771294647]], "weighed": true, "boilingC": 92.88105771294647}, "status": "normalised", "startedAt": "2026-04-21T07:50:00.000Z", "worstFlag": {"text": "impossible", "severity": "error"}, "normalisedU": 0.5228989174911006, "timeToBoilS": 320, "normalisedGPerL": 6.093319722623988}', '0.2.0'),
	('01960000-0000-7000-8000-000000000003', '2026-04-23 16:05:00+00', '{"id": "01960000-0000-7000-8000-000000000003", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "stopped", "gPerL": null, "place": "Crater rim camp", "setup": "Solfatara with wide pot", "ribbon": {"endS": 155, "marks": [{"s": 0, "kind": "potOn"}, {"s": 155, "kind": "stopped"}], "water": [[0, 5], [155, 66]], "weighed": true, "boilingC": 92.88105771294647}, "status": "normalised", "startedAt": "2026-04-23T16:05:00.000Z", "worstFlag": {"text": "It did not boil: time and fuel to the boil are extrapolated by the heating model.", "severity": "warning"}, "normalisedU": 0.5326508252408853, "timeToBoilS": null, "normalisedGPerL": 19.80077335724819}', '0.2.0'),
	('01960000-0000-7000-8000-000000000004', '2026-04-24 09:20:00+00', '{"id": "01960000-0000-7000-8000-000000000004", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 24.480346940495252, "place": "Ash Gate hut", "setup": "Solfatara with wide pot", "ribbon": {"endS": 251, "marks": [{"s": 0, "kind": "potOn"}, {"s": 251, "kind": "rollingBoil"}], "water": [[0, 10], [251, 96.84850284929439]], "weighed": true, "boilingC": 96.84850284929439}, "status": "partly", "startedAt": "2026-04-24T09:20:00.000Z", "worstFlag": {"text": "Wind not measured: partly normalised. Type the wind at the pot, or \"calm\".", "severity": "warning"}, "normalisedU": 0.3820753190896623, "timeToBoilS": 251, "normalisedGPerL": 22.51039528165839}', '0.2.0'),
	('01960000-0000-7000-8000-000000000005', '2026-04-24 10:10:00+00', '{"id": "01960000-0000-7000-8000-000000000005", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 16.984448942540723, "place": "Ash Gate hut", "setup": "Solfatara with finned pot", "ribbon": {"endS": 302, "marks": [{"s": 0, "kind": "potOn"}, {"s": 160, "kind": "firstBubbles"}, {"s": 206, "kind": "rollingBoil"}, {"s": 302, "kind": "shutOff"}], "water": [[0, 9.5], [206, 96.84850284929439]], "weighed": true, "boilingC": 96.84850284929439}, "status": "normalised", "startedAt": "2026-04-24T10:10:00.000Z", "worstFlag": {"text": "Fuel to the boil is a share of burn time (the flame ran on 1:36): assumes an even flame.", "severity": "warning"}, "normalisedU": 1.5873202613992703, "timeToBoilS": 206, "normalisedGPerL": 15.533511667821442}', '0.2.0'),
	('01960000-0000-7000-8000-000000000006', '2026-03-06 10:40:00+00', '{"id": "01960000-0000-7000-8000-000000000006", "fuel": "Hexamine tablets", "zone": "Atlantic/Azores", "ended": "gaveUp", "gPerL": null, "place": "Ice saddle", "setup": "Lapilli under the big pot", "ribbon": {"endS": 1200, "marks": [{"s": 0, "kind": "potOn"}, {"s": 1200, "kind": "gaveUp"}], "water": [[0, 4], [1200, 21]], "weighed": true, "boilingC": 90.40740257219261}, "status": "partly", "startedAt": "2026-03-06T10:40:00.000Z", "worstFlag": {"text": "Would not boil: stalls near 74 °C in this wind.", "severity": "warning"}, "normalisedU": null, "timeToBoilS": null, "normalisedGPerL": 231.41614851768028}', '0.2.0'),
	('01950000-0000-7000-8000-000000000101', '2026-02-10 08:15:00+00', '{"id": "01950000-0000-7000-8000-000000000101", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 26.168646729494945, "place": "Harbour store", "setup": "Fumarole with narrow pot", "ribbon": {"endS": 234, "marks": [{"s": 0, "kind": "potOn"}, {"s": 230, "kind": "rollingBoil"}], "water": [[0, 15.9], [6, 17.8], [12, 19.8], [18, 21.8], [24, 24.3], [30, 26.4], [36, 28.4], [42, 31.3], [48, 33.2], [54, 35.5], [60, 37.3], [66, 39.7], [72, 42.4], [78, 44.2], [84, 46.4], [90, 48.5], [96, 50.8], [102, 53], [108, 55], [114, 57.2], [120, 59.6], [126, 61.5], [132, 63.8], [138, 65.7], [144, 67.9], [150, 70], [156, 72.2], [162, 74.4], [168, 76.5], [174, 78.6], [180, 80.8], [186, 82.6], [192, 85.1], [198, 87.1], [204, 89.1], [210, 91.2], [216, 93.2], [222, 95.3], [228, 97.3], [234, 99.4]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T08:15:00.000Z", "worstFlag": null, "normalisedU": 0.3658081700776779, "timeToBoilS": 230, "normalisedGPerL": 24.91161728695399}', '0.2.0'),
	('01950000-0000-7000-8000-000000000102', '2026-02-10 08:47:00+00', '{"id": "01950000-0000-7000-8000-000000000102", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 21.571427865486804, "place": "Harbour store", "setup": "Solfatara with wide pot", "ribbon": {"endS": 220, "marks": [{"s": 0, "kind": "potOn"}, {"s": 219, "kind": "rollingBoil"}], "water": [[0, 14.6], [6, 15.7], [12, 18.1], [18, 20.5], [24, 23.1], [30, 25.3], [36, 27.6], [42, 30.3], [48, 32.5], [54, 35.2], [60, 37.4], [66, 39.8], [72, 42.2], [78, 44.7], [84, 46.9], [90, 49.4], [96, 51.8], [102, 54.1], [108, 56.1], [114, 59.1], [120, 61.1], [126, 63.6], [132, 65.8], [138, 68.1], [144, 70.4], [150, 72.5], [156, 75.1], [162, 77.2], [168, 79.7], [174, 81.8], [180, 84.2], [186, 86.3], [192, 88.9], [198, 90.9], [204, 93.3], [210, 95.2], [216, 97.7], [220, 98.9]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T08:47:00.000Z", "worstFlag": null, "normalisedU": 0.31038010512690384, "timeToBoilS": 219, "normalisedGPerL": 20.193158872119227}', '0.2.0'),
	('01950000-0000-7000-8000-000000000103', '2026-02-10 09:19:00+00', '{"id": "01950000-0000-7000-8000-000000000103", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 15.405735574621886, "place": "Harbour store", "setup": "Solfatara with finned pot", "ribbon": {"endS": 184, "marks": [{"s": 0, "kind": "potOn"}, {"s": 184, "kind": "rollingBoil"}], "water": [[0, 18.3], [6, 19.9], [12, 22.4], [18, 25.3], [24, 27.5], [30, 30.8], [36, 33.5], [42, 36.3], [48, 38.9], [54, 42], [60, 44.6], [66, 47.6], [72, 50], [78, 52.8], [84, 55.9], [90, 58.4], [96, 61], [102, 63.6], [108, 66.7], [114, 69.1], [120, 72], [126, 74.4], [132, 77.3], [138, 79.5], [144, 82.6], [150, 85], [156, 87.8], [162, 90.5], [168, 92.9], [174, 95.6], [180, 98.1], [182, 99]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T09:19:00.000Z", "worstFlag": null, "normalisedU": 0.27417022201911523, "timeToBoilS": 184, "normalisedGPerL": 15.136534074216538}', '0.2.0'),
	('01950000-0000-7000-8000-000000000104', '2026-02-10 09:51:00+00', '{"id": "01950000-0000-7000-8000-000000000104", "fuel": "Methanol", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 30.471589744353242, "place": "Harbour store", "setup": "Lahar in the cone", "ribbon": {"endS": 376, "marks": [{"s": 0, "kind": "potOn"}, {"s": 376, "kind": "rollingBoil"}], "water": [[0, 17.2], [10, 19.3], [20, 21.4], [30, 23.9], [40, 26.1], [50, 28.5], [60, 30.6], [70, 32.8], [80, 35], [90, 37.5], [100, 39.6], [110, 42], [120, 44.3], [130, 46.3], [140, 48.8], [150, 51.1], [160, 52.8], [170, 55.4], [180, 57.4], [190, 59.9], [200, 62.1], [210, 64.6], [220, 66.6], [230, 68.6], [240, 70.9], [250, 73], [260, 74.9], [270, 77.2], [280, 79.5], [290, 81.5], [300, 83.8], [310, 85.9], [320, 88.1], [330, 89.8], [340, 92.2], [350, 94], [360, 95.9], [370, 98.4], [376, 99.2]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T09:51:00.000Z", "worstFlag": null, "normalisedU": 0.315388189338721, "timeToBoilS": 376, "normalisedGPerL": 29.449455707934046}', '0.2.0'),
	('01950000-0000-7000-8000-000000000105', '2026-02-10 10:23:00+00', '{"id": "01950000-0000-7000-8000-000000000105", "fuel": "Hexamine tablets", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 21.90159367628481, "place": "Harbour store", "setup": "Lapilli with wrap", "ribbon": {"endS": 490, "marks": [{"s": 0, "kind": "potOn"}, {"s": 489, "kind": "rollingBoil"}], "water": [[0, 19.8], [14, 21.9], [28, 24.5], [42, 26.7], [56, 29.4], [70, 31.8], [84, 34.6], [98, 36.9], [112, 39.2], [126, 41.7], [140, 44.1], [154, 46], [168, 48.5], [182, 50.9], [196, 53.2], [210, 55.4], [224, 57.9], [238, 60.1], [252, 62.4], [266, 64.8], [280, 67.1], [294, 69.3], [308, 71.6], [322, 73.7], [336, 75.8], [350, 78.3], [364, 80.4], [378, 82.7], [392, 84.8], [406, 87], [420, 89.2], [434, 91.2], [448, 93.4], [462, 95.6], [476, 97.9], [490, 99.6]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T10:23:00.000Z", "worstFlag": null, "normalisedU": 0.21952752779901008, "timeToBoilS": 489, "normalisedGPerL": 21.870087824697176}', '0.2.0'),
	('01950000-0000-7000-8000-000000000106', '2026-02-10 10:55:00+00', '{"id": "01950000-0000-7000-8000-000000000106", "fuel": "Isobutane-propane", "zone": "Atlantic/Azores", "ended": "boiled", "gPerL": 24.69138441412014, "place": "Harbour store", "setup": "Fumarole with narrow pot", "ribbon": {"endS": 242, "marks": [{"s": 0, "kind": "potOn"}, {"s": 242, "kind": "rollingBoil"}], "water": [[0, 16.5], [242, 99.93443773947286]], "weighed": true, "boilingC": 99.93443773947286}, "status": "normalised", "startedAt": "2026-02-10T10:55:00.000Z", "worstFlag": null, "normalisedU": 0.33630155470199624, "timeToBoilS": 242, "normalisedGPerL": 23.656703146904125}', '0.2.0');
INSERT INTO public.setup VALUES
	('01a20a31-55b7-72c1-b886-e9a358e643c3', 'Fumarole with narrow pot', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55c3-70ad-9e9f-589d8659ed16', 'Solfatara with wide pot', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55c8-73c7-a68a-32760e0ddf68', 'Solfatara with finned pot', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55ce-75fd-957f-7b916bfd9a99', 'Lahar in the cone', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55d3-730c-aeaf-1dd333c862d4', 'Lapilli under the big pot', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55d7-779d-8fa8-a9bcd51c324d', 'Lapilli with wrap', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.setup_part VALUES
	('01a20a31-55b7-72c1-b886-ec214d0b2614', 'burner', '01a20a31-556b-76da-875b-8e80a2d527c1'),
	('01a20a31-55b7-72c1-b886-ec214d0b2614', 'pot', '01a20a31-558c-7167-ba05-fdcd184e046e'),
	('01a20a31-55b7-72c1-b886-ec214d0b2614', 'lid', '01a20a31-559d-75fa-ab94-a9106e912b3b'),
	('01a20a31-55c3-70ad-9e9f-5da053ad89e9', 'burner', '01a20a31-556f-7551-a887-6e354fa27504'),
	('01a20a31-55c3-70ad-9e9f-5da053ad89e9', 'pot', '01a20a31-558e-743f-b1b9-9757728e03d3'),
	('01a20a31-55c3-70ad-9e9f-5da053ad89e9', 'lid', '01a20a31-559d-75fa-ab94-a9106e912b3b'),
	('01a20a31-55c8-73c7-a68a-34cd2a163b2c', 'burner', '01a20a31-556f-7551-a887-6e354fa27504'),
	('01a20a31-55c8-73c7-a68a-34cd2a163b2c', 'pot', '01a20a31-5593-7270-b09f-e46e9846bff2'),
	('01a20a31-55c8-73c7-a68a-34cd2a163b2c', 'lid', '01a20a31-559d-75fa-ab94-a9106e912b3b'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', 'burner', '01a20a31-5578-74b1-8400-d4de9f0b4202'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', 'pot', '01a20a31-5595-75c2-b73a-1dcb2b85fa51'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', 'lid', '01a20a31-559f-733e-9ed5-798e07514c94'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', 'stand', '01a20a31-55a1-76e2-8dcd-7351dc90e614'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', 'screen', '01a20a31-55a3-721c-a460-14825f40546f'),
	('01a20a31-55d3-730c-aeaf-2388e2b350c7', 'burner', '01a20a31-557a-7462-b63a-689a3bef1bf0'),
	('01a20a31-55d3-730c-aeaf-2388e2b350c7', 'pot', '01a20a31-5598-75bf-8586-4c1e37be4ea9'),
	('01a20a31-55d3-730c-aeaf-2388e2b350c7', 'lid', '01a20a31-559d-75fa-ab94-a9106e912b3b'),
	('01a20a31-55d7-779d-8fa8-af55672217de', 'burner', '01a20a31-557a-7462-b63a-689a3bef1bf0'),
	('01a20a31-55d7-779d-8fa8-af55672217de', 'pot', '01a20a31-5596-75fe-904d-9b35a683d550'),
	('01a20a31-55d7-779d-8fa8-af55672217de', 'lid', '01a20a31-559f-733e-9ed5-798e07514c94'),
	('01a20a31-55d7-779d-8fa8-af55672217de', 'screen', '01a20a31-55a5-70da-86e2-038c514ca65c');
INSERT INTO public.setup_version VALUES
	('01a20a31-55b7-72c1-b886-ec214d0b2614', '01a20a31-55b7-72c1-b886-e9a358e643c3', 1, 0.022, 'a1f41bc2c00a4720a832cb2f643d9865389e190069411a2010e311dd59b082da', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55c3-70ad-9e9f-5da053ad89e9', '01a20a31-55c3-70ad-9e9f-589d8659ed16', 1, 0.018, 'f008f2b2da1bc82e4f4d80c47196f25b779793abd6eba697d816bcc3e44410ae', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55c8-73c7-a68a-34cd2a163b2c', '01a20a31-55c8-73c7-a68a-32760e0ddf68', 1, 0.018, 'a61907c103d0ca3970dd35e4af394e33552f33e6fa2718e834b786f4ae74e180', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55ce-75fd-957f-7c4ef3b21f9a', '01a20a31-55ce-75fd-957f-7b916bfd9a99', 1, 0.025, 'd6507412a0bd56608cfd4fffabb3e2ee46dcdcaceff4416c7060b0b493507d7e', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55d3-730c-aeaf-2388e2b350c7', '01a20a31-55d3-730c-aeaf-1dd333c862d4', 1, 0.03, '6ed761877439f739c6dfec6f014051ec0b686787521f3f00056df452e1691406', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55d7-779d-8fa8-af55672217de', '01a20a31-55d7-779d-8fa8-a9bcd51c324d', 1, 0.03, 'e613b7306f0c5f9b3282ee7be189ab171962683c45f5547f8881d7968c671aa0', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.thing VALUES
	('01a20a31-556b-76da-875b-8bcd51732836', 'burner', 'Fumarole', 'Small gas burner on the canister, open head', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-556f-7551-a887-6be2135b4aad', 'burner', 'Solfatara', 'Gas burner on the canister, recessed head', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5571-7174-8604-7abe9d0b93f5', 'burner', 'Maar', 'Gas burner and finned pot in one', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5573-74d6-be84-99d7c3ca5a7d', 'burner', 'Ignimbrite', 'Gas burner on a hose', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5576-774b-aaac-66c18659535e', 'burner', 'Andesite', 'Pressure burner for white gas and kerosene', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5578-74b1-8400-d2ecf68f6761', 'burner', 'Lahar', 'Home-made alcohol jet burner', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-557a-7462-b63a-6712bd1be112', 'burner', 'Lapilli', 'Folding tray for tablets', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-557c-76fa-9563-94339a9b7bb2', 'burner', 'Dacite', 'Cup for alcohol gel', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5589-743a-b009-a4e31c849137', 'burner', 'Breccia', 'Batch wood can with closable air holes', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-558c-7167-ba05-fbeaf7ac511d', 'pot', 'Cinder 900', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-558e-743f-b1b9-9138d6d7a46c', 'pot', 'Tuff 1300', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5591-74e8-8926-24136b1fce4a', 'pot', 'Spatter 1000', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5593-7270-b09f-e022ea38e8e0', 'pot', 'Spatter 1000 F', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5595-75c2-b73a-1a3664287e15', 'pot', 'Ash mug 600', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5596-75fe-904d-95c41e93d9ee', 'pot', 'Bomb 700', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5598-75bf-8586-48775992ce4c', 'pot', 'Dyke 2000', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-559d-75fa-ab94-a57fc3a77408', 'lid', 'Flat lid', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-559f-733e-9ed5-74e1a6e7f984', 'lid', 'Mug lid', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a1-76e2-8dcd-6c6309431905', 'stand', 'Wire stand', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a3-721c-a460-114a8354012b', 'screen', 'Close cone', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a5-70da-86e1-fee8621be9a2', 'screen', 'Foil wrap', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a6-740b-8da9-a73b3a9f1aea', 'instrument', 'Bench scale', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55af-7626-b4aa-9b56a42b7e41', 'instrument', 'Lid probe', '', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55b1-7760-a6f8-1799123fe639', 'instrument', 'Cup anemometer', '', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.thing_version VALUES
	('01a20a31-556b-76da-875b-8e80a2d527c1', '01a20a31-556b-76da-875b-8bcd51732836', 1, '{"head": "exposed", "burner": "canister-top", "massKg": 0.074}', '9d13daf8dbcb9e75046c1a4769f0e578645974a429e4ad2611518b63f16beb48', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-556f-7551-a887-6e354fa27504', '01a20a31-556f-7551-a887-6be2135b4aad', 1, '{"head": "sheltered", "burner": "canister-top", "massKg": 0.087}', '761811b32cf154657570b84bf5cd76e4e3541daf6b6b99932b4c6893de28be99', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5571-7174-8604-7fa6590ad682', '01a20a31-5571-7174-8604-7abe9d0b93f5', 1, '{"head": "sheltered", "burner": "integrated", "massKg": 0.165}', '3e139c3b1a6e88f798e1499db0f767bccde2293ec37079da0f0eaab5cf33a85e', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5573-74d6-be84-9e3674beb7c7', '01a20a31-5573-74d6-be84-99d7c3ca5a7d', 1, '{"head": "sheltered", "burner": "remote-gas", "massKg": 0.195}', 'c482d2639c44a88433b72f1102f4a122fc81c1bb18b28a4e93a3e5cb843f0f35', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5576-774b-aaac-69db397a4f1b', '01a20a31-5576-774b-aaac-66c18659535e', 1, '{"head": "sheltered", "burner": "liquid-pressure", "massKg": 0.34}', 'b055a44cc7168db66d251c933c715dc023e514d9c65e88af85f0ee960efef752', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5578-74b1-8400-d4de9f0b4202', '01a20a31-5578-74b1-8400-d2ecf68f6761', 1, '{"head": "sheltered", "burner": "alcohol", "massKg": 0.021}', '502d3aade672c9d0ecc2e87ff71c1796fdaa811dd1f37b7f66b1c3fb260e22ea', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-557a-7462-b63a-689a3bef1bf0', '01a20a31-557a-7462-b63a-6712bd1be112', 1, '{"head": "exposed", "burner": "solid", "massKg": 0.045}', '899c720a402f6480e047dd5a8b2471e96b9f1a820faee8b2d4357b5002ab11f9', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-557c-76fa-9563-98cafd144701', '01a20a31-557c-76fa-9563-94339a9b7bb2', 1, '{"head": "exposed", "burner": "gel", "massKg": 0.03}', 'ac833895071a52fc05f79fd65049e46f662ee91a149be127316861798b3e9738', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5589-743a-b009-a9c5ecea8463', '01a20a31-5589-743a-b009-a4e31c849137', 1, '{"head": "sheltered", "burner": "wood", "massKg": 0.21}', '8358b2d21035207732f60a0c6933e85f293662af5dae683d65e5a7522d3887b1', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-558c-7167-ba05-fdcd184e046e', '01a20a31-558c-7167-ba05-fbeaf7ac511d', 1, '{"finned": false, "massKg": 0.098, "material": "titanium", "diameterM": 0.092, "capacityM3": 0.0009}', '527da7c2782b7c4c0acd157bf33cc7e3ff7e28f3a41e2ee173062caf14fe9c02', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-558e-743f-b1b9-9757728e03d3', '01a20a31-558e-743f-b1b9-9138d6d7a46c', 1, '{"finned": false, "massKg": 0.14, "material": "aluminium", "diameterM": 0.128, "capacityM3": 0.0013}', '346b7fe28917aee9c5f2596086bdaa834e91a90ebc89562ef0e88a0d45a0fae7', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5591-74e8-8926-2adac7a6ef2f', '01a20a31-5591-74e8-8926-24136b1fce4a', 1, '{"finned": false, "massKg": 0.195, "material": "aluminium", "diameterM": 0.118, "capacityM3": 0.001}', 'f63e3adda9fc4befac8cea61b677a7d6ab125743031f0806a7f41513f387825f', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5593-7270-b09f-e46e9846bff2', '01a20a31-5593-7270-b09f-e022ea38e8e0', 1, '{"finned": true, "massKg": 0.23, "material": "aluminium", "diameterM": 0.118, "capacityM3": 0.001}', '435a25e71707c59e364f6a0ee52879aefa564788109402b54f49f04ad7a6dae1', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5595-75c2-b73a-1dcb2b85fa51', '01a20a31-5595-75c2-b73a-1a3664287e15', 1, '{"finned": false, "massKg": 0.11, "material": "titanium", "diameterM": 0.108, "capacityM3": 0.0006}', '136ee9c94c886cfdb8234b6d52fc869f1eec859591096d519712d81a4efd212a', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5596-75fe-904d-9b35a683d550', '01a20a31-5596-75fe-904d-95c41e93d9ee', 1, '{"finned": false, "massKg": 0.092, "material": "titanium", "diameterM": 0.1, "capacityM3": 0.0007}', 'f42825929fc294ccdaf67fee9cfa615805413b409e51ce80f4f0716a192adf11', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-5598-75bf-8586-4c1e37be4ea9', '01a20a31-5598-75bf-8586-48775992ce4c', 1, '{"finned": false, "massKg": 0.41, "material": "stainless", "diameterM": 0.17, "capacityM3": 0.002}', '9d03f208678881f4b804b62480ce0d9659b581fb731be46ef400e7484ac3e015', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-559d-75fa-ab94-a9106e912b3b', '01a20a31-559d-75fa-ab94-a57fc3a77408', 1, '{"massKg": 0.022}', '84644eae3df129c4a617a31469bd1574c2adfd887c19d50aaf6a9dc74602972e', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-559f-733e-9ed5-798e07514c94', '01a20a31-559f-733e-9ed5-74e1a6e7f984', 1, '{"massKg": 0.012}', '8dc97a3d7ac81490e57a1da17b5f7d0f203e1ea15ceded844805e2d3174cfcb2', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a1-76e2-8dcd-7351dc90e614', '01a20a31-55a1-76e2-8dcd-6c6309431905', 1, '{"massKg": 0.028}', '523a42419a153ebdd787dfd5bc9e23fe986df773e2652d4689e441edc2882914', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a3-721c-a460-14825f40546f', '01a20a31-55a3-721c-a460-114a8354012b', 1, '{"form": "cone", "gapM": 0.013, "massKg": 0.034}', 'a6df2ba2094a95e89ce4d5ec44c560378c036edd843f5cd166feb71e157c9e51', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a5-70da-86e2-038c514ca65c', '01a20a31-55a5-70da-86e1-fee8621be9a2', 1, '{"form": "wrap", "gapM": 0.013, "massKg": 0.018}', 'b81d2059f551242e498208e20fb4ebcb35d09edc38ede65e31225e0f56736108', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55a6-740b-8da9-aa85a1b47617', '01a20a31-55a6-740b-8da9-a73b3a9f1aea', 1, '{"unit": "kg", "measures": "mass", "resolution": 0.0001}', '634a81dc92d5a9ad0df728a0a9749beb4a561dcdde0d8078b9c9ef9030b39dc2', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55af-7626-b4aa-9fb0ae431af5', '01a20a31-55af-7626-b4aa-9b56a42b7e41', 1, '{"unit": "°C", "measures": "temperature", "resolution": 0.1}', '167d4535e3bf06c2a545db2dba05466a1161715eb95fa3f39cd99acf45fdd7ab', '2026-11-23 20:55:34.999221+00'),
	('01a20a31-55b1-7760-a6f8-1bea1d85f1f0', '01a20a31-55b1-7760-a6f8-1799123fe639', 1, '{"unit": "m/s", "measures": "wind", "resolution": 0.1}', 'cfb5e20205fb17d16ebdd1b8d48ac4acf46be699200c521e45335d994adef0dc', '2026-11-23 20:55:34.999221+00');
INSERT INTO public.trace VALUES
	('01a20a31-57a6-76fe-a873-1164ee568f6d', '01950000-0000-7000-8000-000000000101', 'water', 'degC', NULL),
	('01a20a31-57cd-773d-b6c4-e0f9a2f98320', '01950000-0000-7000-8000-000000000102', 'water', 'degC', NULL);
INSERT INTO public.trace_chunk VALUES
	('01a20a31-57a8-74cc-a153-6869f38ca5f6', '01a20a31-57a6-76fe-a873-1164ee568f6d', 1, 0, 234000, '{0,2000,4000,6000,8000,10000,12000,14000,16000,18000,20000,22000,24000,26000,28000,30000,32000,34000,36000,38000,40000,42000,44000,46000,48000,50000,52000,54000,56000,58000,60000,62000,64000,66000,68000,70000,72000,74000,76000,78000,80000,82000,84000,86000,88000,90000,92000,94000,96000,98000,100000,102000,104000,106000,108000,110000,112000,114000,116000,118000,120000,122000,124000,126000,128000,130000,132000,134000,136000,138000,140000,142000,144000,146000,148000,150000,152000,154000,156000,158000,160000,162000,164000,166000,168000,170000,172000,174000,176000,178000,180000,182000,184000,186000,188000,190000,192000,194000,196000,198000,200000,202000,204000,206000,208000,210000,212000,214000,216000,218000,220000,222000,224000,226000,228000,230000,232000,234000}', '{15.9,16,16.9,17.8,18.3,19.3,19.8,20.6,21.1,21.8,23,23.4,24.3,25.2,26,26.4,27,28.2,28.4,29.5,30.4,31.3,31.9,32.4,33.2,33.8,35,35.5,36.1,36.5,37.3,38.4,39.1,39.7,40.7,41.4,42.4,42.7,43.4,44.2,45.2,45.8,46.4,47.3,48,48.5,49.5,50.3,50.8,51.5,52.3,53,53.6,54.4,55,56,56.5,57.2,57.7,58.7,59.6,60.1,60.9,61.5,62.4,63.2,63.8,64.5,65.1,65.7,66.8,67.5,67.9,68.7,69.5,70,70.5,71.7,72.2,72.9,73.8,74.4,75.1,75.7,76.5,77.3,77.9,78.6,79.3,80.1,80.8,81.6,82,82.6,83.5,83.9,85.1,85.9,86.2,87.1,87.8,88.2,89.1,89.8,90.5,91.2,91.7,92.5,93.2,94,94.6,95.3,95.8,96.7,97.3,97.9,98.9,99.4}', 'ee6ec491cd07624b451f65fc183904b1616d3b653828cf6dea66758a56c6c2cd'),
	('01a20a31-57ce-77ff-b659-cce118558886', '01a20a31-57cd-773d-b6c4-e0f9a2f98320', 1, 0, 220000, '{0,2000,4000,6000,8000,10000,12000,14000,16000,18000,20000,22000,24000,26000,28000,30000,32000,34000,36000,38000,40000,42000,44000,46000,48000,50000,52000,54000,56000,58000,60000,62000,64000,66000,68000,70000,72000,74000,76000,78000,80000,82000,84000,86000,88000,90000,92000,94000,96000,98000,100000,102000,104000,106000,108000,110000,112000,114000,116000,118000,120000,122000,124000,126000,128000,130000,132000,134000,136000,138000,140000,142000,144000,146000,148000,150000,152000,154000,156000,158000,160000,162000,164000,166000,168000,170000,172000,174000,176000,178000,180000,182000,184000,186000,188000,190000,192000,194000,196000,198000,200000,202000,204000,206000,208000,210000,212000,214000,216000,218000,220000}', '{14.6,14.5,15.1,15.7,16.4,17.1,18.1,18.8,19.5,20.5,21.5,21.7,23.1,23.7,24.5,25.3,25.9,27.1,27.6,28.4,29.3,30.3,31.1,31.6,32.5,33.5,34.5,35.2,36,36.6,37.4,38,38.9,39.8,40.5,41.2,42.2,43,43.9,44.7,45.3,46.1,46.9,47.8,48.7,49.4,50.1,51,51.8,52.4,53.4,54.1,54.6,55.3,56.1,57,58.3,59.1,59.5,60.3,61.1,61.8,62.4,63.6,64.3,64.9,65.8,66.4,67.3,68.1,68.8,69.9,70.4,71,71.8,72.5,73.5,74.3,75.1,75.6,76.6,77.2,78,79,79.7,80.3,81.1,81.8,82.4,83.3,84.2,84.7,85.7,86.3,87.2,87.9,88.9,89.4,90.1,90.9,91.7,92.4,93.3,93.9,94.5,95.2,95.8,97,97.7,98.2,98.9}', '65e4de8764d06b88ce4df05732c747e3c9e2a2ce5e894c36a313019f70a2a6cd');
SELECT pg_catalog.setval('drizzle.__drizzle_migrations_id_seq', 4, true);
ALTER TABLE ONLY drizzle.__drizzle_migrations
    ADD CONSTRAINT __drizzle_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bench
    ADD CONSTRAINT bench_pkey PRIMARY KEY ("only");
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.draft
    ADD CONSTRAINT draft_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_run_id_seq_unique UNIQUE (run_id, seq);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_supersedes_id_unique UNIQUE (supersedes_id);
ALTER TABLE ONLY public.fuel_batch
    ADD CONSTRAINT fuel_batch_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.fuel
    ADD CONSTRAINT fuel_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_supersedes_id_unique UNIQUE (supersedes_id);
ALTER TABLE ONLY public.now_place
    ADD CONSTRAINT now_place_pkey PRIMARY KEY ("only");
ALTER TABLE ONLY public.now_reading
    ADD CONSTRAINT now_reading_pkey PRIMARY KEY (quantity);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place
    ADD CONSTRAINT place_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_place_id_n_unique UNIQUE (place_id, n);
ALTER TABLE ONLY public.result
    ADD CONSTRAINT result_run_id_options_hash_pk PRIMARY KEY (run_id, options_hash);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.run_row
    ADD CONSTRAINT run_row_pkey PRIMARY KEY (run_id);
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
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_run_id_channel_unique UNIQUE (run_id, channel);
CREATE INDEX decision_by_run ON public.decision USING btree (run_id);
CREATE INDEX measurement_by_run ON public.measurement USING btree (run_id);
CREATE INDEX run_by_start ON public.run USING btree (started_at);
CREATE INDEX run_row_by_start ON public.run_row USING btree (started_at);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.event
    ADD CONSTRAINT event_supersedes_id_event_id_fk FOREIGN KEY (supersedes_id) REFERENCES public.event(id);
ALTER TABLE ONLY public.fuel_batch
    ADD CONSTRAINT fuel_batch_fuel_id_fuel_id_fk FOREIGN KEY (fuel_id) REFERENCES public.fuel(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.measurement
    ADD CONSTRAINT measurement_supersedes_id_measurement_id_fk FOREIGN KEY (supersedes_id) REFERENCES public.measurement(id);
ALTER TABLE ONLY public.now_place
    ADD CONSTRAINT now_place_place_id_place_id_fk FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.place_version
    ADD CONSTRAINT place_version_place_id_place_id_fk FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.result
    ADD CONSTRAINT result_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_fuel_batch_id_fuel_batch_id_fk FOREIGN KEY (fuel_batch_id) REFERENCES public.fuel_batch(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_person_id_person_id_fk FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_place_version_id_place_version_id_fk FOREIGN KEY (place_version_id) REFERENCES public.place_version(id);
ALTER TABLE ONLY public.run_row
    ADD CONSTRAINT run_row_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
ALTER TABLE ONLY public.run
    ADD CONSTRAINT run_setup_version_id_setup_version_id_fk FOREIGN KEY (setup_version_id) REFERENCES public.setup_version(id);
ALTER TABLE ONLY public.setup_part
    ADD CONSTRAINT setup_part_setup_version_id_setup_version_id_fk FOREIGN KEY (setup_version_id) REFERENCES public.setup_version(id);
ALTER TABLE ONLY public.setup_part
    ADD CONSTRAINT setup_part_thing_version_id_thing_version_id_fk FOREIGN KEY (thing_version_id) REFERENCES public.thing_version(id);
ALTER TABLE ONLY public.setup_version
    ADD CONSTRAINT setup_version_setup_id_setup_id_fk FOREIGN KEY (setup_id) REFERENCES public.setup(id);
ALTER TABLE ONLY public.thing_version
    ADD CONSTRAINT thing_version_thing_id_thing_id_fk FOREIGN KEY (thing_id) REFERENCES public.thing(id);
ALTER TABLE ONLY public.trace_chunk
    ADD CONSTRAINT trace_chunk_trace_id_trace_id_fk FOREIGN KEY (trace_id) REFERENCES public.trace(id);
ALTER TABLE ONLY public.trace
    ADD CONSTRAINT trace_run_id_run_id_fk FOREIGN KEY (run_id) REFERENCES public.run(id);
