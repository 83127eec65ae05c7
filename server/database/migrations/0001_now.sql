CREATE TABLE "now_place" (
	"only" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"place_id" uuid
);
--> statement-breakpoint
CREATE TABLE "now_reading" (
	"quantity" text PRIMARY KEY NOT NULL,
	"value" double precision NOT NULL,
	"typed" text NOT NULL,
	"typed_unit" text NOT NULL,
	"read_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "now_place" ADD CONSTRAINT "now_place_place_id_place_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."place"("id") ON DELETE no action ON UPDATE no action;