/**
 * FIT, the devices' published interchange protocol: our own codec. {@link pemblar.formats.fit.FitDecoder} knows the
 * container, {@link pemblar.formats.fit.FitActivity} recordings, {@link pemblar.formats.fit.FitWorkout} workouts.
 */
package pemblar.formats.fit;
