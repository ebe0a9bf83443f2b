package pemblar.core.season;

import java.time.LocalDate;
import pemblar.core.season.Layout.Piece;

/**
 * What each planned day is: an event's, away, or one to train on. A day can be trained when it is no event's and not
 * away, or away with hours left.
 */
final class Days {
    /** A loading block measures what follows when this share of its days can be trained. */
    private static final double MEASURE = 0.8;

    private final Ask ask;
    private final double[] eventLoads;
    private final boolean[] event;
    private final boolean[] away;
    private final double[] hours;

    Days(Ask ask) {
        this.ask = ask;
        this.eventLoads = new double[ask.days()];
        this.event = new boolean[ask.days()];
        this.away = new boolean[ask.days()];
        this.hours = new double[ask.days()];
        for (Event e : ask.events()) for (int i = 0; i < e.days(); i++) mark(index(e.day()) + i, e.loadOn(i));
        for (int i = 0; i < hours.length; i++) {
            LocalDate day = ask.first().plusDays(i);
            away[i] = ask.hours().isAway(day);
            hours[i] = ask.hours().on(day);
        }
    }

    private void mark(int index, double load) {
        if (index < 0 || index >= event.length) return;
        event[index] = true;
        eventLoads[index] += load;
    }

    private int index(LocalDate day) {
        return (int) (day.toEpochDay() - ask.first().toEpochDay());
    }

    double eventLoad(int day) {
        return eventLoads[day];
    }

    /** Hours that can be trained on a day; none on an event's. */
    double hours(int day) {
        return event[day] ? 0 : hours[day];
    }

    boolean isTrainable(int day) {
        return !event[day] && hours[day] > 0;
    }

    int trainable(Piece piece) {
        int count = 0;
        for (int i = piece.from(); i < piece.end(); i++) if (isTrainable(i)) count++;
        return count;
    }

    double hours(Piece piece) {
        double sum = 0;
        for (int i = piece.from(); i < piece.end(); i++) sum += hours(i);
        return sum;
    }

    /** Share of a piece's days that are no event's and not away at all. */
    double fullShare(Piece piece) {
        int count = 0;
        for (int i = piece.from(); i < piece.end(); i++) if (!event[i] && !away[i] && hours[i] > 0) count++;
        return (double) count / piece.days();
    }

    boolean isMeasure(Piece piece) {
        return piece.isLoading() && fullShare(piece) >= MEASURE - 1e-9;
    }
}
