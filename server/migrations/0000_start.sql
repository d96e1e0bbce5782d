CREATE TABLE "command" (
	"id" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"device" uuid NOT NULL,
	"thing" uuid NOT NULL,
	"version" integer NOT NULL,
	"touches" jsonb NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "contact_token" (
	"hash" text PRIMARY KEY NOT NULL,
	"plan" uuid NOT NULL,
	"contact" uuid NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"opened_at" timestamp (3) with time zone,
	"ends_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "deadline" (
	"id" uuid PRIMARY KEY NOT NULL,
	"plan" uuid NOT NULL,
	"kind" text NOT NULL,
	"due_at" timestamp (3) with time zone NOT NULL,
	"promised_at" timestamp (3) with time zone,
	"is_open" boolean NOT NULL,
	"done_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "device" (
	"id" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"name" text NOT NULL,
	"person" uuid,
	"created_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "household" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "message" (
	"id" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"plan" uuid NOT NULL,
	"contact" uuid,
	"to_name" text NOT NULL,
	"phone" text,
	"kind" text NOT NULL,
	"text" text NOT NULL,
	"link" text,
	"made_at" timestamp (3) with time zone NOT NULL,
	"delivered_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "phone_call" (
	"key" uuid PRIMARY KEY NOT NULL,
	"to_name" text NOT NULL,
	"phone" text,
	"text" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "plan" (
	"id" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"trip" uuid NOT NULL,
	"title" text NOT NULL,
	"zone" text NOT NULL,
	"version" integer NOT NULL,
	"is_open" boolean NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"updated_at" timestamp (3) with time zone NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "plan_event" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"plan" uuid NOT NULL,
	"kind" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"made_at" timestamp (3) with time zone,
	"data" jsonb NOT NULL,
	"hash" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "plan_version" (
	"plan" uuid NOT NULL,
	"version" integer NOT NULL,
	"inputs" jsonb NOT NULL,
	"assessment" jsonb NOT NULL,
	"sheet" jsonb NOT NULL,
	"contacts" jsonb NOT NULL,
	"skipper" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "plan_version_plan_version_pk" PRIMARY KEY("plan","version")
);
--> statement-breakpoint
CREATE TABLE "thing" (
	"id" uuid PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"type" text NOT NULL,
	"version" integer NOT NULL,
	"schema" integer NOT NULL,
	"doc" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"updated_at" timestamp (3) with time zone NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "tick" (
	"household" uuid NOT NULL,
	"list" text NOT NULL,
	"item" text NOT NULL,
	"device" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"is_on" boolean NOT NULL,
	CONSTRAINT "tick_household_list_item_device_pk" PRIMARY KEY("household","list","item","device")
);
--> statement-breakpoint
CREATE INDEX "command_by_thing" ON "command" USING btree ("thing","version");--> statement-breakpoint
CREATE INDEX "contact_token_by_plan" ON "contact_token" USING btree ("plan");--> statement-breakpoint
CREATE INDEX "deadline_due" ON "deadline" USING btree ("is_open","due_at");--> statement-breakpoint
CREATE INDEX "deadline_by_plan" ON "deadline" USING btree ("plan");--> statement-breakpoint
CREATE INDEX "message_waiting" ON "message" USING btree ("delivered_at");--> statement-breakpoint
CREATE INDEX "message_by_plan" ON "message" USING btree ("plan");--> statement-breakpoint
CREATE INDEX "plan_by_household" ON "plan" USING btree ("household","is_open");--> statement-breakpoint
CREATE UNIQUE INDEX "plan_event_once" ON "plan_event" USING btree ("id");--> statement-breakpoint
CREATE INDEX "plan_event_by_plan" ON "plan_event" USING btree ("plan","seq");--> statement-breakpoint
CREATE INDEX "thing_by_household" ON "thing" USING btree ("household","type");