CREATE TABLE "stock_items" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"tube" jsonb,
	"low_at" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stock_moves" (
	"id" uuid PRIMARY KEY NOT NULL,
	"item_id" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"delta" integer NOT NULL,
	"why" text NOT NULL,
	"queen_id" uuid
);
--> statement-breakpoint
ALTER TABLE "places" ADD COLUMN "spot" jsonb;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_item_id_stock_items_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_moves" ADD CONSTRAINT "stock_moves_queen_id_queens_id_fk" FOREIGN KEY ("queen_id") REFERENCES "public"."queens"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stock_moves_item" ON "stock_moves" USING btree ("item_id");