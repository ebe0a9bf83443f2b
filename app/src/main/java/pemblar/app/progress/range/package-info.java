/** What a range of days was made of, read, drawn, as tables and as files. */
package pemblar.app.progress.range;
