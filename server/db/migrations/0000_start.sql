CREATE TYPE "public"."role" AS ENUM('fitter', 'lead', 'planner', 'stores', 'reader');--> statement-breakpoint
CREATE TYPE "public"."verdict" AS ENUM('Holds', 'Thin', 'Out', 'Open');--> statement-breakpoint
CREATE TABLE "api_key" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"hash" text NOT NULL,
	"made_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "api_key_name_unique" UNIQUE("name"),
	CONSTRAINT "api_key_hash_unique" UNIQUE("hash")
);
--> statement-breakpoint
CREATE TABLE "area" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"position" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "build_sheet" (
	"id" text NOT NULL,
	"version" integer NOT NULL,
	"body" jsonb NOT NULL,
	CONSTRAINT "build_sheet_id_version_pk" PRIMARY KEY("id","version")
);
--> statement-breakpoint
CREATE TABLE "device" (
	"id" uuid PRIMARY KEY NOT NULL,
	"known_at" timestamp(3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "entry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"seq" integer NOT NULL,
	"kind" text NOT NULL,
	"payload" jsonb NOT NULL,
	"act" uuid NOT NULL,
	"made_by" uuid NOT NULL,
	"role" "role" NOT NULL,
	"made_at" timestamp(3) with time zone NOT NULL,
	"received_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	"corrects" uuid,
	CONSTRAINT "entry_jobId_seq_unique" UNIQUE("job_id","seq")
);
--> statement-breakpoint
CREATE TABLE "equipment" (
	"tag" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"area_id" text NOT NULL,
	"line" text NOT NULL,
	"sheet_id" text NOT NULL,
	"variants" jsonb NOT NULL,
	"hours_run" integer NOT NULL,
	"hours_per_week" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "equipment_state" (
	"equipment_tag" text PRIMARY KEY NOT NULL,
	"open_job_id" uuid,
	"open_job_number" integer,
	"last_overhaul_at" timestamp(3) with time zone,
	"last_overhaul_hours" integer,
	"worst_check" text,
	"worst_verdict" "verdict",
	"worst_share" double precision
);
--> statement-breakpoint
CREATE TABLE "fitted_part" (
	"job_id" uuid NOT NULL,
	"equipment_tag" text NOT NULL,
	"part_ref" text NOT NULL,
	"as_new" boolean NOT NULL,
	"batch" text,
	"fitted_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "fitted_part_job_id_part_ref_pk" PRIMARY KEY("job_id","part_ref")
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"number" serial NOT NULL,
	"equipment_tag" text NOT NULL,
	"sheet_id" text NOT NULL,
	"sheet_version" integer NOT NULL,
	"variants" jsonb NOT NULL,
	"complaint" text NOT NULL,
	"hours_at_open" integer NOT NULL,
	"opened_at" timestamp(3) with time zone NOT NULL,
	"signed_at" timestamp(3) with time zone,
	"cancelled_at" timestamp(3) with time zone,
	"last_seq" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "job_number_unique" UNIQUE("number")
);
--> statement-breakpoint
CREATE TABLE "person" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"role" "role" NOT NULL,
	"pin_hash" text NOT NULL,
	"active" boolean DEFAULT true NOT NULL,
	CONSTRAINT "person_name_unique" UNIQUE("name")
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"job_id" uuid NOT NULL,
	"equipment_tag" text NOT NULL,
	"check_id" text NOT NULL,
	"moment" text NOT NULL,
	"value" double precision NOT NULL,
	"least" double precision NOT NULL,
	"greatest" double precision NOT NULL,
	"verdict" "verdict" NOT NULL,
	"share" double precision,
	"stands" boolean NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "reading_job_id_check_id_moment_pk" PRIMARY KEY("job_id","check_id","moment")
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"started_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	"ended_at" timestamp(3) with time zone
);
--> statement-breakpoint
CREATE TABLE "sign_in_limit" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer NOT NULL,
	"expire" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "site" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL,
	"name" text NOT NULL,
	"ledger_format" integer NOT NULL,
	"pin_length" integer DEFAULT 4 NOT NULL,
	"code_hash" text,
	"backups_kept" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "stock_movement" (
	"entry_id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"part_ref" text NOT NULL,
	"taken_from" text NOT NULL,
	"quantity" integer NOT NULL,
	"moved_at" timestamp(3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry" ADD CONSTRAINT "entry_made_by_person_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment" ADD CONSTRAINT "equipment_area_id_area_id_fk" FOREIGN KEY ("area_id") REFERENCES "public"."area"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "equipment_state" ADD CONSTRAINT "equipment_state_equipment_tag_equipment_tag_fk" FOREIGN KEY ("equipment_tag") REFERENCES "public"."equipment"("tag") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "fitted_part" ADD CONSTRAINT "fitted_part_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_equipment_tag_equipment_tag_fk" FOREIGN KEY ("equipment_tag") REFERENCES "public"."equipment"("tag") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_movement" ADD CONSTRAINT "stock_movement_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "fitted_part_equipment_tag_part_ref_index" ON "fitted_part" USING btree ("equipment_tag","part_ref");--> statement-breakpoint
CREATE INDEX "job_equipment_tag_index" ON "job" USING btree ("equipment_tag");--> statement-breakpoint
CREATE INDEX "reading_equipment_tag_check_id_index" ON "reading" USING btree ("equipment_tag","check_id");--> statement-breakpoint
CREATE INDEX "session_person_id_index" ON "session" USING btree ("person_id");