CREATE TABLE "probe_tokens" (
	"probe_id" uuid PRIMARY KEY NOT NULL,
	"hash" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "probes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"body" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reading_days" (
	"probe_id" uuid NOT NULL,
	"day" integer NOT NULL,
	"n" integer NOT NULL,
	"temp_min" integer,
	"temp_mean" double precision,
	"temp_max" integer,
	"rh_min" integer,
	"rh_mean" double precision,
	"rh_max" integer,
	"hours" "bytea" NOT NULL,
	"readings" "bytea" NOT NULL,
	CONSTRAINT "reading_days_probe_id_day_pk" PRIMARY KEY("probe_id","day")
);
--> statement-breakpoint
ALTER TABLE "probe_tokens" ADD CONSTRAINT "probe_tokens_probe_id_probes_id_fk" FOREIGN KEY ("probe_id") REFERENCES "public"."probes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_days" ADD CONSTRAINT "reading_days_probe_id_probes_id_fk" FOREIGN KEY ("probe_id") REFERENCES "public"."probes"("id") ON DELETE no action ON UPDATE no action;