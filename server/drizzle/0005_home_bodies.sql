ALTER TABLE "homes" ADD COLUMN "body" jsonb;
--> statement-breakpoint
ALTER TABLE "homes" DROP CONSTRAINT "homes_water_in_tube";
--> statement-breakpoint
UPDATE "homes" SET "body" = jsonb_build_object(
  'outsideMm', "outside_mm", 'boreMm', "bore_mm", 'lengthMm', "length_mm", 'end', "end", 'waterLineMm', "water_line_mm",
  'plugs', jsonb_build_object('innerMm', "inner_plug_mm", 'outerMm', "outer_plug_mm"));
--> statement-breakpoint
ALTER TABLE "homes" ALTER COLUMN "body" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "outside_mm";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "bore_mm";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "length_mm";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "end";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "water_line_mm";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "inner_plug_mm";
--> statement-breakpoint
ALTER TABLE "homes" DROP COLUMN "outer_plug_mm";
--> statement-breakpoint
ALTER TABLE "homes" ADD CONSTRAINT "homes_water_in_tube" CHECK ("homes"."kind" <> 'tube' or ("homes"."body" ->> 'waterLineMm')::float8 between 0 and ("homes"."body" ->> 'lengthMm')::float8);
