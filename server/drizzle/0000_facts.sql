CREATE TABLE "entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"queen_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp(3) with time zone NOT NULL,
	"logged_at" timestamp(3) with time zone NOT NULL,
	"received_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	"amends" uuid,
	"species_id" text,
	"body" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "homes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"outside_mm" double precision NOT NULL,
	"bore_mm" double precision NOT NULL,
	"length_mm" double precision NOT NULL,
	"end" text NOT NULL,
	"water_line_mm" double precision NOT NULL,
	"inner_plug_mm" double precision NOT NULL,
	"outer_plug_mm" double precision NOT NULL,
	"set_up_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "homes_water_in_tube" CHECK ("homes"."water_line_mm" >= 0 and "homes"."water_line_mm" <= "homes"."length_mm")
);
--> statement-breakpoint
CREATE TABLE "places" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"temp_c" double precision NOT NULL,
	"room_rel_humidity" double precision NOT NULL,
	"winter_until" timestamp(3) with time zone,
	"winter_then_temp_c" double precision
);
--> statement-breakpoint
CREATE TABLE "queens" (
	"id" uuid PRIMARY KEY NOT NULL,
	"label" text NOT NULL,
	"batch" text DEFAULT '' NOT NULL,
	"home_id" uuid NOT NULL,
	"place_id" uuid NOT NULL,
	"looking_school" text,
	"created_at" timestamp(3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"key" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "species_profiles" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"profile" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_queen_id_queens_id_fk" FOREIGN KEY ("queen_id") REFERENCES "public"."queens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_species_id_species_profiles_id_fk" FOREIGN KEY ("species_id") REFERENCES "public"."species_profiles"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_amends" FOREIGN KEY ("amends") REFERENCES "public"."entries"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "queens" ADD CONSTRAINT "queens_home_id_homes_id_fk" FOREIGN KEY ("home_id") REFERENCES "public"."homes"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "queens" ADD CONSTRAINT "queens_place_id_places_id_fk" FOREIGN KEY ("place_id") REFERENCES "public"."places"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entries_queen_at" ON "entries" USING btree ("queen_id","at");--> statement-breakpoint
CREATE INDEX "entries_amends_idx" ON "entries" USING btree ("amends");--> statement-breakpoint
CREATE INDEX "queens_home" ON "queens" USING btree ("home_id");--> statement-breakpoint
CREATE INDEX "queens_place" ON "queens" USING btree ("place_id");