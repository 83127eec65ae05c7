CREATE TABLE "bench" (
	"only" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"purpose" text NOT NULL,
	"loaded" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "bench_one_row" CHECK ("bench"."only")
);
--> statement-breakpoint
CREATE TABLE "person" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "place" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"zone" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "place_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"place_id" uuid NOT NULL,
	"n" integer NOT NULL,
	"altitude_m" double precision,
	"wind_height_m" double precision,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "place_version_place_id_n_unique" UNIQUE("place_id","n")
);
--> statement-breakpoint
CREATE TABLE "setup" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "setup_part" (
	"setup_version_id" uuid NOT NULL,
	"role" text NOT NULL,
	"thing_version_id" uuid NOT NULL,
	CONSTRAINT "setup_part_setup_version_id_role_pk" PRIMARY KEY("setup_version_id","role")
);
--> statement-breakpoint
CREATE TABLE "setup_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"setup_id" uuid NOT NULL,
	"n" integer NOT NULL,
	"gap_m" double precision,
	"heat_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "setup_version_setup_id_n_unique" UNIQUE("setup_id","n")
);
--> statement-breakpoint
CREATE TABLE "thing" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"description" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "thing_version" (
	"id" uuid PRIMARY KEY NOT NULL,
	"thing_id" uuid NOT NULL,
	"n" integer NOT NULL,
	"properties" jsonb NOT NULL,
	"heat_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "thing_version_thing_id_n_unique" UNIQUE("thing_id","n")
);
--> statement-breakpoint
CREATE TABLE "fuel" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "fuel_batch" (
	"id" uuid PRIMARY KEY NOT NULL,
	"fuel_id" uuid NOT NULL,
	"name" text NOT NULL,
	"opened_on" date,
	"lhv_j_per_kg" double precision,
	"density_kg_per_m3" double precision,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "decision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"question" text NOT NULL,
	"answer" text NOT NULL,
	"reason" text,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"seq" integer NOT NULL,
	"kind" text NOT NULL,
	"at_ms" bigint NOT NULL,
	"wall_at" timestamp with time zone,
	"mono_ms" double precision,
	"source" text NOT NULL,
	"payload" jsonb NOT NULL,
	"supersedes_id" uuid,
	"voided" boolean DEFAULT false NOT NULL,
	"reason" text,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "event_supersedes_id_unique" UNIQUE("supersedes_id"),
	CONSTRAINT "event_run_id_seq_unique" UNIQUE("run_id","seq")
);
--> statement-breakpoint
CREATE TABLE "measurement" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"quantity" text NOT NULL,
	"value" double precision NOT NULL,
	"u" double precision,
	"typed" text NOT NULL,
	"typed_unit" text NOT NULL,
	"at_ms" bigint,
	"supersedes_id" uuid,
	"reason" text,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "measurement_supersedes_id_unique" UNIQUE("supersedes_id")
);
--> statement-breakpoint
CREATE TABLE "run" (
	"id" uuid PRIMARY KEY NOT NULL,
	"origin" text NOT NULL,
	"kind" text NOT NULL,
	"state" text NOT NULL,
	"setup_version_id" uuid NOT NULL,
	"fuel_batch_id" uuid,
	"place_version_id" uuid,
	"person_id" uuid NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	"zone" text NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"body_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trace" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"channel" text NOT NULL,
	"unit" text NOT NULL,
	"file_hash" text,
	CONSTRAINT "trace_run_id_channel_unique" UNIQUE("run_id","channel")
);
--> statement-breakpoint
CREATE TABLE "trace_chunk" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trace_id" uuid NOT NULL,
	"seq" integer NOT NULL,
	"first_ms" bigint NOT NULL,
	"last_ms" bigint NOT NULL,
	"t_ms" integer[] NOT NULL,
	"v" double precision[] NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "trace_chunk_trace_id_seq_unique" UNIQUE("trace_id","seq")
);
--> statement-breakpoint
CREATE TABLE "result" (
	"run_id" uuid NOT NULL,
	"options_hash" text NOT NULL,
	"input_hash" text NOT NULL,
	"core_version" text NOT NULL,
	"json" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "result_run_id_options_hash_pk" PRIMARY KEY("run_id","options_hash")
);
--> statement-breakpoint
ALTER TABLE "place_version" ADD CONSTRAINT "place_version_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "setup_part" ADD CONSTRAINT "setup_part_setup_version_id_setup_version_id_fk" FOREIGN KEY ("setup_version_id") REFERENCES "public"."setup_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "setup_part" ADD CONSTRAINT "setup_part_thing_version_id_thing_version_id_fk" FOREIGN KEY ("thing_version_id") REFERENCES "public"."thing_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "setup_version" ADD CONSTRAINT "setup_version_setup_id_setup_id_fk" FOREIGN KEY ("setup_id") REFERENCES "public"."setup"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "thing_version" ADD CONSTRAINT "thing_version_thing_id_thing_id_fk" FOREIGN KEY ("thing_id") REFERENCES "public"."thing"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fuel_batch" ADD CONSTRAINT "fuel_batch_fuel_id_fuel_id_fk" FOREIGN KEY ("fuel_id") REFERENCES "public"."fuel"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "decision" ADD CONSTRAINT "decision_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_supersedes_id_event_id_fk" FOREIGN KEY ("supersedes_id") REFERENCES "public"."event"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measurement" ADD CONSTRAINT "measurement_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measurement" ADD CONSTRAINT "measurement_supersedes_id_measurement_id_fk" FOREIGN KEY ("supersedes_id") REFERENCES "public"."measurement"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measurement" ADD CONSTRAINT "measurement_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_setup_version_id_setup_version_id_fk" FOREIGN KEY ("setup_version_id") REFERENCES "public"."setup_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_fuel_batch_id_fuel_batch_id_fk" FOREIGN KEY ("fuel_batch_id") REFERENCES "public"."fuel_batch"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_place_version_id_place_version_id_fk" FOREIGN KEY ("place_version_id") REFERENCES "public"."place_version"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run" ADD CONSTRAINT "run_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace" ADD CONSTRAINT "trace_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trace_chunk" ADD CONSTRAINT "trace_chunk_trace_id_trace_id_fk" FOREIGN KEY ("trace_id") REFERENCES "public"."trace"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "result" ADD CONSTRAINT "result_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "decision_by_run" ON "decision" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "measurement_by_run" ON "measurement" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "run_by_start" ON "run" USING btree ("started_at");