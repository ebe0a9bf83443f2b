/** What an event demands and what it is made of, held against what the athlete has shown. */
package pemblar.app.planner.demand;
