/**
 * The rules of the job, true on paper: pure Java, no framework, no I/O, no clock of its own. All quantities are SI,
 * plus beats per minute and revolutions (or steps) per minute. Missing values are NaN; a zero is a measured zero.
 */
package pemblar.core;
