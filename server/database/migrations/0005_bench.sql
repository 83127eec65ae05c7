CREATE TABLE "device" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"token_hash" text,
	"revoked_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "device_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "bench_act" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"device_id" uuid NOT NULL,
	"type" text NOT NULL,
	"body_hash" text NOT NULL,
	"ack" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "bench_clock" (
	"boot_id" text PRIMARY KEY NOT NULL,
	"epoch_ms" double precision NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "change" (
	"stream" text NOT NULL,
	"seq" bigint NOT NULL,
	"subject_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "change_stream_seq_pk" PRIMARY KEY("stream","seq")
);
--> statement-breakpoint
CREATE TABLE "run_note" (
	"id" uuid PRIMARY KEY NOT NULL,
	"run_id" uuid NOT NULL,
	"text" text NOT NULL,
	"at_ms" bigint,
	"person_id" uuid NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "clock_session" text;--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "device_id" uuid;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "lane" text;--> statement-breakpoint
ALTER TABLE "run" ADD COLUMN "bench" jsonb;--> statement-breakpoint
ALTER TABLE "bench_act" ADD CONSTRAINT "bench_act_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_note" ADD CONSTRAINT "run_note_run_id_run_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."run"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_note" ADD CONSTRAINT "run_note_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bench_act_by_run" ON "bench_act" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "run_note_by_run" ON "run_note" USING btree ("run_id");--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "run_one_a_lane" ON "run" USING btree ("lane") WHERE state in ('draft', 'live');