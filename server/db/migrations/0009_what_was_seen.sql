ALTER TABLE "entry" ADD COLUMN "seen" integer;--> statement-breakpoint
ALTER TABLE "entry" ADD COLUMN "tablet" uuid;--> statement-breakpoint
ALTER TABLE "entry" ADD COLUMN "clock_behind_ms" integer;--> statement-breakpoint
ALTER TABLE "entry" ADD COLUMN "clock_measured_at" timestamp(3) with time zone;