/** The outline of a session, as small drawings show it. */
package pemblar.app.recording.outline;
