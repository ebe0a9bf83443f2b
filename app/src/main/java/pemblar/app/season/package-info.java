/** Blocks and events: the plan from large to small. Start at {@link pemblar.app.season.PlanService}. */
package pemblar.app.season;
