/** Athletes side by side: weeks, curves, and a stretch of a session of each. */
package pemblar.app.coach.beside;
