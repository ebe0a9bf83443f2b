/**
 * The bytes of recordings, the file as it came and its channels: kept in the database or in a store of objects, moved
 * between them, and read by their hash. Start with RecordingBytes.
 */
package pemblar.app.recording.bytes;
