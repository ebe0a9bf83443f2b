/**
 * Recordings: taken in, stored, corrected, summarised, and which of their loads counts. A recording knows its athlete
 * and day, never a session: what is planned for it is asked through PlannedFor, and others read the view "recorded".
 * Start with RecordingService.
 */
package pemblar.app.recording;
