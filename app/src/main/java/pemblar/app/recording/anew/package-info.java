/** Recordings computed anew after a threshold changed, exactly those of its span. Start with RecomputationService. */
package pemblar.app.recording.anew;
