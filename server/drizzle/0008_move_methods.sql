ALTER TABLE "queens" ADD COLUMN "light_school" text;--> statement-breakpoint
ALTER TABLE "queens" ADD COLUMN "patience_school" text;