/**
 * Repetitions of one effort: found in a recording, measured one by one, and what changes over them. Start at
 * {@link pemblar.core.repetition.RepetitionSet}.
 */
package pemblar.core.repetition;
