ALTER TABLE "household" ADD COLUMN "club" uuid;--> statement-breakpoint
ALTER TABLE "plan" ADD COLUMN "club" uuid;--> statement-breakpoint
CREATE INDEX "plan_by_club" ON "plan" USING btree ("club","is_open") WHERE "plan"."club" IS NOT NULL;