/** GPX 1.1 recordings, read by a library behind our own checks. Start at {@link pemblar.formats.gpx.GpxRecording}. */
package pemblar.formats.gpx;
