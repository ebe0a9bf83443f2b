/** What is said of a season's aim: whether it can be met, and what the plan as it stands comes to. */
package pemblar.app.planner.aim;
