ALTER TABLE "reading" ADD COLUMN "nth" smallint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "reading" DROP CONSTRAINT "reading_job_id_check_id_cell_moment_pk";--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_check_id_cell_moment_nth_pk" PRIMARY KEY("job_id","check_id","cell","moment","nth");
