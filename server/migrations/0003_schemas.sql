ALTER TABLE "plan_event" ADD COLUMN "schema" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "plan_version" ADD COLUMN "schema" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "trip_conditions" ADD COLUMN "schema" integer DEFAULT 1 NOT NULL;