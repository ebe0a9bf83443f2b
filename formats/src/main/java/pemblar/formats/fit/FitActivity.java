package pemblar.formats.fit;

import static pemblar.core.recording.Channel.ALTITUDE;
import static pemblar.core.recording.Channel.CADENCE;
import static pemblar.core.recording.Channel.DISTANCE;
import static pemblar.core.recording.Channel.GROUND_CONTACT_TIME;
import static pemblar.core.recording.Channel.HEART_RATE;
import static pemblar.core.recording.Channel.LATITUDE;
import static pemblar.core.recording.Channel.LONGITUDE;
import static pemblar.core.recording.Channel.POWER;
import static pemblar.core.recording.Channel.SPEED;
import static pemblar.core.recording.Channel.STEP_LENGTH;
import static pemblar.core.recording.Channel.TEMPERATURE;
import static pemblar.core.recording.Channel.VERTICAL_OSCILLATION;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pemblar.core.recording.Grid;
import pemblar.core.recording.Grid.Running;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Samples;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;
import pemblar.formats.Reading;
import pemblar.formats.Reading.Problem;

/** Reads a FIT activity. A chain of files is one recording; the clock between two of them is a pause. */
public final class FitActivity implements FitDecoder.Sink {
    /** A record further than this from the middle one has a wrong clock. */
    private static final long CLOCK_SLACK_SECONDS = 5 * 86_400L;

    private final long earliest;
    private final long latest;
    private final Samples samples = new Samples();
    private final Samples.Column power = samples.column(POWER.key());
    private final Samples.Column heartRate = samples.column(HEART_RATE.key());
    private final Samples.Column cadence = samples.column(CADENCE.key());
    private final Samples.Column speed = samples.column(SPEED.key());
    private final Samples.Column distance = samples.column(DISTANCE.key());
    private final Samples.Column altitude = samples.column(ALTITUDE.key());
    private final Samples.Column temperature = samples.column(TEMPERATURE.key());
    private final Samples.Column latitude = samples.column(LATITUDE.key());
    private final Samples.Column longitude = samples.column(LONGITUDE.key());
    private final Samples.Column stepLength = samples.column(STEP_LENGTH.key());
    private final Samples.Column groundContact = samples.column(GROUND_CONTACT_TIME.key());
    private final Samples.Column oscillation = samples.column(VERTICAL_OSCILLATION.key());
    private final DeveloperFields developer = new DeveloperFields();
    private final List<Running> running = new ArrayList<>();
    private final List<long[]> laps = new ArrayList<>();
    private final PoolLengths lengths = new PoolLengths();
    private boolean recorded = true;
    private final Map<Sport, Double> sports = new LinkedHashMap<>();
    private final long origin;
    private double runningSince = Double.NaN;
    private boolean timerSeen;
    private int firstSampleOfFile;
    private int wrongClock;
    private int backwards;
    private int firstOdd = -1;

    private FitActivity(long origin, long earliest, long latest) {
        this.origin = origin;
        this.earliest = earliest;
        this.latest = latest;
    }

    /** @param sport what the file is to be read as; empty takes what it says itself */
    public static Reading read(byte[] bytes, Optional<Sport> sport) {
        long[] times = times(bytes, Profile.RECORD);
        boolean recorded = times.length > 0;
        if (!recorded) times = times(bytes, Profile.LENGTH);
        if (times.length == 0) return withoutRecords(bytes);
        long middle = times[times.length / 2];
        long first = Arrays.stream(times)
                .filter(t -> Math.abs(t - middle) <= CLOCK_SLACK_SECONDS)
                .findFirst()
                .orElse(middle);
        FitActivity activity = new FitActivity(first, middle - CLOCK_SLACK_SECONDS, middle + CLOCK_SLACK_SECONDS);
        activity.recorded = recorded;
        List<Problem> problems = new ArrayList<>(FitDecoder.decode(bytes, activity));
        return activity.reading(problems, sport);
    }

    private static long[] times(byte[] bytes, int message) {
        long[][] times = {new long[4096]};
        int[] count = {0};
        FitDecoder.glance(bytes, m -> {
            if (m.global() != message || m.timestamp() < 0) return;
            if (count[0] == times[0].length) times[0] = Arrays.copyOf(times[0], 2 * count[0]);
            times[0][count[0]++] = m.timestamp();
        });
        long[] sorted = Arrays.copyOf(times[0], count[0]);
        Arrays.sort(sorted);
        return sorted;
    }

    private static Reading withoutRecords(byte[] bytes) {
        List<Problem> problems = new ArrayList<>();
        problems.add(new Problem("", "the file holds no recorded seconds: choose an activity file", true));
        problems.addAll(FitDecoder.decode(bytes, message -> {}));
        return new Reading(Optional.empty(), problems);
    }

    @Override
    public void message(FitMessage message) {
        switch (message.global()) {
            case Profile.RECORD -> record(message);
            case Profile.EVENT -> event(message);
            case Profile.LAP -> lap(message);
            case Profile.LENGTH -> lengths.add(message, origin);
            case Profile.SESSION -> session(message);
            case Profile.SPORT -> sports.putIfAbsent(Profile.sport(message.whole(0), message.whole(1)), 0.0);
            case Profile.FIELD_DESCRIPTION -> developer.describe(message);
            default -> {}
        }
    }

    private void record(FitMessage m) {
        long time = m.timestamp();
        if (time < earliest || time > latest) {
            wrongClock++;
            odd(m);
            return;
        }
        if (!samples.open(time - origin)) {
            backwards++;
            odd(m);
            return;
        }
        power.put(m.number(7));
        double bpm = m.number(3);
        if (bpm > 0) heartRate.put(bpm); // 0 bpm is how a device says that the strap has no contact
        double fraction = m.number(53, 128, 0);
        cadence.put(m.number(4) + (Double.isNaN(fraction) ? 0 : fraction));
        speed.put(either(m.number(73, 1000, 0), m.number(6, 1000, 0)));
        distance.put(m.number(5, 100, 0));
        altitude.put(either(m.number(78, 5, 500), m.number(2, 5, 500)));
        temperature.put(m.number(13));
        latitude.put(m.number(0) * Profile.DEGREES_PER_SEMICIRCLE);
        longitude.put(m.number(1) * Profile.DEGREES_PER_SEMICIRCLE);
        stepLength.put(m.number(85, 10_000, 0));
        groundContact.put(m.number(41, 10_000, 0));
        oscillation.put(m.number(39, 10_000, 0));
        for (FitDefinition.DeveloperField field : m.developerFields()) {
            DeveloperFields.Described described = developer.of(field);
            if (described != null)
                samples.put(
                        described.channel(),
                        m.developer(field, described.type()) / described.scale() - described.offset());
        }
    }

    private void odd(FitMessage message) {
        if (firstOdd < 0) firstOdd = message.place();
    }

    private static double either(double first, double second) {
        return Double.isNaN(first) ? second : first;
    }

    private void event(FitMessage m) {
        if (m.whole(0) != Profile.EVENT_TIMER || m.timestamp() < earliest || m.timestamp() > latest) return;
        double clock = m.timestamp() - origin;
        switch ((int) m.whole(1)) {
            case 0 -> timerStarts(clock);
            case 1, 4, 8, 9 -> timerStops(clock);
            default -> {}
        }
    }

    private void timerStarts(double clock) {
        boolean first = !timerSeen && samples.count() > firstSampleOfFile;
        timerSeen = true;
        if (Double.isNaN(runningSince))
            runningSince = first ? Math.min(clock, samples.secondsAt(firstSampleOfFile)) : clock;
    }

    private void timerStops(double clock) {
        if (!timerSeen && samples.count() > firstSampleOfFile) runningSince = samples.secondsAt(firstSampleOfFile);
        timerSeen = true;
        if (!Double.isNaN(runningSince)) ran(runningSince, clock);
        runningSince = Double.NaN;
    }

    private void ran(double start, double stop) {
        Running last = running.isEmpty() ? null : running.get(running.size() - 1);
        if (stop < start || last != null && stop <= last.stop()) return;
        if (last != null && start <= last.stop()) running.set(running.size() - 1, new Running(last.start(), stop));
        else running.add(new Running(start, stop));
    }

    @Override
    public void fileEnds() {
        if (!recorded) lengths.mark(samples);
        boolean any = samples.count() > firstSampleOfFile;
        double last = any ? samples.secondsAt(samples.count() - 1) : Double.NaN;
        if (!timerSeen && any) ran(samples.secondsAt(firstSampleOfFile), last);
        if (!Double.isNaN(runningSince) && any && last >= runningSince) ran(runningSince, last);
        runningSince = Double.NaN;
        timerSeen = false;
        firstSampleOfFile = samples.count();
    }

    private void lap(FitMessage m) {
        if (m.timestamp() < earliest || m.timestamp() > latest) return;
        long start = m.whole(2);
        if (start < earliest) start = laps.isEmpty() ? origin : laps.get(laps.size() - 1)[1];
        double step = m.number(71);
        laps.add(new long[] {start, m.timestamp(), Double.isNaN(step) || step > 65_534 ? Lap.NO_STEP : (long) step});
        double sport = m.number(25);
        if (!Double.isNaN(sport)) sports.putIfAbsent(Profile.sport((long) sport), 0.0);
    }

    private void session(FitMessage m) {
        double sport = m.number(5);
        double seconds = m.number(8, 1000, 0);
        if (!Double.isNaN(sport))
            sports.merge(Profile.sport((long) sport, m.whole(6)), Double.isNaN(seconds) ? 1 : seconds, Double::sum);
        lengths.pool(m.number(44, 100, 0));
    }

    private Reading reading(List<Problem> problems, Optional<Sport> wanted) {
        remark(problems, wrongClock, " records have a clock days away from the others and were left out", true);
        remark(problems, backwards, " records go back in time and were left out", true);
        if (running.isEmpty()) return refused(problems, "the timer never ran while something was recorded");
        Sport sport = wanted.orElseGet(this::longestSport);
        if (sports.values().stream().filter(s -> s > 0).count() > 1)
            problems.add(new Problem("", "the file holds more than one sport; it was read as " + sport.key(), false));
        if (sport.countsSteps()) samples.multiply(CADENCE.key(), 2);
        try {
            Grid grid = new Grid(samples, running);
            remark(
                    problems,
                    grid.leftOut(),
                    " records were taken while the timer stood still and were left out",
                    false);
            return new Reading(
                    Optional.of(new Recording(
                            sport,
                            Profile.instant(origin).plusSeconds((long) grid.startSeconds()),
                            grid.seconds(),
                            grid.pauses(),
                            channels(grid, sport),
                            laps(grid))),
                    problems);
        } catch (IllegalArgumentException e) {
            return refused(problems, e.getMessage());
        }
    }

    private Map<String, Series> channels(Grid grid, Sport sport) {
        return sport.restsBetween() && lengths.tellsDistance() ? lengths.over(grid.channels(), grid) : grid.channels();
    }

    private static Reading refused(List<Problem> problems, String why) {
        problems.add(0, new Problem("", why, true));
        return new Reading(Optional.empty(), problems);
    }

    private void remark(List<Problem> problems, int count, String text, boolean damage) {
        if (count > 0)
            problems.add(new Problem(firstOdd >= 0 && damage ? "byte " + firstOdd : "", count + text, damage));
    }

    private Sport longestSport() {
        return sports.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(Sport.OTHER);
    }

    private List<Lap> laps(Grid grid) {
        laps.sort((a, b) -> Long.compare(a[0], b[0]));
        List<Lap> onGrid = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < laps.size(); i++) {
            if (i == 0) from = grid.indexAt(laps.get(0)[0] - origin);
            boolean last = i == laps.size() - 1;
            int to = last ? grid.seconds() : Math.max(from, grid.indexAt(laps.get(i + 1)[0] - origin));
            onGrid.add(new Lap(from, to, (int) laps.get(i)[2]));
            from = to;
        }
        return onGrid;
    }
}
