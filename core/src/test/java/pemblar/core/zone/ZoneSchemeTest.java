package pemblar.core.zone;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import pemblar.core.sport.Measure;
import pemblar.core.sport.Sport;
import pemblar.core.threshold.DatedValues;
import pemblar.core.threshold.Quantity;
import pemblar.core.threshold.Sex;
import pemblar.core.threshold.Thresholds;
import pemblar.core.zone.ZoneScheme.Reference;

class ZoneSchemeTest {
    private static final Thresholds HEART = Thresholds.NONE
            .with(Quantity.MAXIMUM_HEART_RATE, 190)
            .with(Quantity.RESTING_HEART_RATE, 50)
            .with(Quantity.THRESHOLD_HEART_RATE, 170);

    /** One edit of any kind; what a number means depends on the kind and wraps around the scheme's size. */
    record Edit(int kind, int index, double to) {
        ZoneScheme on(ZoneScheme scheme) {
            int zones = scheme.names().size();
            try {
                return switch (kind) {
                    case 0, 1, 2 -> scheme.moved(index % scheme.boundaries().size(), to);
                    case 3 -> scheme.split(1 + index % zones);
                    case 4 -> scheme.joined(index % scheme.boundaries().size());
                    default -> scheme.withZoneName(1 + index % zones, "zone " + index);
                };
            } catch (IllegalArgumentException refused) {
                return scheme; // more zones than allowed, or no room: the scheme stays as it was
            }
        }
    }

    @Provide
    Arbitrary<List<Edit>> edits() {
        return Combinators.combine(
                        Arbitraries.integers().between(0, 5),
                        Arbitraries.integers().between(0, 50),
                        Arbitraries.doubles().between(-50, 900))
                .as(Edit::new)
                .list()
                .ofMaxSize(40);
    }

    @Property
    void boundariesStrictlyRiseAfterAnySequenceOfEdits(@ForAll("edits") List<Edit> edits) {
        for (ZoneScheme start : ZoneSchemes.ALL) {
            ZoneScheme scheme = start;
            for (Edit edit : edits) scheme = edit.on(scheme);
            for (int i = 1; i < scheme.boundaries().size(); i++)
                assertTrue(scheme.boundaries().get(i) > scheme.boundaries().get(i - 1), scheme::toString);
            assertTrue(scheme.boundaries().get(0) > 0);
            assertEquals(scheme.boundaries().size() + 1, scheme.names().size());
        }
    }

    @Test
    void aMovedBoundaryStopsAtItsNeighbours() {
        ZoneScheme moved = ZoneSchemes.POWER_SEVEN.moved(1, 200);
        assertEquals(List.of(55.0, 89.0, 90.0, 105.0, 120.0, 150.0), moved.boundaries());
        assertEquals(56, ZoneSchemes.POWER_SEVEN.moved(1, 3).boundaries().get(1), 1e-9);
        assertEquals(400, ZoneSchemes.POWER_SEVEN.moved(5, 5000).boundaries().get(5), 1e-9);
        assertEquals(1, ZoneSchemes.POWER_SEVEN.moved(0, -3).boundaries().get(0), 1e-9);
    }

    @Test
    void splittingAndJoiningKeepWhatTheyDoNotTouch() {
        ZoneScheme split = ZoneSchemes.POWER_THREE.split(2);
        assertEquals(List.of(80.0, 90.0, 100.0), split.boundaries());
        assertEquals(4, split.names().size());
        assertEquals(ZoneSchemes.POWER_THREE.boundaries(), split.joined(1).boundaries());
        assertEquals(ZoneSchemes.POWER_THREE.names(), split.joined(1).names());
    }

    @Test
    void zonesOfTheReserveStandOnTheRestingHeartRate() {
        // reserve 190 - 50 = 140; 60 % of it is 84, on top of 50: 134
        ZoneSet set = ZoneSchemes.HEART_RATE_RESERVE.with(HEART).orElseThrow();
        assertEquals(134, set.ceilingOf(2), 1e-9);
        assertEquals(3, set.zoneOf(134));
        assertEquals(2, set.zoneOf(133.9));
        // 70 % of a maximum of 190 is 133
        assertEquals(
                133, ZoneSchemes.HEART_RATE_MAXIMUM.with(HEART).orElseThrow().ceilingOf(2), 1e-9);
    }

    @Test
    void twoThresholdsOfALaboratoryMakeThreeZones() {
        ZoneSet set = ZoneSchemes.fromLaboratory("lab", Measure.POWER, 190, 255)
                .with(Thresholds.NONE)
                .orElseThrow();
        assertEquals(1, set.zoneOf(189.9));
        assertEquals(2, set.zoneOf(190));
        assertEquals(3, set.zoneOf(255));
    }

    @Test
    void withoutItsReferenceASchemeHasNoZones() {
        assertEquals(Optional.empty(), ZoneSchemes.POWER_SEVEN.with(HEART));
        assertEquals(
                Optional.empty(),
                ZoneSchemes.HEART_RATE_RESERVE.with(Thresholds.NONE.with(Quantity.MAXIMUM_HEART_RATE, 190)));
    }

    @Test
    void aReferenceServesOnlyItsMeasure() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new ZoneScheme("x", Measure.POWER, Reference.MAXIMUM, List.of(80.0), List.of("a", "b")));
        assertThrows(
                IllegalArgumentException.class,
                () -> new ZoneScheme(
                        "x", Measure.POWER, Reference.THRESHOLD, List.of(90.0, 80.0), List.of("a", "b", "c")));
        assertThrows(
                IllegalArgumentException.class,
                () -> new ZoneScheme("x", Measure.POWER, Reference.THRESHOLD, List.of(Double.NaN), List.of("a", "b")));
        assertThrows(
                IllegalArgumentException.class,
                () -> new ZoneScheme(" ", Measure.POWER, Reference.THRESHOLD, List.of(90.0), List.of("a", "b")));
    }

    @Test
    void aSetHoldsFromItsDayAndThePastKeepsItsOwn() {
        LocalDate may = LocalDate.of(2026, 5, 1);
        Zones.Key ride = new Zones.Key(Sport.RIDE, Measure.POWER);
        DatedValues values = new DatedValues(
                List.of(new DatedValues.Dated(Quantity.THRESHOLD_POWER, may.minusYears(1), 200)), Sex.NOT_GIVEN);
        DatedZones zones = new DatedZones(values, List.of(new DatedZones.Dated(ride, may, ZoneSchemes.POWER_THREE)));
        assertEquals(
                7,
                zones.on(may.minusDays(1))
                        .of(Measure.POWER, Sport.RIDE)
                        .orElseThrow()
                        .count());
        assertEquals(
                3, zones.on(may).of(Measure.POWER, Sport.RIDE).orElseThrow().count());
        assertEquals(Optional.empty(), zones.spanOf(ride, may).until());
        assertEquals(Optional.of(may), zones.spanOf(ride, may.minusDays(10)).until());
        assertEquals(may, zones.latest(ride, may.plusDays(3)).orElseThrow().from());
    }

    @Test
    void runningHasItsOwnThresholds() {
        Thresholds both = HEART.with(Quantity.THRESHOLD_POWER, 250)
                .with(Quantity.CRITICAL_POWER, 260)
                .with(Quantity.W_PRIME, 20_000);
        assertEquals(Optional.empty(), Zones.usual(both).of(Measure.POWER, Sport.RUN));
        assertTrue(!both.forSport(Sport.RUN).knows(Quantity.CRITICAL_POWER));
        assertEquals(
                170,
                Zones.usual(both)
                        .of(Measure.HEART_RATE, Sport.RUN)
                        .orElseThrow()
                        .reference(),
                1e-9);
        assertEquals(
                176,
                Zones.usual(both.with(Quantity.RUNNING_THRESHOLD_HEART_RATE, 176))
                        .of(Measure.HEART_RATE, Sport.RUN)
                        .orElseThrow()
                        .reference(),
                1e-9);
        assertEquals(
                310,
                Zones.usual(both.with(Quantity.RUNNING_THRESHOLD_POWER, 310))
                        .of(Measure.POWER, Sport.RUN)
                        .orElseThrow()
                        .reference(),
                1e-9);
    }

    @Test
    void ridingWithTheZonesOfRunningIsNoticed() {
        Zones.Key ride = new Zones.Key(Sport.RIDE, Measure.HEART_RATE);
        assertTrue(new Zones(HEART, java.util.Map.of(ride, ZoneSchemes.HEART_RATE_RUN)).ridesWithRunningZones());
        assertTrue(!new Zones(
                        HEART.with(Quantity.RUNNING_THRESHOLD_HEART_RATE, 176),
                        java.util.Map.of(ride, ZoneSchemes.HEART_RATE_RUN))
                .ridesWithRunningZones());
        assertTrue(!new Zones(HEART, java.util.Map.of(ride, ZoneSchemes.HEART_RATE_RESERVE)).ridesWithRunningZones());
        assertTrue(!Zones.usual(HEART).ridesWithRunningZones());
    }

    private static final Zones.Key RUN_BEATS = new Zones.Key(Sport.RUN, Measure.HEART_RATE);
    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    private static ZoneScheme beats(Double... boundaries) {
        return ZoneSchemes.fromLaboratory("mine", Measure.HEART_RATE, 140, 165).typed(List.of(boundaries));
    }

    @Test
    void boundariesTypedInAnyOrderRise() {
        ZoneScheme scheme = beats(163.0, 120.0, 176.0, 135.0, 150.0);
        assertEquals(List.of(120.0, 135.0, 150.0, 163.0, 176.0), scheme.boundaries());
        assertEquals(6, scheme.names().size());
        assertEquals(Reference.ABSOLUTE, scheme.reference());
        assertEquals(
                ZoneSchemes.fromLaboratory("mine", Measure.HEART_RATE, 140, 165).names(),
                beats(150.0, 130.0).names());
        assertThrows(IllegalArgumentException.class, () -> beats(150.0, 150.0));
        assertThrows(IllegalArgumentException.class, () -> beats(150.0, 150.5));
    }

    @Test
    void theFirstTypedZonesHoldBackwardsAndLaterOnesDoNot() {
        DatedZones.Dated first = new DatedZones.Dated(RUN_BEATS, MAY, beats(130.0, 150.0));
        DatedZones.Dated second = new DatedZones.Dated(RUN_BEATS, MAY.plusDays(30), beats(135.0, 155.0));
        DatedZones zones = new DatedZones(new DatedValues(List.of(), Sex.NOT_GIVEN), List.of(second, first));
        assertTrue(zones.holdsBackwards(first) && !zones.holdsBackwards(second));
        assertEquals(first.scheme(), zones.on(MAY.minusDays(400)).chosen().get(RUN_BEATS));
        assertEquals(second.scheme(), zones.on(MAY.plusDays(30)).chosen().get(RUN_BEATS));
        assertTrue(zones.spanOf(RUN_BEATS, MAY).from().isBefore(MAY.minusDays(400)));
        assertEquals(Optional.of(MAY.plusDays(30)), zones.spanOf(RUN_BEATS, MAY).until());
        assertEquals(MAY.plusDays(30), zones.spanOf(RUN_BEATS, MAY.plusDays(30)).from());
    }

    @Test
    void aFirstSchemeOfPercentsHoldsFromItsDayAlone() {
        ZoneScheme percents = ZoneSchemes.ALL.stream()
                .filter(s -> s.measure() == Measure.HEART_RATE)
                .findFirst()
                .orElseThrow();
        DatedZones.Dated first = new DatedZones.Dated(RUN_BEATS, MAY, percents);
        DatedZones zones = new DatedZones(
                new DatedValues(List.of(), Sex.NOT_GIVEN),
                List.of(first, new DatedZones.Dated(RUN_BEATS, MAY.plusDays(9), beats(130.0, 150.0))));
        assertTrue(zones.on(MAY.minusDays(1)).chosen().isEmpty());
        assertEquals(percents, zones.on(MAY).chosen().get(RUN_BEATS));
    }
}
