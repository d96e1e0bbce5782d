CREATE TABLE "guest_token" (
	"hash" text PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"person" uuid NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"ends_at" timestamp (3) with time zone NOT NULL,
	"used_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "session" (
	"hash" text PRIMARY KEY NOT NULL,
	"household" uuid NOT NULL,
	"name" text NOT NULL,
	"device" uuid,
	"person" uuid,
	"created_at" timestamp (3) with time zone NOT NULL,
	"seen_at" timestamp (3) with time zone NOT NULL,
	"ended_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE INDEX "guest_by_person" ON "guest_token" USING btree ("household","person");--> statement-breakpoint
CREATE INDEX "session_by_household" ON "session" USING btree ("household");