/** Runs of workouts over days or weeks: made from a stretch of the board, put on any athlete's board. */
package pemblar.app.template;
