CREATE TABLE "feed" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"token_hash" text,
	"lanes" jsonb NOT NULL,
	"revoked_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "feed_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "ingest_batch" (
	"feed_id" uuid NOT NULL,
	"batch_id" text NOT NULL,
	"body_hash" text NOT NULL,
	"lines" integer NOT NULL,
	"ack" jsonb NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "ingest_batch_feed_id_batch_id_pk" PRIMARY KEY("feed_id","batch_id")
);
--> statement-breakpoint
ALTER TABLE "trace" ADD COLUMN "feed_id" uuid;--> statement-breakpoint
ALTER TABLE "ingest_batch" ADD CONSTRAINT "ingest_batch_feed_id_feed_id_fk" FOREIGN KEY ("feed_id") REFERENCES "public"."feed"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "ingest_batch_by_time" ON "ingest_batch" USING btree ("received_at");--> statement-breakpoint
ALTER TABLE "trace" ADD CONSTRAINT "trace_feed_id_feed_id_fk" FOREIGN KEY ("feed_id") REFERENCES "public"."feed"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_row_count" ON "run_row" USING btree ("origin","voided","day");--> statement-breakpoint
CREATE INDEX "run_row_of_setup" ON "run_row" USING btree ("setup","started_at","run_id");--> statement-breakpoint
CREATE INDEX "run_row_of_place" ON "run_row" USING btree ("place","started_at","run_id");--> statement-breakpoint
CREATE INDEX "run_row_thriftiest" ON "run_row" USING btree ("normalised_g_per_l","run_id");--> statement-breakpoint
CREATE INDEX "run_row_by_setup" ON "run_row" USING btree ("setup" collate "und-x-icu","run_id");