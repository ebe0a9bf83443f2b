package pemblar.app.season;

import pemblar.core.sport.Sport;

/**
 * A stage of an event, or one of several sports of a day of it; what is not known is null.
 *
 * @param stage the day of the event, from 1
 * @param seconds how long it is expected to take
 * @param load points that it is expected to cost, where somebody said so; else its time tells
 */
public record EventPart(int stage, Sport sport, Double metres, Integer seconds, Double load) {
    private static final int MOST_STAGES = 28;

    public EventPart {
        if (stage < 1 || stage > MOST_STAGES)
            throw new IllegalArgumentException("Stage: enter a day of the event, 1 to 28.");
        if (metres == null && seconds == null && load == null)
            throw new IllegalArgumentException("Part: enter at least its distance, its time or its load.");
    }
}
