package pemblar.core.mending;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import pemblar.core.mending.Mending.Kept;
import pemblar.core.recording.Channel;
import pemblar.core.recording.Lap;
import pemblar.core.recording.Pause;
import pemblar.core.recording.Recording;
import pemblar.core.recording.Series;
import pemblar.core.sport.Sport;

/** Whatever is corrected: the original stays, the rest is a sound recording, and what no edit touches is as it was. */
class MendingPropertyTest {
    private static Recording any(Random random) {
        int seconds = 20 + random.nextInt(300);
        Map<String, Series> channels = new LinkedHashMap<>();
        channels.put("power", noisy(random, seconds, 300));
        channels.put("heartRate", noisy(random, seconds, 180));
        double[] metres = new double[seconds];
        for (int i = 1; i < seconds; i++) metres[i] = metres[i - 1] + random.nextInt(12);
        channels.put("distance", Series.of(metres));
        List<Pause> pauses = random.nextBoolean() ? List.of() : List.of(new Pause(1 + random.nextInt(seconds - 1), 30));
        int lap = 1 + random.nextInt(seconds - 1);
        return new Recording(
                Sport.RIDE,
                Instant.EPOCH,
                seconds,
                pauses,
                channels,
                List.of(new Lap(0, lap, 0), new Lap(lap, seconds, 1)));
    }

    private static Series noisy(Random random, int seconds, int most) {
        double[] values = new double[seconds];
        for (int i = 0; i < seconds; i++) values[i] = random.nextInt(12) == 0 ? Double.NaN : random.nextInt(most);
        return Series.of(values);
    }

    private static Edit edit(Random random, int seconds) {
        int from = random.nextInt(seconds);
        int to = from + 1 + random.nextInt(seconds - from + 40);
        String channel = random.nextBoolean() ? "power" : "heartRate";
        return switch (random.nextInt(4)) {
            case 0 -> new Edit.Trim(from, to);
            case 1 -> new Edit.Hide(channel, from, to);
            case 2 -> new Edit.Bridge(channel, from, to);
            default -> new Edit.Replace(channel, noisy(random, seconds, 200), from, to);
        };
    }

    private static List<Edit> edits(Random random, int seconds) {
        List<Edit> all = new ArrayList<>();
        for (int i = random.nextInt(6); i >= 0; i--) all.add(edit(random, seconds));
        return all;
    }

    @Property(tries = 300)
    void theRestIsASoundRecordingOfTheSecondsThatWereKept(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Recording original = any(random);
        Recording copy = any(new Random(seed));
        List<Edit> edits = edits(random, original.seconds());
        Recording mended = Mending.apply(original, edits);
        Kept kept = Mending.kept(original.seconds(), edits);
        assertThat(original).as("the original stays as it came").isEqualTo(copy);
        assertThat(mended.seconds()).isEqualTo(kept.to() - kept.from());
        assertThat(mended.start())
                .isEqualTo(original.start().plusMillis(Math.round(1000 * original.clockSecondsAt(kept.from()))));
        assertThat(mended.end()).isBeforeOrEqualTo(original.end());
        for (Lap lap : mended.laps())
            assertThat(lap.from() >= 0 && lap.to() > lap.from() && lap.to() <= mended.seconds())
                    .isTrue();
        for (Pause pause : mended.pauses()) assertThat(pause.index()).isBetween(1, mended.seconds() - 1);
    }

    @Property(tries = 300)
    void whatNoEditTouchesIsAsItWas(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Recording original = any(random);
        List<Edit> edits = edits(random, original.seconds()).stream()
                .filter(e -> !(e instanceof Edit.Trim))
                .toList();
        Recording mended = Mending.apply(original, edits);
        for (String key : mended.channels().keySet()) {
            for (int i = 0; i < original.seconds(); i++) {
                int second = i;
                if (edits.stream().anyMatch(e -> touches(e, key) && second >= e.from() && second < e.to())) continue;
                assertThat(mended.channels().get(key).at(i))
                        .isEqualTo(Double.valueOf(original.channels().get(key).at(i)));
            }
        }
    }

    private static boolean touches(Edit edit, String key) {
        if (edit instanceof Edit.Hide hide) return hide.channel().equals(key);
        if (edit instanceof Edit.Bridge bridge) return bridge.channel().equals(key);
        return edit instanceof Edit.Replace replace && replace.channel().equals(key);
    }

    @Property(tries = 200)
    void aHiddenStretchHasNoValueAndABridgedOneLiesBetweenItsNeighbours(
            @ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Recording original = any(random);
        int from = 1 + random.nextInt(original.seconds() - 3);
        int to = from + 1 + random.nextInt(original.seconds() - from - 1);
        Series hidden = Mending.apply(original, List.of(new Edit.Hide("power", from, to)))
                .channels()
                .get("power");
        if (hidden != null) assertThat(hidden.present(from, to)).isZero();
        Series watts = original.channel(Channel.POWER).orElseThrow();
        if (to >= watts.size() || !watts.isPresent(from - 1) || !watts.isPresent(to)) return;
        Series bridged = Mending.apply(original, List.of(new Edit.Bridge("power", from, to)))
                .channels()
                .get("power");
        double low = Math.min(watts.at(from - 1), watts.at(to));
        double high = Math.max(watts.at(from - 1), watts.at(to));
        for (int i = from; i < to; i++) assertThat(bridged.at(i)).isBetween(low - 1e-9, high + 1e-9);
        assertThat(bridged.mean(from, to)).as("a straight line").isCloseTo((low + high) / 2, within(1e-6));
    }

    @Property(tries = 200)
    void distanceBeginsAnewAndCoversTheSameWay(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Random random = new Random(seed);
        Recording original = any(random);
        int from = 1 + random.nextInt(original.seconds() - 2);
        int to = from + 1 + random.nextInt(original.seconds() - from);
        Series metres = original.channel(Channel.DISTANCE).orElseThrow();
        Recording cut = Mending.apply(original, List.of(new Edit.Trim(from, to)));
        double covered = metres.at(Math.min(to, original.seconds()) - 1) - metres.at(from - 1);
        assertThat(cut.distanceMetres().orElseThrow()).isCloseTo(covered, within(1e-9));
    }
}
