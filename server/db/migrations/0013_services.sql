CREATE TABLE "service_done" (
	"id" uuid PRIMARY KEY NOT NULL,
	"equipment_tag" text NOT NULL,
	"service_id" text NOT NULL,
	"name" text NOT NULL,
	"done_at" timestamp(3) with time zone NOT NULL,
	"done_by" uuid NOT NULL,
	"paper" jsonb,
	"hours" integer NOT NULL,
	"uses" jsonb NOT NULL,
	"note" text NOT NULL,
	"recorded_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	"withdrawn_at" timestamp(3) with time zone,
	"withdrawn_by" uuid
);
--> statement-breakpoint
ALTER TABLE "equipment" ADD COLUMN "uses" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "equipment_state" ADD COLUMN "last_overhaul_uses" jsonb;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "uses_at_open" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "service_done" ADD CONSTRAINT "service_done_equipment_tag_equipment_tag_fk" FOREIGN KEY ("equipment_tag") REFERENCES "public"."equipment"("tag") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "service_done" ADD CONSTRAINT "service_done_done_by_person_id_fk" FOREIGN KEY ("done_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "service_done" ADD CONSTRAINT "service_done_withdrawn_by_person_id_fk" FOREIGN KEY ("withdrawn_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "service_done_equipment_tag_service_id_done_at_index" ON "service_done" USING btree ("equipment_tag","service_id","done_at");