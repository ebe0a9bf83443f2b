/** The first look at a new athlete, and what athlete and coach write about aims and history. */
package pemblar.app.coach.look;
