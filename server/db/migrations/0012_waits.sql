CREATE TABLE "wait" (
	"job_id" uuid NOT NULL,
	"step_id" text NOT NULL,
	"step" text NOT NULL,
	"what" text NOT NULL,
	"since" timestamp(3) with time zone NOT NULL,
	"least_at" timestamp(3) with time zone,
	"most_at" timestamp(3) with time zone,
	CONSTRAINT "wait_job_id_step_id_pk" PRIMARY KEY("job_id","step_id")
);
--> statement-breakpoint
ALTER TABLE "wait" ADD CONSTRAINT "wait_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;