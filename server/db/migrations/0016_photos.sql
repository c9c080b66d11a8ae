CREATE TABLE "kept_photo" (
	"job_id" uuid NOT NULL,
	"equipment_tag" text NOT NULL,
	"photo" text NOT NULL,
	"sha256" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"on" jsonb,
	"words" text NOT NULL,
	"shapes" jsonb NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "kept_photo_job_id_photo_pk" PRIMARY KEY("job_id","photo")
);
--> statement-breakpoint
CREATE TABLE "picture_file" (
	"sha256" text PRIMARY KEY NOT NULL,
	"kept_sha256" text NOT NULL,
	"whole" "bytea" NOT NULL,
	"print" "bytea" NOT NULL,
	"thumb" "bytea" NOT NULL,
	"received_at" timestamp(3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "kept_photo" ADD CONSTRAINT "kept_photo_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kept_photo_equipment_tag_index" ON "kept_photo" USING btree ("equipment_tag");