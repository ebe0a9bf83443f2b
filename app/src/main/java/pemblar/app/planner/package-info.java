/**
 * The season page: plans the season from its aim, and lets it be changed by hand. Start at
 * {@link pemblar.app.planner.season.SeasonController}.
 */
package pemblar.app.planner;
