CREATE TABLE "kept_fact" (
	"job_id" uuid NOT NULL,
	"equipment_tag" text NOT NULL,
	"fact_id" text NOT NULL,
	"text" text NOT NULL,
	"read_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "kept_fact_job_id_fact_id_pk" PRIMARY KEY("job_id","fact_id")
);
--> statement-breakpoint
ALTER TABLE "kept_fact" ADD CONSTRAINT "kept_fact_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kept_fact_equipment_tag_index" ON "kept_fact" USING btree ("equipment_tag");