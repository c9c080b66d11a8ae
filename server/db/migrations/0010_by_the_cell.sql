ALTER TABLE "reading" ADD COLUMN "cell" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "reading" DROP CONSTRAINT "reading_job_id_check_id_moment_pk";--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_check_id_cell_moment_pk" PRIMARY KEY("job_id","check_id","cell","moment");
