CREATE TABLE "watch_state" (
	"id" text PRIMARY KEY NOT NULL,
	"seen_at" timestamp (3) with time zone NOT NULL,
	"swept_at" timestamp (3) with time zone,
	"leap" bigint DEFAULT 0 NOT NULL
);
--> statement-breakpoint
DROP INDEX "message_waiting";--> statement-breakpoint
ALTER TABLE "command" ADD COLUMN "body_hash" text;--> statement-breakpoint
ALTER TABLE "deadline" ADD COLUMN "attempts" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "deadline" ADD COLUMN "next_try_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "deadline" ADD COLUMN "set_aside_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "deadline" ADD COLUMN "trouble" text;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "attempts" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "next_try_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "set_aside_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "trouble" text;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "passed_on_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "plan_event" ADD COLUMN "body_hash" text;--> statement-breakpoint
CREATE INDEX "deadline_done" ON "deadline" USING btree ("done_at");--> statement-breakpoint
CREATE INDEX "message_aside" ON "message" USING btree ("set_aside_at") WHERE "message"."set_aside_at" IS NOT NULL;--> statement-breakpoint
CREATE INDEX "message_by_household" ON "message" USING btree ("household","made_at");--> statement-breakpoint
UPDATE "plan" SET "is_open" = false WHERE "is_open" AND EXISTS (SELECT 1 FROM "plan" "newer" WHERE "newer"."trip" = "plan"."trip" AND "newer"."is_open" AND ("newer"."created_at", "newer"."id") > ("plan"."created_at", "plan"."id"));--> statement-breakpoint
CREATE UNIQUE INDEX "plan_open_once" ON "plan" USING btree ("trip") WHERE "plan"."is_open";--> statement-breakpoint
CREATE INDEX "message_waiting" ON "message" USING btree ("made_at") WHERE "message"."delivered_at" IS NULL;