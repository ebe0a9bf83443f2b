package pemblar.app.load;

import java.time.LocalDate;

/**
 * What a day holds, summed over its sessions; loads in points.
 *
 * @param openLoad planned load of sessions without a recording
 * @param withoutLoad recordings whose load cannot be computed
 * @param liftedDone strength's share of the done load; {@code liftedOpen} of the open one
 * @param liftedPlannedSeconds strength's share of the planned time
 */
public record DayLoad(
        long athleteId,
        LocalDate day,
        double plannedLoad,
        double doneLoad,
        double openLoad,
        long plannedSeconds,
        long doneSeconds,
        long withoutLoad,
        double liftedDone,
        double liftedOpen,
        long liftedPlannedSeconds) {
    /** A day without strength. */
    public DayLoad(
            long athleteId,
            LocalDate day,
            double plannedLoad,
            double doneLoad,
            double openLoad,
            long plannedSeconds,
            long doneSeconds,
            long withoutLoad) {
        this(athleteId, day, plannedLoad, doneLoad, openLoad, plannedSeconds, doneSeconds, withoutLoad, 0, 0, 0);
    }

    /** The same with other points done. */
    DayLoad plus(double points) {
        return new DayLoad(
                athleteId,
                day,
                plannedLoad,
                Math.max(0, doneLoad + points),
                openLoad,
                plannedSeconds,
                doneSeconds,
                withoutLoad,
                liftedDone,
                liftedOpen,
                liftedPlannedSeconds);
    }

    /** Both together, of the same day. */
    DayLoad with(DayLoad other) {
        return new DayLoad(
                athleteId,
                day,
                plannedLoad + other.plannedLoad,
                doneLoad + other.doneLoad,
                openLoad + other.openLoad,
                plannedSeconds + other.plannedSeconds,
                doneSeconds + other.doneSeconds,
                withoutLoad + other.withoutLoad,
                liftedDone + other.liftedDone,
                liftedOpen + other.liftedOpen,
                liftedPlannedSeconds + other.liftedPlannedSeconds);
    }

    /** The load that counts for the trend: done, and from today on also what is still open. */
    public double counting(LocalDate today) {
        return day.isBefore(today) ? doneLoad : doneLoad + openLoad;
    }
}
