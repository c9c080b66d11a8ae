CREATE TABLE "kept_look" (
	"job_id" uuid NOT NULL,
	"equipment_tag" text NOT NULL,
	"part_ref" text NOT NULL,
	"look_id" text NOT NULL,
	"findings" jsonb NOT NULL,
	"seen_from" text,
	"stands" boolean NOT NULL,
	"seen_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "kept_look_job_id_part_ref_look_id_pk" PRIMARY KEY("job_id","part_ref","look_id")
);
--> statement-breakpoint
ALTER TABLE "kept_look" ADD CONSTRAINT "kept_look_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kept_look_equipment_tag_index" ON "kept_look" USING btree ("equipment_tag");