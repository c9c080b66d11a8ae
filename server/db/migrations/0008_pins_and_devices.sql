CREATE TABLE "hours_read" (
	"id" uuid PRIMARY KEY NOT NULL,
	"equipment_tag" text NOT NULL,
	"hours" integer NOT NULL,
	"read_at" timestamp(3) with time zone NOT NULL,
	"read_by" uuid
);
--> statement-breakpoint
CREATE TABLE "known_device" (
	"person_id" uuid NOT NULL,
	"device_id" uuid NOT NULL,
	"known_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	"used_at" timestamp(3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "known_device_person_id_device_id_pk" PRIMARY KEY("person_id","device_id")
);
--> statement-breakpoint
CREATE TABLE "pin_attempt" (
	"key" text PRIMARY KEY NOT NULL,
	"wrong" integer NOT NULL,
	"opens_at" timestamp(3) with time zone NOT NULL,
	"last_at" timestamp(3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "request_limit" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
ALTER TABLE "site" ALTER COLUMN "pin_length" SET DEFAULT 6;--> statement-breakpoint
ALTER TABLE "device" ADD COLUMN "about" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "look" text;--> statement-breakpoint
UPDATE "person" SET "look" = lower("name");--> statement-breakpoint
ALTER TABLE "person" ALTER COLUMN "look" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "pin_is_own" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "admit_hash" text;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "admit_until" timestamp(3) with time zone;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "device_id" uuid;--> statement-breakpoint
ALTER TABLE "hours_read" ADD CONSTRAINT "hours_read_equipment_tag_equipment_tag_fk" FOREIGN KEY ("equipment_tag") REFERENCES "public"."equipment"("tag") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hours_read" ADD CONSTRAINT "hours_read_read_by_person_id_fk" FOREIGN KEY ("read_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "known_device" ADD CONSTRAINT "known_device_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "known_device" ADD CONSTRAINT "known_device_device_id_device_id_fk" FOREIGN KEY ("device_id") REFERENCES "public"."device"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "hours_read_equipment_tag_index" ON "hours_read" USING btree ("equipment_tag");--> statement-breakpoint
CREATE INDEX "session_started_at_index" ON "session" USING btree ("started_at");--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_look_unique" UNIQUE("look");