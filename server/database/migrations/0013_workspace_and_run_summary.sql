ALTER TABLE "bench" RENAME TO "workspace";--> statement-breakpoint
ALTER TABLE "workspace" RENAME CONSTRAINT "bench_one_row" TO "workspace_one_row";--> statement-breakpoint
ALTER TABLE "run_row" RENAME TO "run_summary";--> statement-breakpoint
ALTER TABLE "run_summary" RENAME CONSTRAINT "run_row_run_id_run_id_fk" TO "run_summary_run_id_run_id_fk";--> statement-breakpoint
ALTER INDEX "run_row_by_start" RENAME TO "run_summary_by_start";--> statement-breakpoint
ALTER INDEX "run_row_of_mean" RENAME TO "run_summary_of_mean";--> statement-breakpoint
ALTER INDEX "run_row_stale" RENAME TO "run_summary_stale";--> statement-breakpoint
ALTER INDEX "run_row_words" RENAME TO "run_summary_words";--> statement-breakpoint
ALTER INDEX "run_row_tags" RENAME TO "run_summary_tags";--> statement-breakpoint
ALTER INDEX "run_row_count" RENAME TO "run_summary_count";--> statement-breakpoint
ALTER INDEX "run_row_of_setup" RENAME TO "run_summary_of_setup";--> statement-breakpoint
ALTER INDEX "run_row_of_place" RENAME TO "run_summary_of_place";--> statement-breakpoint
ALTER INDEX "run_row_thriftiest" RENAME TO "run_summary_thriftiest";--> statement-breakpoint
ALTER INDEX "run_row_by_setup" RENAME TO "run_summary_by_setup";--> statement-breakpoint
ALTER INDEX "run_row_of_person" RENAME TO "run_summary_of_person";
