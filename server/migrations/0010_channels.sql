CREATE TABLE "channel_state" (
	"name" text PRIMARY KEY NOT NULL,
	"worked_at" timestamp (3) with time zone,
	"failed_at" timestamp (3) with time zone,
	"trouble" text
);
--> statement-breakpoint
CREATE TABLE "push_subscription" (
	"hash" text PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"device" uuid,
	"endpoint" text NOT NULL,
	"p256dh" text NOT NULL,
	"auth" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"ended_at" timestamp (3) with time zone
);
--> statement-breakpoint
ALTER TABLE "contact_token" ADD COLUMN "message" uuid;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "mail" text;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "channel" text;--> statement-breakpoint
ALTER TABLE "message" ADD COLUMN "via" text;--> statement-breakpoint
CREATE INDEX "push_by_household" ON "push_subscription" USING btree ("household");--> statement-breakpoint
CREATE INDEX "contact_token_by_message" ON "contact_token" USING btree ("message");--> statement-breakpoint
CREATE INDEX "message_unanswered" ON "message" USING btree ("delivered_at") WHERE "message"."passed_on_at" IS NULL AND "message"."contact" IS NOT NULL AND "message"."kind" IN ('overdue', 'alarm', 'unreached', 'unanswered', 'trouble', 'trouble.by');