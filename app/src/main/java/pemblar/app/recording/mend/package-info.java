/**
 * What a person takes out of a recording: corrections, and efforts that do not count. Recordings as they count are read
 * here. Start with Corrections.
 */
package pemblar.app.recording.mend;
