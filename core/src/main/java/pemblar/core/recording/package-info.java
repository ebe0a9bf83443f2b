/** What a device recorded: channels on a grid of timer seconds. Start at {@link pemblar.core.recording.Recording}. */
package pemblar.core.recording;
