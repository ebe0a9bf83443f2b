/** The plan for programs: days, changes, blocks and settings. */
package pemblar.app.program.plan;
