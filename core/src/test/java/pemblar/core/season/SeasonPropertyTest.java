package pemblar.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import pemblar.core.load.LoadTrend;
import pemblar.core.season.Block.Phase;
import pemblar.core.season.Season.Target;

/** Whatever is asked: no limit is broken, easy blocks and tapers lie where they should, pins stay, the forecast is the recursion. */
class SeasonPropertyTest {
    private static Ask any(long seed) {
        Random random = new Random(seed);
        LocalDate first = LocalDate.of(2027, 1, 1).plusDays(random.nextInt(400));
        int days = 20 + random.nextInt(400);
        List<Event> events = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--)
            events.add(new Event(first.plusDays(random.nextInt(days)), Priority.values()[random.nextInt(3)], random.nextBoolean() ? Double.NaN : 40 + random.nextInt(250)));
        Rhythm rhythm = random.nextBoolean() ? Rhythm.everyBlock(2 + random.nextInt(4), 3 + random.nextInt(26)) : Rhythm.everyDays(12 + random.nextInt(30), 3 + random.nextInt(9), 3 + random.nextInt(4));
        Aim aim = switch (random.nextInt(3)) {
            case 0 -> new Aim(Aim.Kind.WEEKLY_HOURS, 1 + random.nextInt(40));
            case 1 -> new Aim(Aim.Kind.WEEKLY_LOAD, 50 + random.nextInt(1500));
            default -> new Aim(Aim.Kind.CHRONIC_LOAD, 10 + random.nextInt(150));
        };
        List<Hours.Exception> away = new ArrayList<>();
        for (int i = random.nextInt(3); i > 0; i--) {
            LocalDate from = first.plusDays(random.nextInt(days));
            away.add(new Hours.Exception(from, from.plusDays(random.nextInt(20)), random.nextInt(8)));
        }
        List<Block> pins = new ArrayList<>();
        LocalDate at = first.plusDays(random.nextInt(20));
        for (int i = random.nextInt(3); i > 0 && at.isBefore(first.plusDays(days - 30L)); i--) {
            Block pin = new Block(at, 3 + random.nextInt(20), Phase.BUILD, "Pin", "", random.nextInt(900), 0, random.nextBoolean(), true);
            pins.add(pin);
            at = pin.last().plusDays(1 + random.nextInt(60));
        }
        return new Ask(first, first.plusDays(days - 1L), events, aim, rhythm, 1 + random.nextInt(8), new Hours(random.nextInt(25), away), 40 + random.nextInt(30),
            Ask.Start.steady(random.nextInt(110)), pins);
    }

    @Property(tries = 400)
    void blocksFollowEachOtherWithoutGapsFromTheFirstDayToTheLast(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask ask = any(seed);
        LocalDate day = ask.first();
        for (Target target : Generator.plan(ask).targets()) {
            assertThat(target.first()).isEqualTo(day);
            if (ask.pinned().isEmpty()) assertThat(target.days()).isBetween(Block.SHORTEST, Block.LONGEST);
            day = target.last().plusDays(1);
        }
        assertThat(day).isEqualTo(ask.last().plusDays(1));
    }

    @Property(tries = 400)
    void noTargetThatIsNotPinnedBreaksTheHours(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask ask = any(seed);
        for (Target target : Generator.plan(ask).targets()) {
            double events = ask.events().stream().filter(e -> !Double.isNaN(e.load()) && !e.day().isBefore(target.first()) && !e.day().isAfter(target.last())).mapToDouble(Event::load).sum();
            if (!target.pinned() && events == 0) assertThat(target.hours()).isLessThanOrEqualTo(target.hoursAvailable() + 1e-6);
        }
    }

    @Property(tries = 400)
    void trainingNeverLiftsChronicLoadFasterThanTheHighestBuild(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask any = any(seed);
        Ask ask = new Ask(any.first(), any.last(), any.events().stream().map(e -> new Event(e.day(), e.priority(), Double.NaN)).toList(), any.aim(), any.rhythm(), any.highestBuild(), any.hours(), any.loadPerHour(), any.start(), List.of());
        List<LoadTrend.Day> days = Generator.plan(ask).forecast();
        boolean loading = false;
        for (LoadTrend.Day day : days) {
            if (day.build() > 0) loading = true;
            assertThat(day.build()).isLessThanOrEqualTo(ask.highestBuild() + 1e-6);
        }
        assertThat(loading || days.get(days.size() - 1).chronic() <= ask.start().chronic() + 1e-9).isTrue();
    }

    @Property(tries = 400)
    void easyBlocksComeInTimeAndAreLighterAsTheyShould(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask any = any(seed);
        Ask ask = new Ask(any.first(), any.last(), any.of(Priority.A), any.aim(), any.rhythm(), any.highestBuild(), any.hours(), any.loadPerHour(), any.start(), List.of());
        List<Target> targets = Generator.plan(ask).targets();
        int loading = 0;
        for (int i = 0; i < targets.size(); i++) {
            Target target = targets.get(i);
            boolean beforeTaper = i + 1 < targets.size() && targets.get(i + 1).phase() == Phase.TAPER;
            loading = target.easy() || target.phase() == Phase.TAPER || target.phase() == Phase.RECOVERY ? 0 : loading + 1;
            assertThat(loading).isLessThanOrEqualTo(ask.rhythm().loadingDays().size() + (beforeTaper ? 1 : 0));
            boolean eventInside = ask.events().stream().anyMatch(e -> !Double.isNaN(e.load()));
            if (target.easy() && target.limit() == null && !eventInside) {
                Target before = targets.get(i - 1);
                assertThat(target.load() / target.days()).isBetween(0.55 * before.load() / before.days() - 1e-9, 0.65 * before.load() / before.days() + 1e-9);
            }
        }
    }

    @Property(tries = 400)
    void everyAEventFarEnoughAheadEndsATaperOfEightToFourteenDays(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask any = any(seed);
        LocalDate race = any.first().plusDays(20 + seed % 100);
        Ask ask = new Ask(any.first(), race.plusDays(10), List.of(new Event(race, Priority.A, Double.NaN)), any.aim(), any.rhythm(), any.highestBuild(), any.hours(), any.loadPerHour(), any.start(), List.of());
        Target taper = Generator.plan(ask).targets().stream().filter(t -> t.phase() == Phase.TAPER).findFirst().orElseThrow();
        assertThat(taper.last()).isEqualTo(race);
        assertThat(taper.days()).isBetween(8, 14);
    }

    @Property(tries = 400)
    void pinsSurvive(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask ask = any(seed);
        List<Target> kept = Generator.plan(ask).targets().stream().filter(Target::pinned).toList();
        List<Block> inside = ask.pinned().stream().filter(p -> !p.first().isBefore(ask.first()) && !p.last().isAfter(ask.last())).toList();
        for (Block pin : inside) assertThat(kept).anyMatch(t -> t.first().equals(pin.first()) && t.days() == pin.days() && Math.abs(t.load() - pin.targetLoad()) < 1e-9);
    }

    @Property(tries = 200)
    void theForecastIsTheRecursion(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask ask = any(seed);
        Season season = Generator.plan(ask);
        double chronic = ask.start().chronic();
        double acute = ask.start().acute();
        for (LoadTrend.Day day : season.forecast()) {
            assertThat(day.balance()).isCloseTo(chronic - acute, within(1e-9));
            chronic += (day.load() - chronic) * (1 - Math.exp(-1 / 42.0));
            acute += (day.load() - acute) * (1 - Math.exp(-1 / 7.0));
            assertThat(day.chronic()).isCloseTo(chronic, within(1e-9));
            assertThat(day.acute()).isCloseTo(acute, within(1e-9));
        }
    }

    @Property(tries = 200)
    void moreIsNeverLessAndTheAimIsMetWheneverNothingBinds(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
        Ask ask = any(seed);
        Season season = Generator.plan(ask);
        assertThat(season.outcome().met()).isEqualTo(season.outcome().binding() == null);
        Ask more = new Ask(ask.first(), ask.last(), ask.events(), new Aim(ask.aim().kind(), ask.aim().value() * 1.3), ask.rhythm(), ask.highestBuild(), ask.hours(), ask.loadPerHour(), ask.start(), ask.pinned());
        if (ask.aim().kind() != Aim.Kind.CHRONIC_LOAD) assertThat(Generator.plan(more).outcome().reached()).isGreaterThanOrEqualTo(season.outcome().reached() - 1e-6);
    }
}
