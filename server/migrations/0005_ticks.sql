ALTER TABLE "tick" ADD COLUMN "count" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "tick" ADD COLUMN "seq" bigserial NOT NULL;--> statement-breakpoint
UPDATE "tick" SET "count" = floor(extract(epoch from "at") * 1000);