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
	(1, '9b6a9a0d9b354cc9635c8ef83938e82b6fc9859a1af37ba9117ef5873cd7f3d7', 1795443004449);
INSERT INTO public.bench VALUES
	(true, 'demonstration', true, '2026-11-23 20:55:33.095347+00');
INSERT INTO public.event VALUES
	('01a20a31-4e6c-7609-8278-150a216f94f0', '01960000-0000-7000-8000-000000000001', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e6c-7609-8278-1be898273232', '01960000-0000-7000-8000-000000000001', 2, 'rollingBoil', 151000, NULL, NULL, 'typed', '{"typed": "2:31"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e6c-7609-8278-1cb09ee2f0a7', '01960000-0000-7000-8000-000000000001', 3, 'shutOff', 152000, NULL, NULL, 'typed', '{"typed": "2:32"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e7d-7415-9e91-24d65b5f717b', '01960000-0000-7000-8000-000000000002', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e7d-7415-9e91-2bc3cf2e9d04', '01960000-0000-7000-8000-000000000002', 2, 'rollingBoil', 156000, NULL, NULL, 'typed', '{"typed": "2:36"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e88-7595-988a-67c7ee811af2', '01960000-0000-7000-8000-000000000003', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e88-7595-988a-684d257e5084', '01960000-0000-7000-8000-000000000003', 2, 'potOn', 6000, NULL, NULL, 'typed', '{"typed": "0:06"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e89-7737-83b7-b0f4bf3f9fa5', '01960000-0000-7000-8000-000000000003', 3, 'rollingBoil', 158000, NULL, NULL, 'typed', '{"typed": "2:38"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e89-7737-83b7-b43d304ab480', '01960000-0000-7000-8000-000000000003', 4, 'shutOff', 159000, NULL, NULL, 'typed', '{"typed": "2:39"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e96-754a-a60a-92730392e72b', '01960000-0000-7000-8000-000000000004', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e96-754a-a60a-95ba56cf25ab', '01960000-0000-7000-8000-000000000004', 2, 'potOn', 5000, NULL, NULL, 'typed', '{"typed": "0:05"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e96-754a-a60a-9b312e126a6a', '01960000-0000-7000-8000-000000000004', 3, 'rollingBoil', 141000, NULL, NULL, 'typed', '{"typed": "2:21"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e96-754a-a60a-9d6bfe461ca7', '01960000-0000-7000-8000-000000000004', 4, 'shutOff', 142000, NULL, NULL, 'typed', '{"typed": "2:22"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ea0-7008-a02a-0ceb5f839169', '01960000-0000-7000-8000-000000000005', 1, 'lit', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ea0-7008-a02a-135b6ebcd082', '01960000-0000-7000-8000-000000000005', 2, 'bloomed', 45000, NULL, NULL, 'typed', '{"typed": "0:45"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ea0-7008-a02a-15126f0d3856', '01960000-0000-7000-8000-000000000005', 3, 'potOn', 48000, NULL, NULL, 'typed', '{"typed": "0:48"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ea0-7008-a02a-1bc7956a9a72', '01960000-0000-7000-8000-000000000005', 4, 'rollingBoil', 578000, NULL, NULL, 'typed', '{"typed": "9:38"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eb4-74eb-8668-e98404e61303', '01960000-0000-7000-8000-000000000006', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eb4-74eb-8668-ec2cbf83fe70', '01960000-0000-7000-8000-000000000006', 2, 'firstBubbles', 580000, NULL, NULL, 'typed', '{"typed": "9:40"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eb4-74eb-8668-f3f027e54e14', '01960000-0000-7000-8000-000000000006', 3, 'rollingBoil', 685000, NULL, NULL, 'typed', '{"typed": "11:25"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ec0-717f-ad11-8da8885eb924', '01960000-0000-7000-8000-000000000007', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ec0-717f-ad11-9171c3b4484b', '01960000-0000-7000-8000-000000000007', 2, 'rollingBoil', 248000, NULL, NULL, 'typed', '{"typed": "4:08"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ecd-72bb-a178-8808f70f182b', '01960000-0000-7000-8000-000000000008', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ecd-72bb-a178-8f18493a3122', '01960000-0000-7000-8000-000000000008', 2, 'rollingBoil', 200000, NULL, NULL, 'typed', '{"typed": "3:20"}', NULL, false, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed8-7425-9dd5-f507994e75b9', '01960000-0000-7000-8000-000000000009', 1, 'potOn', 0, NULL, NULL, 'typed', '{"typed": "0:00"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed8-7425-9dd5-fb88b103d856', '01960000-0000-7000-8000-000000000009', 2, 'stopped', 115000, NULL, NULL, 'typed', '{"typed": "1:55", "reason": "rain"}', NULL, false, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.fuel VALUES
	('01a20a31-4e4a-721e-b1e8-1b9da18e36df', 'isobutane-propane', 'Isobutane and propane, 80/20', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4c-7348-ba59-969d80ca54d8', 'methanol', 'Methanol', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4e-72bc-8c8d-eb1533b7217e', 'hexamine', 'Hexamine tablets', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4f-7399-8b5f-7dcfcef162f4', 'ethanol-denatured', 'Ethanol, denatured', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e51-7008-a43e-8b5f0dda0e15', 'white-gas', 'White gas', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e52-77bf-87a2-d6b55bbf21a1', 'kerosene', 'Kerosene', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e53-723d-8183-d0bdfa09d567', 'wood-dry', 'Heather sticks', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.fuel_batch VALUES
	('01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4e4a-721e-b1e8-1b9da18e36df', 'store canisters, spring', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4c-7348-ba59-9a3b3d1f316e', '01a20a31-4e4c-7348-ba59-969d80ca54d8', 'drum 3', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4e-72bc-8c8d-ed3d26d84059', '01a20a31-4e4e-72bc-8c8d-eb1533b7217e', 'tin from the hut', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e4f-7399-8b5f-83f52dc60970', '01a20a31-4e4f-7399-8b5f-7dcfcef162f4', 'hardware shop', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e51-7008-a43e-8dc77ec17bbd', '01a20a31-4e51-7008-a43e-8b5f0dda0e15', 'opened this year', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e52-77bf-87a2-db72859df2ec', '01a20a31-4e52-77bf-87a2-d6b55bbf21a1', 'generator shed', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e54-7634-917a-7be0252ab545', '01a20a31-4e53-723d-8183-d0bdfa09d567', 'dried indoors', NULL, NULL, NULL, '2026-11-23 20:55:33.10204+00');
INSERT INTO public.measurement VALUES
	('01a20a31-4e68-71ac-bbb3-405f1096c74c', '01960000-0000-7000-8000-000000000001', 'air', 19, NULL, '19 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-458648be79f4', '01960000-0000-7000-8000-000000000001', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-4bd31b473889', '01960000-0000-7000-8000-000000000001', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-4cfc6290e1ec', '01960000-0000-7000-8000-000000000001', 'waterStart', 17.1, NULL, '17.1 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-501db7df60dd', '01960000-0000-7000-8000-000000000001', 'fuelBefore', 0.3124, NULL, '312.4 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-577412f8bc46', '01960000-0000-7000-8000-000000000001', 'fuelAfter', 0.3049, NULL, '304.9 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e68-71ac-bbb3-58e6cddf0ca7', '01960000-0000-7000-8000-000000000001', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e76-728e-906f-afc46adb478d', '01960000-0000-7000-8000-000000000002', 'stationPressure', 78260, NULL, '782.6 hPa', 'hPa', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e76-728e-906f-b05365ac4766', '01960000-0000-7000-8000-000000000002', 'air', 3, NULL, '3 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e76-728e-906f-b6c2713abf66', '01960000-0000-7000-8000-000000000002', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e77-73b9-b229-28c70a126529', '01960000-0000-7000-8000-000000000002', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e77-73b9-b229-2ca2127ccad9', '01960000-0000-7000-8000-000000000002', 'waterStart', 5.8, NULL, '5.8 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e77-73b9-b229-309633a50a28', '01960000-0000-7000-8000-000000000002', 'fuelBefore', 0.3049, NULL, '304.9 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e77-73b9-b229-34c1d297d4ed', '01960000-0000-7000-8000-000000000002', 'fuelAfter', 0.2973, NULL, '297.3 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e77-73b9-b229-383b29f99f05', '01960000-0000-7000-8000-000000000002', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-21cff7d7ec13', '01960000-0000-7000-8000-000000000003', 'air', 11, NULL, '11 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-25b8217714df', '01960000-0000-7000-8000-000000000003', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-2a25e8fe43c8', '01960000-0000-7000-8000-000000000003', 'water', 0.000473176473, NULL, '16 fl oz', 'floz', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-2f185dc3a7a9', '01960000-0000-7000-8000-000000000003', 'waterStart', 9, NULL, '9 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-337f199c516b', '01960000-0000-7000-8000-000000000003', 'fuelBefore', 0.241, NULL, '241.0 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-34db682ba2fd', '01960000-0000-7000-8000-000000000003', 'fuelAfter', 0.2339, NULL, '233.9 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e86-7549-bb30-3b6aa5322a68', '01960000-0000-7000-8000-000000000003', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-613e32299208', '01960000-0000-7000-8000-000000000004', 'air', 11, NULL, '11 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-64625a119eb7', '01960000-0000-7000-8000-000000000004', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-6bbcbd510eb6', '01960000-0000-7000-8000-000000000004', 'water', 0.000473176473, NULL, '16 fl oz', 'floz', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-6d173e79b290', '01960000-0000-7000-8000-000000000004', 'waterStart', 9.4, NULL, '9.4 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-733929526cf4', '01960000-0000-7000-8000-000000000004', 'fuelBefore', 0.2339, NULL, '233.9 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-7751463eaab0', '01960000-0000-7000-8000-000000000004', 'fuelAfter', 0.2283, NULL, '228.3 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e94-740f-b763-7ac72e396831', '01960000-0000-7000-8000-000000000004', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-143d24e26aab', '01960000-0000-7000-8000-000000000005', 'air', 16.11111111111111, NULL, '61F', 'degF', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-182932c38b8a', '01960000-0000-7000-8000-000000000005', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-1dbc77c824f1', '01960000-0000-7000-8000-000000000005', 'water', 0.000473176473, NULL, '2 cups', 'cup', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-2320498f1029', '01960000-0000-7000-8000-000000000005', 'waterStart', 13.333333333333334, NULL, '56F', 'degF', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-26839f5e65e9', '01960000-0000-7000-8000-000000000005', 'fuelUsed', 0.021, NULL, '21 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e9e-779d-afa3-2b613a1c01ec', '01960000-0000-7000-8000-000000000005', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eaf-72cb-8dfe-9b3a469e935a', '01960000-0000-7000-8000-000000000006', 'air', 11, NULL, '11 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eaf-72cb-8dfe-9e5e10213918', '01960000-0000-7000-8000-000000000006', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eaf-72cb-8dfe-a28266fff7b8', '01960000-0000-7000-8000-000000000006', 'water', 0.00039999999999999996, NULL, '400 mL', 'ml', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eaf-72cb-8dfe-a598362a6686', '01960000-0000-7000-8000-000000000006', 'waterStart', 12, NULL, '12 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eaf-72cb-8dfe-a9a666527283', '01960000-0000-7000-8000-000000000006', 'fuelUsed', 0.0158, NULL, '15.8 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.measurement VALUES
	('01a20a31-4eaf-72cb-8dfe-ae578ba9dc7f', '01960000-0000-7000-8000-000000000006', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-3d26f39dc1eb', '01960000-0000-7000-8000-000000000007', 'air', 15, NULL, '15 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-4109a685d954', '01960000-0000-7000-8000-000000000007', 'wind', 1.8, NULL, '1.8 m/s', 'mps', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-4481bc0f1772', '01960000-0000-7000-8000-000000000007', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-4a475eb6b993', '01960000-0000-7000-8000-000000000007', 'waterStart', 14, NULL, '14 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-4d20655a735c', '01960000-0000-7000-8000-000000000007', 'fuelBefore', 0.2973, NULL, '297.3 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-51caf87f824e', '01960000-0000-7000-8000-000000000007', 'fuelAfter', 0.2856, NULL, '285.6 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ebe-716d-ad0e-56033c652ccd', '01960000-0000-7000-8000-000000000007', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-01927f9e7199', '01960000-0000-7000-8000-000000000008', 'air', 4, NULL, '4 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-07273abd8c5e', '01960000-0000-7000-8000-000000000008', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-08925770bbfc', '01960000-0000-7000-8000-000000000008', 'water', 0.00075, NULL, '750 mL', 'ml', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-0c0eff2e6aaa', '01960000-0000-7000-8000-000000000008', 'waterStart', 6, NULL, '6 °C', 'degC', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-10f06e4ee376', '01960000-0000-7000-8000-000000000008', 'fuelBefore', 0.23, NULL, '230 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-1491d7335981', '01960000-0000-7000-8000-000000000008', 'fuelAfter', 0.225, NULL, '225 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4eca-76f9-9c5c-1af544253621', '01960000-0000-7000-8000-000000000008', 'scaleResolution', 0.001, NULL, '1 g', 'g', NULL, NULL, NULL, '01a20a31-4df0-718c-bc41-11f158573212', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-b7b01c6acc9c', '01960000-0000-7000-8000-000000000009', 'air', 2, NULL, '2 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-bb776fd92e99', '01960000-0000-7000-8000-000000000009', 'wind', 0, NULL, 'calm', 'mps', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-bf25545e2c42', '01960000-0000-7000-8000-000000000009', 'water', 0.47300000000000003, NULL, '473 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-c02882522a3d', '01960000-0000-7000-8000-000000000009', 'waterStart', 5, NULL, '5 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-c42521fd2214', '01960000-0000-7000-8000-000000000009', 'waterLast', 71, NULL, '71 °C', 'degC', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-cb7361c39046', '01960000-0000-7000-8000-000000000009', 'fuelBefore', 0.2856, NULL, '285.6 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-cc6c422e0d2e', '01960000-0000-7000-8000-000000000009', 'fuelAfter', 0.2804, NULL, '280.4 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4ed5-7391-b604-d0ea8c6c8758', '01960000-0000-7000-8000-000000000009', 'scaleResolution', 0.0001, NULL, '0.1 g', 'g', NULL, NULL, NULL, '01a20a31-4def-732a-9a51-47141e199b59', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.person VALUES
	('01a20a31-4def-732a-9a51-47141e199b59', 'Odra Vell', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df0-718c-bc41-11f158573212', 'Tamsin Quay', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.place VALUES
	('01a20a31-4df2-75dd-82fc-c6bcccc19bc5', 'Harbour store', 'Atlantic/Azores', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df4-750d-ac37-66b7a3c99073', 'Ash Gate hut', 'Atlantic/Azores', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df6-72ac-a5fd-76ebf2b15e64', 'Crater rim camp', 'Atlantic/Azores', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df8-7291-9a39-e3c8b975c308', 'Ice saddle', 'Atlantic/Azores', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.place_version VALUES
	('01a20a31-4df3-721d-8bf1-671eeb6ac70b', '01a20a31-4df2-75dd-82fc-c6bcccc19bc5', 1, 12, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df5-730b-b851-ea43e57b847b', '01a20a31-4df4-750d-ac37-66b7a3c99073', 1, 940, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df7-7137-8d8b-39f9a9197f68', '01a20a31-4df6-72ac-a5fd-76ebf2b15e64', 1, 2130, NULL, '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4df9-7794-8f1d-824f30f95940', '01a20a31-4df8-7291-9a39-e3c8b975c308', 1, 2870, NULL, '2026-11-23 20:55:33.10204+00');
INSERT INTO public.run VALUES
	('01960000-0000-7000-8000-000000000001', 'measured', 'boil', 'finished', '01a20a31-4e2f-748b-b2ae-db4700878e67', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df3-721d-8bf1-671eeb6ac70b', '01a20a31-4def-732a-9a51-47141e199b59', '2026-04-02 09:10:00+00', 'Atlantic/Azores', 'First of the season. Full flame, steady.', 1, 'f5d17e41b0e7c8adba48d5b233304caa100f76c3b8df74664a3d1af5df4a9db1', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000002', 'measured', 'boil', 'finished', '01a20a31-4e2f-748b-b2ae-db4700878e67', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df7-7137-8d8b-39f9a9197f68', '01a20a31-4df0-718c-bc41-11f158573212', '2026-04-09 10:25:00+00', 'Atlantic/Azores', 'Behind the wall at the rim, no wind to speak of. Pressure from the observatory’s barometer.', 1, '686feba737c18032249769aaf6bb5a251c348d0520ac9f2ef42498d5b7e03f9f', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000003', 'measured', 'boil', 'finished', '01a20a31-4e33-748e-b6fd-c579cd72bb74', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df5-730b-b851-ea43e57b847b', '01a20a31-4def-732a-9a51-47141e199b59', '2026-04-11 08:40:00+00', 'Atlantic/Azores', '', 1, 'dc0926146eefd36ca2628c8d66af92e2c13a1e4b5f31393cfafd76a1dd5ab6ea', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000004', 'measured', 'boil', 'finished', '01a20a31-4e3d-7047-adb5-c4a5b464af64', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df5-730b-b851-ea43e57b847b', '01a20a31-4def-732a-9a51-47141e199b59', '2026-04-11 09:30:00+00', 'Atlantic/Azores', 'Same burner, pot identical to the plain one but for its fins.', 1, 'feb9ff910d4da9d7ce5d7e736a8b30622a4c1a53c6abc4d84c6fc976e8f389b4', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000005', 'measured', 'boil', 'finished', '01a20a31-4e43-723d-aa91-fdaee86b27b2', '01a20a31-4e4c-7348-ba59-9a3b3d1f316e', '01a20a31-4df3-721d-8bf1-671eeb6ac70b', '01a20a31-4df0-718c-bc41-11f158573212', '2026-04-14 14:00:00+00', 'Atlantic/Azores', 'Bloomed after three quarters of a minute. Flame invisible in the doorway light.', 1, '28d49aca1f46a55f8481815d571934ff7e9267c7e7e5cd5415d91473ee3a1c58', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000006', 'measured', 'boil', 'finished', '01a20a31-4e47-771a-ac63-73858e850559', '01a20a31-4e4e-72bc-8c8d-ed3d26d84059', '01a20a31-4df5-730b-b851-ea43e57b847b', '01a20a31-4df0-718c-bc41-11f158573212', '2026-04-14 15:20:00+00', 'Atlantic/Azores', 'One tablet and the start of a second.', 1, '9e142bdaedd4fc65a5d072a5c326236ba625e2e30296df3804d605ce36f83a69', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000007', 'measured', 'boil', 'finished', '01a20a31-4e2f-748b-b2ae-db4700878e67', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df3-721d-8bf1-671eeb6ac70b', '01a20a31-4def-732a-9a51-47141e199b59', '2026-04-20 11:15:00+00', 'Atlantic/Azores', 'Porch, fan on the second step: 1.8 m/s at the pot.', 1, '9a1a5e695475cc2c789a0e0b019be1e35da2a427f09991c658c3c18254b22a3b', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000008', 'measured', 'boil', 'finished', '01a20a31-4e3d-7047-adb5-c4a5b464af64', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df7-7137-8d8b-39f9a9197f68', '01a20a31-4df0-718c-bc41-11f158573212', '2026-04-21 07:50:00+00', 'Atlantic/Azores', 'Kitchen scale, one gram. The figure cannot be right; kept as written.', 1, '8ff71bd672931a13fe925e48266ffaf8afc46ab1f428e7c3b548c10fc108d3ed', '2026-11-23 20:55:33.10204+00'),
	('01960000-0000-7000-8000-000000000009', 'measured', 'boil', 'finished', '01a20a31-4e33-748e-b6fd-c579cd72bb74', '01a20a31-4e4a-721e-b1e8-1eb075e3dab1', '01a20a31-4df7-7137-8d8b-39f9a9197f68', '01a20a31-4def-732a-9a51-47141e199b59', '2026-04-23 16:05:00+00', 'Atlantic/Azores', '', 1, '687c998bc6021ad69fb3d8041b14b5bc46c4cee4382906b46ac4a0b81feb6d8e', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.setup VALUES
	('01a20a31-4e2f-748b-b2ae-d559ee0263f8', 'Fumarole with narrow pot', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e33-748e-b6fd-c21e0a8490e7', 'Solfatara with wide pot', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e3d-7047-adb5-c03300399dec', 'Solfatara with finned pot', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e43-723d-aa91-fa7ed8cb1252', 'Lahar in the cone', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e47-771a-ac63-6dda9c3247b9', 'Lapilli with wrap', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.setup_part VALUES
	('01a20a31-4e2f-748b-b2ae-db4700878e67', 'burner', '01a20a31-4dfe-7485-831e-07046294136c'),
	('01a20a31-4e2f-748b-b2ae-db4700878e67', 'pot', '01a20a31-4e12-744b-a3e1-079233ccba61'),
	('01a20a31-4e2f-748b-b2ae-db4700878e67', 'lid', '01a20a31-4e22-730f-85b1-dd4dec8aa99e'),
	('01a20a31-4e33-748e-b6fd-c579cd72bb74', 'burner', '01a20a31-4e02-7595-b0b4-d592c230fbbd'),
	('01a20a31-4e33-748e-b6fd-c579cd72bb74', 'pot', '01a20a31-4e14-7260-a1c1-c30144c9ed10'),
	('01a20a31-4e33-748e-b6fd-c579cd72bb74', 'lid', '01a20a31-4e22-730f-85b1-dd4dec8aa99e'),
	('01a20a31-4e3d-7047-adb5-c4a5b464af64', 'burner', '01a20a31-4e02-7595-b0b4-d592c230fbbd'),
	('01a20a31-4e3d-7047-adb5-c4a5b464af64', 'pot', '01a20a31-4e17-71ae-85c7-c5c382807363'),
	('01a20a31-4e3d-7047-adb5-c4a5b464af64', 'lid', '01a20a31-4e22-730f-85b1-dd4dec8aa99e'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', 'burner', '01a20a31-4e0b-772d-b141-e9517d9eae4e'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', 'pot', '01a20a31-4e19-7008-b2d1-1cd7b4f8e8b8'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', 'lid', '01a20a31-4e23-7003-a731-85b2e78fc78e'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', 'stand', '01a20a31-4e24-75ca-94a5-d10da1bb8f65'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', 'screen', '01a20a31-4e25-70f5-81ca-80c8dc5999d2'),
	('01a20a31-4e47-771a-ac63-73858e850559', 'burner', '01a20a31-4e0d-750e-a647-02b442b84716'),
	('01a20a31-4e47-771a-ac63-73858e850559', 'pot', '01a20a31-4e20-77ee-ae3c-6c86f1d87fd8'),
	('01a20a31-4e47-771a-ac63-73858e850559', 'lid', '01a20a31-4e23-7003-a731-85b2e78fc78e'),
	('01a20a31-4e47-771a-ac63-73858e850559', 'screen', '01a20a31-4e27-70ac-ac2e-729e74723d46');
INSERT INTO public.setup_version VALUES
	('01a20a31-4e2f-748b-b2ae-db4700878e67', '01a20a31-4e2f-748b-b2ae-d559ee0263f8', 1, 0.022, 'a1f41bc2c00a4720a832cb2f643d9865389e190069411a2010e311dd59b082da', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e33-748e-b6fd-c579cd72bb74', '01a20a31-4e33-748e-b6fd-c21e0a8490e7', 1, 0.018, 'f008f2b2da1bc82e4f4d80c47196f25b779793abd6eba697d816bcc3e44410ae', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e3d-7047-adb5-c4a5b464af64', '01a20a31-4e3d-7047-adb5-c03300399dec', 1, 0.018, 'a61907c103d0ca3970dd35e4af394e33552f33e6fa2718e834b786f4ae74e180', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e43-723d-aa91-fdaee86b27b2', '01a20a31-4e43-723d-aa91-fa7ed8cb1252', 1, 0.025, 'd6507412a0bd56608cfd4fffabb3e2ee46dcdcaceff4416c7060b0b493507d7e', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e47-771a-ac63-73858e850559', '01a20a31-4e47-771a-ac63-6dda9c3247b9', 1, 0.03, 'e613b7306f0c5f9b3282ee7be189ab171962683c45f5547f8881d7968c671aa0', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.thing VALUES
	('01a20a31-4dfe-7485-831e-02e82006222f', 'burner', 'Fumarole', 'Small gas burner on the canister, open head', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e02-7595-b0b4-d1c74a0e9b51', 'burner', 'Solfatara', 'Gas burner on the canister, recessed head', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e05-7728-8b22-5521a4b0b72a', 'burner', 'Maar', 'Gas burner and finned pot in one', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e07-76d8-a586-8a9891a9fa86', 'burner', 'Ignimbrite', 'Gas burner on a hose', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e09-7528-bbc2-33595f3045c1', 'burner', 'Andesite', 'Pressure burner for white gas and kerosene', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0b-772d-b141-e554b42ab9ef', 'burner', 'Lahar', 'Home-made alcohol jet burner', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0d-750e-a646-feb661f6ef98', 'burner', 'Lapilli', 'Folding tray for tablets', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0e-77d0-9727-23a99abb9bb3', 'burner', 'Dacite', 'Cup for alcohol gel', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e10-7167-8952-2acce29f6abf', 'burner', 'Breccia', 'Batch wood can with closable air holes', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e12-744b-a3e1-032bc9e01585', 'pot', 'Cinder 900', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e14-7260-a1c1-be88bcfe81e6', 'pot', 'Tuff 1300', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e16-733d-acd2-413882814fe9', 'pot', 'Spatter 1000', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e17-71ae-85c7-c2554dab40fa', 'pot', 'Spatter 1000 F', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e19-7008-b2d1-19a13658f4ad', 'pot', 'Ash mug 600', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e20-77ee-ae3c-6bcd2a6b3e8d', 'pot', 'Bomb 700', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e21-775b-8e6b-8af2bfc8649a', 'pot', 'Dyke 2000', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e22-730f-85b1-d8433c581a95', 'lid', 'Flat lid', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e23-7003-a731-83899b300028', 'lid', 'Mug lid', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e24-75ca-94a5-cc7a4fc4ce1c', 'stand', 'Wire stand', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e25-70f5-81ca-7c6d572bb325', 'screen', 'Close cone', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e27-70ac-ac2e-6fbb08b923a6', 'screen', 'Foil wrap', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e28-70aa-bd3c-484144621b5d', 'instrument', 'Bench scale', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e29-752e-825d-af41c6229c9d', 'instrument', 'Lid probe', '', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e2b-74ea-84dc-6ff209d019c2', 'instrument', 'Cup anemometer', '', '2026-11-23 20:55:33.10204+00');
INSERT INTO public.thing_version VALUES
	('01a20a31-4dfe-7485-831e-07046294136c', '01a20a31-4dfe-7485-831e-02e82006222f', 1, '{"head": "exposed", "burner": "canister-top", "massKg": 0.074}', '9d13daf8dbcb9e75046c1a4769f0e578645974a429e4ad2611518b63f16beb48', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e02-7595-b0b4-d592c230fbbd', '01a20a31-4e02-7595-b0b4-d1c74a0e9b51', 1, '{"head": "sheltered", "burner": "canister-top", "massKg": 0.087}', '761811b32cf154657570b84bf5cd76e4e3541daf6b6b99932b4c6893de28be99', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e05-7728-8b22-5ac3fdb754aa', '01a20a31-4e05-7728-8b22-5521a4b0b72a', 1, '{"head": "sheltered", "burner": "integrated", "massKg": 0.165}', '3e139c3b1a6e88f798e1499db0f767bccde2293ec37079da0f0eaab5cf33a85e', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e07-76d8-a586-8cd9db7880cb', '01a20a31-4e07-76d8-a586-8a9891a9fa86', 1, '{"head": "sheltered", "burner": "remote-gas", "massKg": 0.195}', 'c482d2639c44a88433b72f1102f4a122fc81c1bb18b28a4e93a3e5cb843f0f35', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e09-7528-bbc2-34e770eedbd5', '01a20a31-4e09-7528-bbc2-33595f3045c1', 1, '{"head": "sheltered", "burner": "liquid-pressure", "massKg": 0.34}', 'b055a44cc7168db66d251c933c715dc023e514d9c65e88af85f0ee960efef752', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0b-772d-b141-e9517d9eae4e', '01a20a31-4e0b-772d-b141-e554b42ab9ef', 1, '{"head": "sheltered", "burner": "alcohol", "massKg": 0.021}', '502d3aade672c9d0ecc2e87ff71c1796fdaa811dd1f37b7f66b1c3fb260e22ea', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0d-750e-a647-02b442b84716', '01a20a31-4e0d-750e-a646-feb661f6ef98', 1, '{"head": "exposed", "burner": "solid", "massKg": 0.045}', '899c720a402f6480e047dd5a8b2471e96b9f1a820faee8b2d4357b5002ab11f9', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e0e-77d0-9727-24f23609ff65', '01a20a31-4e0e-77d0-9727-23a99abb9bb3', 1, '{"head": "exposed", "burner": "gel", "massKg": 0.03}', 'ac833895071a52fc05f79fd65049e46f662ee91a149be127316861798b3e9738', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e10-7167-8952-2cc1a6ae4c0f', '01a20a31-4e10-7167-8952-2acce29f6abf', 1, '{"head": "sheltered", "burner": "wood", "massKg": 0.21}', '8358b2d21035207732f60a0c6933e85f293662af5dae683d65e5a7522d3887b1', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e12-744b-a3e1-079233ccba61', '01a20a31-4e12-744b-a3e1-032bc9e01585', 1, '{"finned": false, "massKg": 0.098, "material": "titanium", "diameterM": 0.092, "capacityM3": 0.0009}', '527da7c2782b7c4c0acd157bf33cc7e3ff7e28f3a41e2ee173062caf14fe9c02', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e14-7260-a1c1-c30144c9ed10', '01a20a31-4e14-7260-a1c1-be88bcfe81e6', 1, '{"finned": false, "massKg": 0.14, "material": "aluminium", "diameterM": 0.128, "capacityM3": 0.0013}', '346b7fe28917aee9c5f2596086bdaa834e91a90ebc89562ef0e88a0d45a0fae7', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e16-733d-acd2-459966da6c06', '01a20a31-4e16-733d-acd2-413882814fe9', 1, '{"finned": false, "massKg": 0.195, "material": "aluminium", "diameterM": 0.118, "capacityM3": 0.001}', 'f63e3adda9fc4befac8cea61b677a7d6ab125743031f0806a7f41513f387825f', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e17-71ae-85c7-c5c382807363', '01a20a31-4e17-71ae-85c7-c2554dab40fa', 1, '{"finned": true, "massKg": 0.23, "material": "aluminium", "diameterM": 0.118, "capacityM3": 0.001}', '435a25e71707c59e364f6a0ee52879aefa564788109402b54f49f04ad7a6dae1', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e19-7008-b2d1-1cd7b4f8e8b8', '01a20a31-4e19-7008-b2d1-19a13658f4ad', 1, '{"finned": false, "massKg": 0.11, "material": "titanium", "diameterM": 0.108, "capacityM3": 0.0006}', '136ee9c94c886cfdb8234b6d52fc869f1eec859591096d519712d81a4efd212a', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e20-77ee-ae3c-6c86f1d87fd8', '01a20a31-4e20-77ee-ae3c-6bcd2a6b3e8d', 1, '{"finned": false, "massKg": 0.092, "material": "titanium", "diameterM": 0.1, "capacityM3": 0.0007}', 'f42825929fc294ccdaf67fee9cfa615805413b409e51ce80f4f0716a192adf11', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e21-775b-8e6b-8c8a0ef2449b', '01a20a31-4e21-775b-8e6b-8af2bfc8649a', 1, '{"finned": false, "massKg": 0.41, "material": "stainless", "diameterM": 0.17, "capacityM3": 0.002}', '9d03f208678881f4b804b62480ce0d9659b581fb731be46ef400e7484ac3e015', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e22-730f-85b1-dd4dec8aa99e', '01a20a31-4e22-730f-85b1-d8433c581a95', 1, '{"massKg": 0.022}', '84644eae3df129c4a617a31469bd1574c2adfd887c19d50aaf6a9dc74602972e', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e23-7003-a731-85b2e78fc78e', '01a20a31-4e23-7003-a731-83899b300028', 1, '{"massKg": 0.012}', '8dc97a3d7ac81490e57a1da17b5f7d0f203e1ea15ceded844805e2d3174cfcb2', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e24-75ca-94a5-d10da1bb8f65', '01a20a31-4e24-75ca-94a5-cc7a4fc4ce1c', 1, '{"massKg": 0.028}', '523a42419a153ebdd787dfd5bc9e23fe986df773e2652d4689e441edc2882914', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e25-70f5-81ca-80c8dc5999d2', '01a20a31-4e25-70f5-81ca-7c6d572bb325', 1, '{"form": "cone", "gapM": 0.013, "massKg": 0.034}', 'a6df2ba2094a95e89ce4d5ec44c560378c036edd843f5cd166feb71e157c9e51', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e27-70ac-ac2e-729e74723d46', '01a20a31-4e27-70ac-ac2e-6fbb08b923a6', 1, '{"form": "wrap", "gapM": 0.013, "massKg": 0.018}', 'b81d2059f551242e498208e20fb4ebcb35d09edc38ede65e31225e0f56736108', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e28-70aa-bd3c-4e1be4c9bee9', '01a20a31-4e28-70aa-bd3c-484144621b5d', 1, '{"unit": "kg", "measures": "mass", "resolution": 0.0001}', '634a81dc92d5a9ad0df728a0a9749beb4a561dcdde0d8078b9c9ef9030b39dc2', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e29-752e-825d-b1d2f5b7b9d7', '01a20a31-4e29-752e-825d-af41c6229c9d', 1, '{"unit": "°C", "measures": "temperature", "resolution": 0.1}', '167d4535e3bf06c2a545db2dba05466a1161715eb95fa3f39cd99acf45fdd7ab', '2026-11-23 20:55:33.10204+00'),
	('01a20a31-4e2b-74ea-84dc-73d19a382926', '01a20a31-4e2b-74ea-84dc-6ff209d019c2', 1, '{"unit": "m/s", "measures": "wind", "resolution": 0.1}', 'cfb5e20205fb17d16ebdd1b8d48ac4acf46be699200c521e45335d994adef0dc', '2026-11-23 20:55:33.10204+00');
SELECT pg_catalog.setval('drizzle.__drizzle_migrations_id_seq', 1, true);
ALTER TABLE ONLY drizzle.__drizzle_migrations
    ADD CONSTRAINT __drizzle_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.bench
    ADD CONSTRAINT bench_pkey PRIMARY KEY ("only");
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_pkey PRIMARY KEY (id);
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
