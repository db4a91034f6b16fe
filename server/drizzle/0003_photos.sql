CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"queen_id" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"whole" "bytea" NOT NULL,
	"thumb" "bytea" NOT NULL
);
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_queen_id_queens_id_fk" FOREIGN KEY ("queen_id") REFERENCES "public"."queens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "photos_queen_at" ON "photos" USING btree ("queen_id","at");