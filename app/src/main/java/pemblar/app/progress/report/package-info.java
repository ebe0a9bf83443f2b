/** A range of days on one page, to print or to send. */
package pemblar.app.progress.report;
