package pemblar.app.today;

import java.util.List;
import pemblar.app.plan.row.BoardRow.SlabView;
import pemblar.app.session.Described;
import pemblar.app.session.Slab;
import pemblar.app.sky.SkyHour;
import pemblar.app.workout.SheetLine;
import pemblar.core.schedule.Purpose;

/**
 * One session of today as it is read with a thumb.
 *
 * @param steps each with its watts, beats or pace; empty for a sketch, or while a threshold is missing
 * @param missing what is missing for the steps to have their figures; null when nothing is
 * @param sky the hours of the session as far as they were told
 * @param effort as it was felt, 0 to 10; null when nobody said
 */
public record TodaySession(
        SlabView view, List<SheetLine> steps, String missing, List<SkyHour> sky, Described described, Double effort) {
    private static final int LONG_SECONDS = 7200;

    public Slab slab() {
        return view.slab();
    }

    public boolean isDone() {
        return slab().done() != null;
    }

    /** Where it is done: a strength session on the floor, all else on its own page. */
    public String page() {
        return slab().id() + (slab().sport().isLifted() ? "/floor" : "");
    }

    /** What it is for, in a sentence. */
    public String why() {
        Purpose purpose = slab().purpose();
        if (purpose == null) return "";
        return switch (purpose) {
            case RECOVERY -> "It only keeps you moving: easier than easy is right.";
            case EASY -> "It adds hours without cost: you could talk all the way.";
            case LONG -> "It is for lasting: the hours count, not the pace.";
            case TEMPO -> "It is for holding a brisk effort for long; steady beats fast.";
            case THRESHOLD -> "It is for the effort that you can just about hold for an hour.";
            case INTERVALS -> "It is for the hardest minutes that you can repeat: the last one like the first.";
            case SPRINTS -> "It is for speed: each one fresh, and the breaks as long as they are.";
            case RACE -> "It is the day itself.";
            case OUTING -> "It is for joy; the load counts all the same.";
            case WAY_TO_WORK -> "It gets you there, and counts.";
            case STRENGTH -> "It is for strength that the other days draw on.";
        };
    }

    /** When the sky is told for: nobody knows the hour of a session without a clock time. */
    public String skyWhen() {
        return slab().startMinute() == null ? "At noon" : "At its hour";
    }

    /** The sky at its hour in words; empty when nothing was told. */
    public String skyWords() {
        return sky.isEmpty() ? "" : sky.get(0).words();
    }

    /** Long enough that the weather at its start does not say how it ends. */
    public boolean isLong() {
        return slab().longestSeconds() > LONG_SECONDS && sky.size() > 2;
    }

    /** Equipment and surface as they were described, in one line. */
    public String with() {
        String joined = described.equipment() + (described.surface().isEmpty() ? "" : ", " + described.surface());
        return joined.startsWith(", ") ? joined.substring(2) : joined;
    }
}
