/** The power-duration curve: best efforts, models, and what to test next. */
package pemblar.app.evidence.curve;
