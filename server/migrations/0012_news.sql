CREATE TABLE "kept_pack" (
	"hash" text PRIMARY KEY NOT NULL,
	"doc" jsonb NOT NULL,
	"kept_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "command" ADD COLUMN "seq" bigserial NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "command_seq" ON "command" USING btree ("seq");