/**
 * Open file formats in and out; unit conversion happens here, at the edge. Start at
 * {@link pemblar.formats.RecordingFiles}.
 */
package pemblar.formats;
